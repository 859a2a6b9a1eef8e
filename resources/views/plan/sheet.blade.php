<x-page title="Plan a new box" place="boxes">
    <x-way at="plan" />
    <div class="two">
        {{-- What is typed stands outside of what answers: no field is replaced under the hands. --}}
        <form id="plan" method="get" action="/plan" hx-get="/plan" hx-target="#answer" hx-swap="outerHTML" hx-trigger="change, input delay:400ms, change from:#answers" hx-push-url="true">
            @if ($whole)
                @include('plan.fields')
            @endif
        </form>
        <div class="stack">
            <section class="sheet in-sight" aria-labelledby="verdict">
                @fragment('verdict')
                    <p class="say" id="verdict" aria-live="polite" @unless ($whole) hx-swap-oob="true" @endunless><b>{{ $choices->onDesk() ? $seat->verdict() : $answer->sentence() }}</b></p>
                @endfragment
                @fragment('ways')
                    @php($out = $ways !== [] && $host === null && !$choices->onDesk())
                    <div @class(['ways' => $out]) id="ways" @unless ($whole) hx-swap-oob="true" @endunless>
                        @if ($out)
                            <h2>Ways out</h2>
                            <ul>
                                @foreach ($ways as $way)
                                    <li><a href="{{ route('plan', $choices->taking($way)) }}">{{ $way->sentence() }}</a> <span
                                            class="soft">{{ $way->price($currency) }}{{ $way->leaves === [] ? '' : '; leaves: ' . lcfirst(implode(' ', $way->leaves)) }}</span></li>
                                @endforeach
                            </ul>
                        @endif
                    </div>
                @endfragment
                <div class="field-set">
                    @fragment('because')
                        <label for="because" id="because-label" @unless ($whole) hx-swap-oob="true" @endunless>{{ $seat->findings->blocks() ? 'Go on all the same, because' : 'Why this one, for later (may stay empty)' }}</label>
                    @endfragment
                    <input class="in" id="because" name="because" form="keep" @longest('because') value="{{ old('because') }}"
                        @error('because') aria-invalid="true" aria-describedby="because-says" @enderror>
                    @error('because')
                        <p class="hint" id="because-says">{{ $message }}</p>
                    @enderror
                </div>
                @fragment('keep')
                    <div class="row bar" id="keep-bar" @unless ($whole) hx-swap-oob="true" @endunless>
                        <button class="act" id="keep-plan" form="keep"
                            data-done>{{ $choices->onDesk() ? 'Write it down' : ($host !== null ? "Give it to {$host->name}" : 'Keep this plan, choose a name') }}</button>
                        @if ($host === null && !$choices->onDesk())
                            <button class="ghost" id="keep-beside" form="keep" formaction="/plan/keep">Set beside others</button>
                        @endif
                        @if ($variants > 0)
                            <a href="/plan/variants">{{ $variants }} kept</a>
                        @endif
                    </div>
                @endfragment
            </section>
            <div id="answers">
                @fragment('answer')
                    <section id="answer" aria-live="polite">
                        @include('plan.conclusion')
                        @unless ($choices->onDesk())
                            @include('plan.drawings')
                        @endunless
                        @include('plan.places')
                        @unless ($choices->onDesk())
                            @include('plan.supply')
                            @if ($host === null)
                                @include('plan.parts')
                                @include('plan.board')
                            @endif
                            @include('plan.jobs')
                        @endunless
                    </section>
                @endfragment
            </div>
        </div>
    </div>
    <details class="sheet working" @error('yaml') open @enderror>
        <summary><span>Take in a plan written as YAML</span></summary>
        <form method="post" action="{{ route('plan.take') }}">@csrf
            <div class="field-set"><label for="yaml">The plan, as “the plan as YAML” writes it</label>
                <textarea class="in code" id="yaml" name="yaml" rows="8" @error('yaml') aria-invalid="true" aria-describedby="yaml-says" @enderror>{{ "\n" . old('yaml') }}</textarea>
                <div id="yaml-says">
                    @foreach ($errors->get('yaml') as $message)
                        <p class="slim">@mark('stop')<span>{{ $message }}</span></p>
                    @endforeach
                </div>
            </div>
            <button class="ghost">Take it in</button>
        </form>
    </details>
    <form id="keep" method="post" action="/plan">@csrf</form>
    <form id="drawer" method="post" action="/plan/drawer">@csrf</form>
</x-page>
