@php($old = fn(string $field, string $else = ''): string => is_string(old($field)) ? old($field) : $else)
<x-page :title="'Move what ' . $box->called() . ' does'" place="boxes">
    <x-slot:say>
        @if ($to === null)
            <b>The new one stands beside it first, at an address of its own.</b> Then it takes this one's address and what hangs on it, and the old card is kept.
        @elseif ($findings->blocks())
            <b>Not yet: {{ lcfirst($findings->list[0]->found) }}</b>
        @else
            <b>{{ $to->called() }} can take over. The house is without it for about {{ $dark }}.</b> Every step has a way back.
        @endif
    </x-slot:say>
    <div class="two">
        <div class="stack">
            <form class="sheet" method="get" action="{{ route('box.move', $box) }}">
                <h2>To which box</h2>
                <x-choice name="to" label="Who takes over" :options="['' => 'choose one'] + $others->mapWithKeys(fn($one) => [$one->id => $one->name . ($one->stage->stands() ? '' : ' (not up yet)')])->all()" :chosen="(string) ($to?->id ?? '')" />
                <div class="field-set"><label for="backup_gb">Size of the backup, in gigabytes</label><input class="in num" id="backup_gb" name="backup_gb" inputmode="decimal" value="{{ $size }}" @longest('backup_gb')></div>
                <div class="row"><button class="act">Look whether it can</button>
                    <a class="ghost" href="{{ route('plan', ['job' => $box->jobs->first()?->job]) }}">Plan a new one</a></div>
            </form>
            @foreach ($findings as $finding)
                <x-finding :finding="$finding" />
            @endforeach
            @if ($to !== null && $succession !== null && ! $findings->blocks())
                <form class="sheet" method="post" action="{{ route('box.move', $box) }}">
                    @csrf
                    <input type="hidden" name="to" value="{{ $to->id }}">
                    <h2>How</h2>
                    <x-choice name="school" label="Its data comes back" :options="['welcome' => 'at its welcome page, before an account', 'dummy' => 'after a set-up with settings that mean nothing']" :chosen="$old('school', 'welcome')" />
                    <div class="ticks one"><label><input type="checkbox" name="takes_name" value="1" checked> it is called {{ $box->name }} as well; the old one keeps its record as {{ $box->name }}-before</label></div>
                    <div class="ticks one"><label><input type="checkbox" name="takes_disk" value="1"> its disks are plugged over: shares, backups and copies on them go with them</label></div>
                    <div class="field-set"><label for="kept_until">The old card is kept until</label><input class="in code" id="kept_until" name="kept_until" type="date" value="{{ $old('kept_until', $until) }}"></div>
                    <div class="row"><button class="act" data-done>Begin the move</button></div>
                    <p class="hint">Nothing of the record changes before {{ $to->name }} answered at {{ $box->address }} with its own key.</p>
                </form>
            @endif
        </div>
        <div class="stack">
            <section class="sheet" aria-labelledby="times-title">
                <h2 id="times-title">How long, for {{ $size }} GB</h2>
                <x-list :heads="['What', 'Takes', 'The house meanwhile']">
                    @foreach ($times as $time)
                        <tr>
                            <td>{{ ucfirst($time['what']) }}</td>
                            <td class="whole">{{ $time['takes'] }}</td>
                            <td class="whole">{{ $time['dark'] ? 'is without it' : 'notices nothing' }}</td>
                        </tr>
                    @endforeach
                </x-list>
                <p class="hint">From experience: 8 MB/s to pack and to unpack, 30 MB/s over the line.</p>
            </section>
            @if ($succession !== null)
                <section class="sheet" aria-labelledby="parts-title">
                    <h2 id="parts-title">Other parts</h2>
                    @if ($succession->parts === [])
                        <p>Both are made of the same parts, as far as the record knows.</p>
                    @else
                        <x-list :heads="['Part', $box->called(), $to->called()]">
                            @foreach ($succession->parts as $part)
                                <tr>
                                    <td><b>{{ ucfirst($part['part']) }}</b></td>
                                    <td>{{ $part['from'] }}</td>
                                    <td>{{ $part['to'] }}</td>
                                </tr>
                            @endforeach
                        </x-list>
                    @endif
                    <p><b>Who uses it:</b> {{ $succession->holders === [] ? 'nobody that is on record' : implode(', ', $succession->holders) }}.</p>
                </section>
            @endif
            <form class="sheet" method="post" action="{{ route('box.from-desk', $box) }}">
                @csrf
                <h2>Or: from a desk computer to {{ $box->called() }}</h2>
                <div class="field-set"><label for="program">Which program</label><input class="in" id="program" name="program" @longest('program') value="{{ $old('program') }}" placeholder="the control surface"></div>
                <div class="field-set"><label for="desk_name">On which desk computer</label><input class="in" id="desk_name" name="desk_name" @longest('desk_name') value="{{ $old('desk_name', $desks[0] ?? '') }}" list="desk-names"></div>
                <datalist id="desk-names">
                    @foreach ($desks as $desk)
                        <option value="{{ $desk }}">
                    @endforeach
                </datalist>
                <div class="row"><button class="ghost">Begin: export, close there, import</button></div>
            </form>
        </div>
    </div>
</x-page>
