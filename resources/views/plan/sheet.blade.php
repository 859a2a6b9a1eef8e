@php($labels = fn (array $entries): array => array_map(fn ($entry) => $entry->label, $entries))
@php($none = fn (string $word, array $entries): array => ['none' => $word] + $labels($entries))
<x-page title="Plan a new box" place="boxes">
    <x-way at="plan" />
    <form id="plan" method="get" action="/plan" hx-get="/plan" hx-target="#answer" hx-swap="outerHTML" hx-trigger="change, input delay:400ms" hx-push-url="true">
        <div class="two">
            @if ($whole)
            <section class="sheet tight" aria-labelledby="choices">
                <h2 id="choices">What it is to do, and with what</h2>
                <input type="hidden" name="seat" value="{{ $choices->get('seat') }}">
                <div class="pair">
                    <x-choice name="client" label="From what will you use it?" :options="\App\Plan\SheetFields::CLIENTS" :chosen="$choices->get('client')" />
                    <x-choice name="on" label="When is it on?" :options="collect(\Burrow\Plan\Duty::cases())->mapWithKeys(fn ($duty) => [$duty->value => $duty->label()])->all()" :chosen="$choices->get('on')" />
                </div>
                <x-choice name="role" label="Job" :options="$labels($shelf->roles)" :chosen="$choices->get('role')" />
                <div class="pair">
                    <x-choice name="also" label="and also" :options="$none('nothing else', $shelf->roles)" :chosen="$choices->get('also')" />
                    <x-choice name="too" label="and too" :options="$none('nothing else', $shelf->roles)" :chosen="$choices->get('too')" />
                </div>
                @if ($choices->onDesk())
                    <p class="told">As a program on <b>{{ $choices->get('desk') }}</b>: no board, no card. <a href="{{ route('plan', ['seat' => 'own'] + $choices->toArray()) }}">Give it a box of its own</a></p>
                @elseif ($host !== null)
                    <p class="told">On <b>{{ $host->name }}</b>, beside {{ implode(', ', array_map(fn ($role) => $role->label, $host->plan->roles)) }}; its parts are what they are. <a href="{{ route('plan', ['seat' => 'own'] + $choices->toArray()) }}">Give it a box of its own</a></p>
                    @if ($host->plan->drive === null)<x-choice name="drive" label="Disk to go with it" :options="$labels($shelf->drives) + ['none' => 'no disk']" :chosen="$choices->get('drive')" />@endif
                @else
                    <x-choice name="board" label="Board" :options="array_map(fn ($board) => $board->label.': '.$board->summary, $shelf->boards)" :chosen="$choices->get('board')" />
                    <div class="pair">
                        <x-choice name="supply" label="Supply" :options="$labels($shelf->supplies)" :chosen="$choices->get('supply')" />
                        <x-choice name="cable" label="Supply cable" :options="$labels($shelf->cables)" :chosen="$choices->get('cable')" />
                        <x-choice name="drive" label="Disk" :options="$labels($shelf->drives) + ['none' => 'no disk']" :chosen="$choices->get('drive')" />
                        <x-choice name="card" label="Card" :options="$labels($shelf->cards)" :chosen="$choices->get('card')" />
                        <x-choice name="image" label="Image" :options="$labels($shelf->images)" :chosen="$choices->get('image')" />
                        <x-choice name="from" label="packed by" :options="collect(\Burrow\Board\ImageOrigin::cases())->mapWithKeys(fn ($origin) => [$origin->value => $origin->label()])->all()" :chosen="$choices->get('from')" />
                        <x-choice name="case" label="Case" :options="$labels($shelf->cases)" :chosen="$choices->get('case')" />
                        <x-choice name="link" label="Network" :options="['wired' => 'cable', 'wireless' => 'Wi-Fi', 'usb-wired' => 'cable at a USB adapter']" :chosen="$choices->get('link')" />
                    </div>
                    <details class="working" @if (array_filter(['hub', 'cooling', 'addon'], fn ($name) => $choices->get($name) !== 'none') !== [] || $choices->get('plugged').$choices->get('fed') !== '') open @endif>
                        <summary><span>Hub, cooling, add-on, plugged in, power</span></summary>
                        <div class="trio">
                            <x-choice name="hub" label="Hub" :options="$none('as needed', array_column($shelf->small->hubs(), null, 'id'))" :chosen="$choices->get('hub')" />
                            <x-choice name="cooling" label="Cooling" :options="$none('none', $shelf->coolings)" :chosen="$choices->get('cooling')" />
                            <x-choice name="addon" label="Add-on" :options="$none('none', $shelf->addOns)" :chosen="$choices->get('addon')" />
                        </div>
                        <div class="label-like">Also plugged in, beside what the jobs have</div>
                        <div class="ticks">@foreach (\App\Plan\SheetFields::peripherals($catalogue) as $what => $peripheral)<label><input type="checkbox" name="plugged[]" value="{{ $what }}" @checked(in_array($what, explode(',', $choices->get('plugged')), true))> {{ $what }} <span class="soft">{{ $peripheral->plug }}</span></label>@endforeach</div>
                        <div class="field-set"><label for="fed">Power comes from</label><input class="in" id="fed" name="fed" list="switches" maxlength="60" value="{{ $choices->get('fed') }}" placeholder="a strip, a switch, a supply"><datalist id="switches">@foreach ($household->switches() as $switch)<option value="{{ $switch }}">@endforeach</datalist></div>
                    </details>
                @endif
                <details class="working" @if (count(array_filter(\App\Plan\SheetFields::NUMBERS, fn ($limits, $name) => (float) $choices->get($name) !== (float) $limits[0], ARRAY_FILTER_USE_BOTH)) > 0) open @endif>
                    <summary><span>The household: prices, line, room, desk computer</span></summary>
                    <div class="four">
                        @foreach (['room' => 'Room, °C', 'price' => 'Price of a kWh', 'copy' => 'Copy, GB', 'subscription' => 'Ends, a month', 'down' => 'Down, Mb/s', 'up' => 'Up, Mb/s', 'far' => 'Far down, Mb/s', 'relay' => 'Relay, Mb/s', 'daily' => 'Change, GB a day', 'stream' => 'Stream, Mb/s', 'away' => 'Away, days', 'battery' => 'Battery, Wh'] as $name => $label)
                            <div class="field-set"><label for="{{ $name }}">{{ $label }}</label><input class="in num" id="{{ $name }}" name="{{ $name }}" inputmode="decimal" value="{{ $choices->get($name) }}"></div>
                        @endforeach
                    </div>
                    <x-choice name="desk" label="Desk computer" :options="$household->desks()->keys()->mapWithKeys(fn ($name) => [$name => $name])->all() + ['none' => 'not checked']" :chosen="$choices->get('desk')" />
                    <p class="hint"><a href="{{ route('desks') }}">Describe a desk computer</a></p>
                </details>
                <noscript><button class="ghost">Answer</button></noscript>
            </section>
            @endif
            @fragment('answer')
            <section id="answer" aria-live="polite">
                @php($seat = collect($seats)->first(fn ($seat) => match (true) { $choices->onDesk() => $seat->kind === 'desk', $host !== null => $seat->kind === 'box' && $seat->label === $host->name, default => $seat->kind === 'own' }))
                <div class="sheet">
                    <p class="say"><b>{{ $choices->onDesk() ? $seat->verdict() : $answer->sentence() }}</b></p>
                    @foreach ($choices->toArray() as $name => $value)<input type="hidden" name="{{ $name }}" value="{{ $value }}" form="keep">@endforeach
                    <div class="field-set">
                        <label for="because">{{ $seat->findings->blocks() ? 'Go on all the same, because' : 'Why this one, for later (may stay empty)' }}</label>
                        <input class="in" id="because" name="because" form="keep" maxlength="500" @error('because') aria-invalid="true" aria-describedby="because-says" @enderror>
                        @error('because')<p class="hint" id="because-says">{{ $message }}</p>@enderror
                    </div>
                    <div class="row bar">
                        <button class="act" form="keep" data-done>{{ $choices->onDesk() ? 'Write it down' : ($host !== null ? "Give it to {$host->name}" : 'Keep this plan, choose a name') }}</button>
                        @if ($host === null && ! $choices->onDesk())<button class="ghost" form="keep" formaction="/plan/keep">Set beside others</button>@endif
                        @if ($variants > 0)<a href="/plan/variants">{{ $variants }} kept</a>@endif
                    </div>
                    @if ($ways !== [] && $host === null && ! $choices->onDesk())
                        <div class="ways">
                            <h3>Ways out</h3>
                            @foreach ($ways as $way)
                                <p><a href="{{ route('plan', $choices->taking($way)) }}">{{ $way->sentence() }}</a> <span class="soft">{{ $way->price() }}{{ $way->leaves === [] ? '' : '; leaves: '.lcfirst(implode(' ', $way->leaves)) }}</span></p>
                            @endforeach
                        </div>
                    @endif
                    @if ($choices->onDesk())
                        @foreach ($seat->findings as $finding)<x-slim :finding="$finding" />@endforeach
                    @else
                        @php([$fine, $rest] = collect($answer->findings->list)->partition(fn ($finding) => $finding->severity->value === 'fine'))
                        @foreach ($rest as $finding)<x-slim :finding="$finding" />@endforeach
                        @if ($household->switchFinding($choices->get('fed')) !== null)<x-slim :finding="$household->switchFinding($choices->get('fed'))" />@endif
                        @if ($old !== null && $host === null)<x-slim :finding="$old" />@endif
                        @foreach ($fine as $finding)<x-slim :finding="$finding" />@endforeach
                    @endif
                </div>
                <div class="sheet scroll">
                    <h2>Where it could run</h2>
                    <table class="list"><thead><tr><th scope="col">Place</th><th scope="col" class="whole">To buy</th><th scope="col" class="whole">More a year</th><th scope="col">What speaks against it</th></tr></thead><tbody>
                    @foreach (collect($seats)->sortBy(fn ($one) => [$one->kind === 'own' ? 0 : 1, $one->worst()->rank()])->take(7) as $one)
                        <tr @class(['chosen' => $one === $seat])><td>@if ($one->kind === 'bought' || $one === $seat){{ $one->label }}@else<a href="{{ route('plan', ['seat' => match ($one->kind) { 'own', 'desk' => $one->kind, default => '@'.$one->label }] + $choices->toArray()) }}">{{ $one->kind === 'box' ? 'with '.$one->label : $one->label }}</a>@endif</td>
                            <td class="mono whole">{{ $one->price }}</td><td class="mono whole">{{ $one->perYear }}</td><td><x-mark :severity="$one->worst()->value" /> {{ $one->kind === 'bought' ? $one->findings->list[0]->found : $one->verdict() }}</td></tr>
                    @endforeach
                    </tbody></table>
                </div>
                @unless ($choices->onDesk())
                <div class="sheet">
                    @php($ladder = \Burrow\Drawing\VoltageLadder::of($answer->plan))
                    <h2>Memory{{ $ladder === null ? '' : ', voltage' }}{{ $answer->copy === null ? '' : ' and the way of a file' }}</h2>
                    <x-memory :picture="\Burrow\Drawing\MemoryPicture::of($answer->plan)" />
                    @if ($ladder !== null)<x-voltage :ladder="$ladder" />@endif
                    @if ($answer->copy !== null)<div class="chain"><x-chain :copy="$answer->copy" /></div>
                        @php($times = new \Burrow\Plan\CopyTime($answer->copy, $answer->plan->circumstances))
                        <p class="uses"><span>{{ $answer->plan->circumstances->copy->decimal() }} in {{ $times->time() }}.</span>@foreach ($times->uses() as $use => $good) <span><x-mark :severity="$good ? 'fine' : 'note'" /> {{ $good ? $use : "too slow for {$use}" }}</span>@endforeach</p>@endif
                    @foreach ($answer->workings() as $working)<x-working :working="$working" />@endforeach
                </div>
                @if (($answer->plan->supply->outputs > 1 || $answer->plan->along !== []) && $household->hosts() !== [])
                    <div class="sheet">
                        <h2>Also on this supply</h2>
                        <div class="ticks">@foreach ($household->hosts() as $other)<label><input type="checkbox" name="along[]" value="{{ $other->name }}" @checked(collect($answer->plan->along)->contains(fn ($feed) => $feed->name === $other->name))> {{ $other->name }} <span class="soft">{{ \Burrow\Plan\SupplyFit::of($other->plan)->peak() }}</span></label>@endforeach</div>
                    </div>
                @endif
                @if ($host === null)
                <div class="sheet">
                    <h2>Parts, {{ $answer->price() }} together{{ $drawer === [] ? '' : ', '.$answer->parts->toBuy($drawer).' to buy' }}</h2>
                    <table class="list"><tbody>@foreach ($answer->parts->parts as $part)@php($have = in_array($part->label, $drawer, true))<tr><td @class(['soft' => $have])>{{ $part->label }}@if ($part->because !== '')<br><span class="soft">{{ $part->because }}</span>@endif</td><td class="mono whole">{{ $part->price }}</td><td class="whole"><button class="plain" form="drawer" name="part" value="{{ $part->label }}">{{ $have ? 'in the drawer: take out' : 'have it' }}</button></td></tr>@endforeach</tbody></table>
                    @if ($kits !== [])<h3>Kits against singles</h3>@foreach ($kits as $kit)<p class="slim"><x-mark :severity="$kit->cents() < 0 ? 'fine' : 'note'" /><span>{{ $kit->sentence() }}</span></p>@endforeach @endif
                    <p class="row"><a href="{{ route('plan.parts', $choices->toArray()) }}">as CSV</a> <a href="{{ route('plan.paper', $choices->toArray()) }}">on paper</a> <a href="{{ route('plan.yaml', $choices->toArray()) }}">the plan as YAML</a> @if ($answer->plan->board->market->priced !== '')<span class="soft push">prices of {{ $answer->plan->board->market->priced }}</span>@endif</p>
                </div>
                <div class="sheet">
                    @php($board = $answer->plan->board)
                    <h2>Inside the {{ $board->label }}</h2>
                    <dl class="facts">
                        <dt>processor</dt><dd>{{ $board->processor->cores }} {{ $board->processor->cores === 1 ? 'core' : 'cores' }}, {{ $board->processor->bits }}-bit, speed {{ $board->speed }} (single-core board: 1)</dd>
                        <dt>network</dt><dd>{{ $board->wiredMegabits === null ? 'no socket' : "socket at {$board->wiredMegabits} Mb/s" }}, {{ $board->wirelessMegabits === null ? 'no Wi-Fi' : "Wi-Fi at {$board->wirelessMegabits} Mb/s on the air" }}</dd>
                        @foreach ($board->buses as $bus)<dt>{{ $bus->name }}</dt><dd>carries {{ implode(' and ', array_map(fn ($link) => ['disk' => 'disks and USB devices', 'wired' => 'the network socket', 'wireless' => 'Wi-Fi'][$link], $bus->links)) }}; {{ $bus->payload }}@if ($bus->current !== null), {{ $bus->current }} for all its sockets @endif</dd>@endforeach
                        <dt>sockets</dt><dd>{{ $board->usbCount }} × {{ $board->usbSocket }}, {{ $board->videoSocket === 'none' ? 'no video' : "{$board->videoSocket} video" }}, {{ $board->headerPins === 0 ? 'no header' : "{$board->headerPins}-pin header" }}, power by {{ $board->powerInlet }}{{ $board->poeType === null ? '' : " or over the network cable (type {$board->poeType})" }}</dd>
                        <dt>power</dt><dd>{{ $board->idle }} idle, {{ $board->busy }} busy</dd><dt>lights</dt><dd>{{ $board->lights }}</dd>
                    </dl>
                </div>
                <div class="sheet scroll" tabindex="0" role="region" aria-labelledby="starts">
                    @php($plugged = array_values(array_unique(array_map(fn ($one) => $one->what, $answer->plan->peripherals()))))
                    <h2 id="starts">Which image starts the {{ $answer->plan->board->label }}{{ $plugged === [] ? '' : ', and knows what is plugged in' }}</h2>
                    <table class="list"><thead><tr><th scope="col">Image</th><th scope="col">Board</th>@foreach ($plugged as $what)<th scope="col">{{ ucfirst($what) }}</th>@endforeach<th scope="col"><span class="unseen">Age and size</span></th></tr></thead><tbody>@foreach ($shelf->images as $image)
                        @php($stops = \Burrow\Plan\ImageFit::of($answer->plan->with(image: $image))->stops())
                        <tr><td>{{ $image->label }}</td><td><x-mark :severity="$stops === [] ? 'fine' : 'stop'" /> {{ $stops === [] ? 'starts it' : $stops[0]->found }}</td>@foreach ($plugged as $what)<td><x-mark :severity="in_array($what, $image->without, true) ? 'warn' : 'fine'" /> {{ in_array($what, $image->without, true) ? 'not known' : 'known' }}</td>@endforeach<td class="whole soft">of {{ $image->year }}, {{ $image->unpacked->decimal() }}</td></tr>
                    @endforeach</tbody></table>
                    <p class="source">The board is of {{ $answer->plan->board->year }} and starts from: {{ implode(', ', $answer->plan->board->bootsFrom) }}.</p>
                </div>
                @endif
                <div class="sheet">
                    <h2>What {{ count($answer->plan->roles) === 1 ? 'the job brings' : 'the jobs bring' }} with it</h2>
                    @foreach ($answer->plan->roles as $role)
                        @if (count($answer->plan->roles) > 1)<h3>{{ ucfirst($role->label) }}</h3>@endif
                        <dl class="facts">
                            <dt>ports</dt><dd>@foreach ($role->ports as $port)<span class="mono">{{ $port->port->number }}/{{ $port->protocol->value }}</span> {{ $port->purpose }}, {{ $port->mayFaceWorld ? 'may be opened to the outside' : 'for the house only' }}@if (! $loop->last); @endif @endforeach</dd>
                            <dt>updates</dt><dd>every {{ $role->cadenceDays }} days</dd>
                            <dt>back up</dt><dd>{{ implode('; ', $role->backUp) }}</dd>
                            <dt>it works when</dt><dd>{{ implode('; ', $role->verify) }}</dd>
                            @if ($role->cautions !== [])<dt>caution</dt><dd>{{ implode(' ', $role->cautions) }}</dd>@endif
                        </dl>
                    @endforeach
                </div>
                <div class="sheet scroll">
                    <h2>Schools of installing</h2>
                    @foreach ($answer->plan->roles as $role)
                        @php($field = $choices->schoolField($role))
                        @if (count($answer->plan->roles) > 1)<h3>{{ ucfirst($role->label) }}</h3>@endif
                        <table class="list"><thead><tr><th scope="col">School</th><th scope="col" class="whole">Hands + waiting</th><th scope="col">Updates</th><th scope="col">Risk</th><th scope="col">How settled it is, and the way out</th></tr></thead><tbody>
                        @foreach ($role->schools as $school)<tr><td><label>@if ($field !== null)<input type="radio" name="{{ $field }}" value="{{ $school->id }}" @checked($school === $answer->plan->school($role))> @endif{{ $school->label }}</label></td><td class="whole">{{ $school->hands }} + {{ \Burrow\Plan\InstallTime::of($answer->plan->with(schools: $answer->plan->schools->choosing($role, $school)))->waitingFor($role) }}</td><td>{{ $school->update }}</td><td>{{ $school->risk }}</td><td>{{ ucfirst($school->maturity) }}. {{ ucfirst($school->wayOut) }}.</td></tr>@endforeach
                        </tbody></table>
                    @endforeach
                </div>
                @endunless
            </section>
            @endfragment
        </div>
    </form>
    <details class="sheet working" @error('yaml') open @enderror>
        <summary><span>Take in a plan written as YAML</span></summary>
        <form method="post" action="{{ route('plan.take') }}">@csrf
            <div class="field-set"><label for="yaml">The plan, as “the plan as YAML” writes it</label><textarea class="in code" id="yaml" name="yaml" rows="8" @error('yaml') aria-invalid="true" aria-describedby="yaml-says" @enderror>{{ "\n".old('yaml') }}</textarea>
            <div id="yaml-says">@foreach ($errors->get('yaml') as $message)<p class="slim"><x-mark severity="stop" /><span>{{ $message }}</span></p>@endforeach</div></div>
            <button class="ghost">Take it in</button>
        </form>
    </details>
    <form id="keep" method="post" action="/plan">@csrf</form>
    <form id="drawer" method="post" action="/plan/drawer">@csrf</form>
</x-page>
