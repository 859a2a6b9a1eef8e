@php($labels = fn (array $entries): array => array_map(fn ($entry) => $entry->label, $entries))
<x-page title="Plan a new box" place="boxes">
    <x-way at="plan" />
    <form id="plan" method="get" action="/plan" hx-get="/plan" hx-target="#answer" hx-swap="outerHTML" hx-trigger="change, input delay:400ms" hx-push-url="true">
        <div class="two">
            <section class="sheet tight" aria-labelledby="choices">
                <h2 id="choices">What it is to do, and with what</h2>
                <div class="pair">
                    <x-choice name="client" label="From what will you use it?" :options="\App\Plan\Choices::CLIENTS" :chosen="$choices->get('client')" />
                    <x-choice name="on" label="When is it on?" :options="collect(\Burrow\Plan\Duty::cases())->mapWithKeys(fn ($duty) => [$duty->value => $duty->label()])->all()" :chosen="$choices->get('on')" />
                </div>
                <x-choice name="role" label="Job" :options="$labels($catalogue->roles())" :chosen="$choices->get('role')" />
                <div class="pair">
                    <x-choice name="also" label="and also" :options="['none' => 'nothing else'] + $labels($catalogue->roles())" :chosen="$choices->get('also')" />
                    <x-choice name="too" label="and too" :options="['none' => 'nothing else'] + $labels($catalogue->roles())" :chosen="$choices->get('too')" />
                </div>
                <x-choice name="board" label="Board" :options="array_map(fn ($board) => $board->label.': '.$board->summary, $catalogue->boards())" :chosen="$choices->get('board')" />
                <div class="pair">
                    <x-choice name="supply" label="Supply" :options="$labels($catalogue->supplies())" :chosen="$choices->get('supply')" />
                    <x-choice name="cable" label="Supply cable" :options="$labels($catalogue->cables())" :chosen="$choices->get('cable')" />
                    <x-choice name="drive" label="Disk" :options="$labels($catalogue->drives()) + ['none' => 'no disk']" :chosen="$choices->get('drive')" />
                    <x-choice name="card" label="Card" :options="$labels($catalogue->cards())" :chosen="$choices->get('card')" />
                    <x-choice name="image" label="Image" :options="$labels($catalogue->images())" :chosen="$choices->get('image')" />
                    <x-choice name="case" label="Case" :options="$labels($catalogue->cases())" :chosen="$choices->get('case')" />
                </div>
                <div class="four">
                    <x-choice name="link" label="Network" :options="['wired' => 'cable', 'wireless' => 'Wi-Fi']" :chosen="$choices->get('link')" />
                    @foreach (['down' => 'Down, Mb/s', 'up' => 'Up, Mb/s', 'battery' => 'Battery, Wh'] as $name => $label)<div class="field-set"><label for="{{ $name }}">{{ $label }}</label><input class="in num" id="{{ $name }}" name="{{ $name }}" inputmode="decimal" value="{{ $choices->get($name) }}"></div>@endforeach
                    <div class="field-set"><label for="room">Room, °C</label><input class="in num" id="room" name="room" inputmode="decimal" value="{{ $choices->get('room') }}"></div>
                    <div class="field-set"><label for="price">Price of a kWh</label><input class="in num" id="price" name="price" inputmode="decimal" value="{{ $choices->get('price') }}"></div>
                    <div class="field-set"><label for="copy">Copy, GB</label><input class="in num" id="copy" name="copy" inputmode="decimal" value="{{ $choices->get('copy') }}"></div>
                    <div class="field-set"><label for="subscription">Ends, a month</label><input class="in num" id="subscription" name="subscription" inputmode="decimal" value="{{ $choices->get('subscription') }}"></div>
                </div>
                <noscript><button class="ghost">Answer</button></noscript>
            </section>
            @fragment('answer')
            <section id="answer" aria-live="polite">
                <div class="sheet">
                    <p class="say"><b>{{ $answer->sentence() }}</b></p>
                    <div class="row bar">
                        @unless ($answer->fits())
                            <div class="field-set grow">
                                <label for="overrule">Go on all the same, because</label>
                                <input class="in" id="overrule" name="overrule" form="keep" maxlength="500" @error('overrule') aria-invalid="true" aria-describedby="overrule-says" @enderror>
                                @error('overrule')<p class="hint" id="overrule-says">{{ $message }}</p>@enderror
                            </div>
                        @endunless
                        @foreach ($choices->toArray() as $name => $value)<input type="hidden" name="{{ $name }}" value="{{ $value }}" form="keep">@endforeach
                        <button class="act" form="keep" data-done>Keep this plan, choose a name</button>
                        <button class="ghost" form="keep" formaction="/plan/keep">Set beside others</button>
                        @if ($variants > 0)<a href="/plan/variants">{{ $variants }} kept</a>@endif
                    </div>
                    @if ($ways !== [])
                        <div class="ways">
                            <h3>Ways out</h3>
                            @foreach ($ways as $way)
                                <p><a href="{{ route('plan', $choices->taking($way)) }}">{{ $way->sentence() }}</a> <span class="soft">{{ $way->price() }}</span></p>
                            @endforeach
                        </div>
                    @endif
                    @foreach ($answer->findings as $finding)<x-slim :finding="$finding" />@endforeach
                    @if ($old !== null)<x-slim :finding="$old" />@endif
                </div>
                <div class="sheet">
                    @php($ladder = \Burrow\Drawing\VoltageLadder::of($answer->plan))
                    <h2>Memory{{ $ladder === null ? '' : ', voltage' }}{{ $answer->copy === null ? '' : ' and the way of a file' }}</h2>
                    <x-memory :picture="\Burrow\Drawing\MemoryPicture::of($answer->plan)" />
                    @if ($ladder !== null)<x-voltage :ladder="$ladder" />@endif
                    @if ($answer->copy !== null)<div class="chain"><x-chain :copy="$answer->copy" /></div>@endif
                    @foreach ($answer->workings() as $working)<x-working :working="$working" />@endforeach
                </div>
                <div class="sheet">
                    <h2>Parts, {{ $answer->price() }} together{{ $drawer === [] ? '' : ', '.$answer->parts->toBuy($drawer).' to buy' }}</h2>
                    <table class="list"><tbody>@foreach ($answer->parts->parts as $part)@php($have = in_array($part->label, $drawer, true))<tr><td @class(['soft' => $have])>{{ $part->label }}@if ($part->because !== '')<br><span class="soft">{{ $part->because }}</span>@endif</td><td class="mono whole">{{ $part->price }}</td><td class="whole"><button class="plain" form="drawer" name="part" value="{{ $part->label }}">{{ $have ? 'in the drawer: take out' : 'have it' }}</button></td></tr>@endforeach</tbody></table>
                    <p class="row"><a href="{{ route('plan.parts', $choices->toArray()) }}">as CSV</a> <a href="{{ route('plan.yaml', $choices->toArray()) }}">the plan as YAML</a></p>
                </div>
                <div class="sheet scroll">
                    <h2>Which image starts the {{ $answer->plan->board->label }}</h2>
                    <table class="list"><tbody>@foreach ($catalogue->images() as $image)
                        @php($stops = \Burrow\Plan\ProcessorFit::of($answer->plan->with(image: $image))->imageStops())
                        <tr><td><x-mark :severity="$stops === [] ? 'fine' : 'stop'" /> {{ $image->label }}</td><td>{{ $stops === [] ? 'starts it' : $stops[0]->found }}</td><td class="whole soft">of {{ $image->year }}, {{ $image->unpacked->decimal() }}</td></tr>
                    @endforeach</tbody></table>
                    <p class="source">The board is of {{ $answer->plan->board->year }} and starts from: {{ implode(', ', $answer->plan->board->bootsFrom) }}.</p>
                </div>
                <div class="sheet scroll">
                    <h2>Schools of installing</h2>
                    <table class="list"><thead><tr><th scope="col">School</th><th scope="col">Hands</th><th scope="col">Waiting</th><th scope="col">Updates</th><th scope="col">Risk</th></tr></thead><tbody>
                    @foreach ($answer->plan->roles as $role) @foreach ($role->schools as $school)<tr><td>{{ $school->label }}@if (count($answer->plan->roles) > 1)<br><span class="soft">{{ $role->label }}</span>@endif</td><td class="whole">{{ $school->hands }}</td><td class="whole">{{ $school->waiting }}</td><td>{{ $school->update }}</td><td>{{ $school->risk }}</td></tr>@endforeach @endforeach
                    </tbody></table>
                </div>
            </section>
            @endfragment
        </div>
    </form>
    <form id="keep" method="post" action="/plan">@csrf</form>
    <form id="drawer" method="post" action="/plan/drawer">@csrf</form>
</x-page>
