@php($labels = fn(array $entries): array => array_map(fn($entry) => $entry->label, $entries))
@php($none = fn(string $word, array $entries): array => ['none' => $word] + $labels($entries))
<section class="sheet tight" aria-labelledby="choices">
    <h2 id="choices">What it is to do, and with what</h2>
    <input type="hidden" name="seat" value="{{ $choices->get('seat') }}">
    <div class="pair">
        <x-choice name="client" label="From what will you use it?" :options="\App\Plan\SheetFields::CLIENTS" :chosen="$choices->get('client')" />
        <x-choice name="on" label="When is it on?" :options="collect(\Burrow\Plan\Duty::cases())->mapWithKeys(fn($duty) => [$duty->value => $duty->label()])->all()" :chosen="$choices->get('on')" />
    </div>
    <x-choice name="job" label="Job" :options="$labels($shelf->jobs)" :chosen="$choices->get('job')" />
    <div class="pair">
        <x-choice name="also" label="and also" :options="$none('nothing else', $shelf->jobs)" :chosen="$choices->get('also')" />
        <x-choice name="too" label="and too" :options="$none('nothing else', $shelf->jobs)" :chosen="$choices->get('too')" />
    </div>
    @if ($choices->onDesk())
        <p class="told">As a program on <b>{{ $choices->get('desk') }}</b>: no board, no card. <a
                href="{{ route('plan', ['seat' => 'own'] + $choices->toArray()) }}">Give it a box of its own</a></p>
    @elseif ($host !== null)
        <p class="told">On <b>{{ $host->name }}</b>, beside {{ implode(', ', array_map(fn($job) => $job->label, $host->plan->jobs)) }};
            its parts are what they are. <a href="{{ route('plan', ['seat' => 'own'] + $choices->toArray()) }}">Give it a box of its own</a></p>
        @if ($host->plan->drive === null)
            <x-choice name="drive" label="Disk to go with it" :options="$labels($shelf->drives) + ['none' => 'no disk']" :chosen="$choices->get('drive')" />
        @endif
    @else
        <x-choice name="board" label="Board" :options="array_map(fn($board) => $board->label . ': ' . $board->summary, $shelf->boards)" :chosen="$choices->get('board')" />
        <div class="pair">
            <x-choice name="supply" label="Supply" :options="$labels($shelf->supplies)" :chosen="$choices->get('supply')" />
            <x-choice name="cable" label="Supply cable" :options="$labels($shelf->cables)" :chosen="$choices->get('cable')" />
            <x-choice name="drive" label="Disk" :options="$labels($shelf->drives) + ['none' => 'no disk']" :chosen="$choices->get('drive')" />
            <x-choice name="start" label="Starts from" :options="['card' => 'the card', 'drive' => 'the disk']" :chosen="$choices->get('start')" />
            <x-choice name="card" label="Card" :options="$labels($shelf->cards)" :chosen="$choices->get('card')" />
            <x-choice name="link" label="Network" :options="['wired' => 'cable', 'wireless' => 'Wi-Fi', 'usb-wired' => 'cable at a USB adapter', 'usb-cable' => 'USB cable to a computer']" :chosen="$choices->get('link')" />
            <x-choice name="image" label="Image" :options="$labels($shelf->images)" :chosen="$choices->get('image')" />
            <x-choice name="from" label="packed by" :options="collect(\Burrow\Catalogue\Part\ImageOrigin::cases())->mapWithKeys(fn($origin) => [$origin->value => $origin->label()])->all()" :chosen="$choices->get('from')" />
            <x-choice name="case" label="Case" :options="$labels($shelf->cases)" :chosen="$choices->get('case')" />
        </div>
        <details class="working" @if ($choices->hasExtras()) open @endif>
            <summary><span>Hub, cooling, add-on, plugged in, power</span></summary>
            <div class="trio">
                <x-choice name="hub" label="Hub" :options="$none('as needed', array_column($shelf->small->hubs(), null, 'id'))" :chosen="$choices->get('hub')" />
                <x-choice name="cooling" label="Cooling" :options="$none('none', $shelf->coolings)" :chosen="$choices->get('cooling')" />
                <x-choice name="addon" label="Add-on" :options="$none('none', $shelf->addOns)" :chosen="$choices->get('addon')" />
            </div>
            <div class="label-like">Also plugged in, beside what the jobs have</div>
            <div class="ticks">
                @foreach (\Burrow\Plan\PlanOfBox::peripherals($shelf) as $what => $peripheral)
                    <label><input type="checkbox" name="plugged[]" value="{{ $what }}" @checked(in_array($what, explode(',', $choices->get('plugged')), true))> {{ $what }} <span
                            class="soft">{{ $peripheral->plug }}</span></label>
                @endforeach
            </div>
            <div class="field-set"><label for="fed">Power comes from</label><input class="in" id="fed" name="fed" list="switches" @longest('fed')
                    value="{{ $choices->get('fed') }}" placeholder="a strip, a switch, a supply"><datalist id="switches">
                    @foreach ($household->switches() as $switch)
                        <option value="{{ $switch }}">
                    @endforeach
                </datalist>
            </div>
        </details>
    @endif
    <details class="working" @if ($choices->hasOwnNumbers()) open @endif>
        <summary><span>The household: prices, line, room, desk computer</span></summary>
        <div class="four">
            @foreach (\App\Plan\SheetFields::NUMBERS as $name => [$label])
                <div class="field-set"><label for="{{ $name }}">{{ $label }}</label><input class="in num" id="{{ $name }}"
                        name="{{ $name }}" inputmode="decimal" value="{{ $choices->get($name) }}"></div>
            @endforeach
        </div>
        <x-choice name="desk" label="Desk computer" :options="$household->desks()->keys()->mapWithKeys(fn($name) => [$name => $name])->all() + ['none' => 'not checked']" :chosen="$choices->get('desk')" />
        <p class="hint"><a href="{{ route('desks') }}">Describe a desk computer</a></p>
    </details>
    <noscript><button class="ghost">Answer</button></noscript>
</section>
