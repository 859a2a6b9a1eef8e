<x-page title="Plan a new box" place="boxes">
    <x-way at="plan" />
    <form id="plan" method="get" action="/plan" hx-get="/plan" hx-target="#answer" hx-swap="outerHTML" hx-trigger="change, input delay:400ms" hx-push-url="true">
        <div class="two">
            @if ($whole)
                @include('plan.fields')
            @endif
            @fragment('answer')
                <section id="answer" aria-live="polite">
                    @include('plan.conclusion')
                    @include('plan.places')
                    @unless ($choices->onDesk())
                        @include('plan.drawings')
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
    </form>
    <details class="sheet working" @error('yaml') open @enderror>
        <summary><span>Take in a plan written as YAML</span></summary>
        <form method="post" action="{{ route('plan.take') }}">@csrf
            <div class="field-set"><label for="yaml">The plan, as “the plan as YAML” writes it</label>
                <textarea class="in code" id="yaml" name="yaml" rows="8" @error('yaml') aria-invalid="true" aria-describedby="yaml-says" @enderror>{{ "\n" . old('yaml') }}</textarea>
                <div id="yaml-says">
                    @foreach ($errors->get('yaml') as $message)
                        <p class="slim"><x-mark severity="stop" /><span>{{ $message }}</span></p>
                    @endforeach
                </div>
            </div>
            <button class="ghost">Take it in</button>
        </form>
    </details>
    <form id="keep" method="post" action="/plan">@csrf</form>
    <form id="drawer" method="post" action="/plan/drawer">@csrf</form>
</x-page>
