@php($bytes = fn(float $count): string => Burrow\Quantity\Bytes::of((int) $count)->decimal())
<x-page title="What comes by itself" place="stores">
    <x-slot:say>
        @if ($all === [])
            <b>What comes by itself fills a disk by itself.</b>
        @elseif ($full === null)
            <b>It fits.</b> In the end they hold {{ $bytes($held) }} of {{ $bytes($room) }}{{ $held > 0.85 * $room ? ', more than the 85 % at which file systems slow down' : '' }}.
        @else
            <b>The disk is full after {{ $full < 2 ? round($full * 24) . ' hours' : round($full) . ' days' }}.</b> They would hold {{ $bytes($held) }}, and there is room for {{ $bytes($room) }}.
        @endif
    </x-slot:say>
    @if ($picture !== null)
        <section class="sheet" aria-label="What they hold over the days">
            <svg class="growth" viewBox="0 0 {{ $picture::WIDTH }} {{ $picture::HEIGHT }}" role="img" aria-label="{{ $full === null ? 'Everything stays below the room there is' : 'The room is used up after ' . round($full, 1) . ' days' }}">
                @foreach ($picture->layers as $layer)
                    <path class="g-layer g-{{ $loop->index }}" d="{{ $layer['path'] }}" />
                    <text class="g-name" x="{{ $picture::RIGHT + 8 }}" y="{{ $layer['label'] + 4 }}">{{ $layer['name'] }}</text>
                @endforeach
                <path class="g-room" d="M{{ $picture::LEFT }} {{ $picture->roomY }} H{{ $picture::RIGHT }}" />
                <text class="g-mark" x="{{ $picture::LEFT - 6 }}" y="{{ $picture->roomY + 4 }}" text-anchor="end">{{ $bytes($room) }}</text>
                <path class="g-base" d="M{{ $picture::LEFT }} {{ $picture::BOTTOM }} H{{ $picture::RIGHT }}" />
                <text class="g-mark" x="{{ $picture::LEFT }}" y="{{ $picture::BOTTOM + 20 }}">empty</text>
                <text class="g-mark" x="{{ $picture::RIGHT }}" y="{{ $picture::BOTTOM + 20 }}" text-anchor="end">{{ round($picture->days) }} days</text>
                @if ($picture->full !== null)
                    <circle class="g-full" cx="{{ $picture->full }}" cy="{{ $picture->roomY }}" r="6" />
                @endif
            </svg>
            <x-list :heads="['What', 'A day', 'In the end', 'Alone in the room']">
                @foreach ($all as $one)
                    <tr>
                        <td><b>{{ ucfirst($one->name) }}</b></td>
                        <td class="mono whole">{{ $bytes($one->perDay) }}</td>
                        <td class="mono whole">{{ $bytes($one->held()) }}</td>
                        <td class="whole">{{ $one->daysIn($room) === null ? '—' : ($one->daysIn($room) > 36500 ? 'over 100 years' : round($one->daysIn($room)) . ' days') }}</td>
                    </tr>
                @endforeach
            </x-list>
            @foreach ($all as $one)
                <x-working :working="$one->working()" />
            @endforeach
        </section>
    @endif
    <form class="sheet port-form" method="get" action="{{ route('growth') }}">
        <x-field name="room" label="Room for them, GB" :value="$typed['room']" :findings="$findings" code inputmode="decimal" autocomplete="off" hint="What is free now, without the share that stays free." />
        <x-field name="picture" label="Time-lapse: one picture, MB" :value="$typed['picture']" :findings="$findings" code inputmode="decimal" autocomplete="off" hint="0 for none." />
        <x-field name="every" label="A picture every … seconds" :value="$typed['every']" :findings="$findings" code inputmode="decimal" autocomplete="off" />
        <x-field name="lit" label="Hours a day" :value="$typed['lit']" :findings="$findings" code inputmode="decimal" autocomplete="off" />
        <x-field name="lapse_days" label="Kept, days" :value="$typed['lapse_days']" :findings="$findings" code inputmode="decimal" autocomplete="off" />
        <x-field name="megabits" label="Recordings, Mbit/s" :value="$typed['megabits']" :findings="$findings" code inputmode="decimal" autocomplete="off" hint="0 for none. The camera’s own page has its bit rate." />
        <x-field name="moving" label="Hours a day that it records" :value="$typed['moving']" :findings="$findings" code inputmode="decimal" autocomplete="off" hint="24, or only while something moves." />
        <x-field name="recording_days" label="Kept, days" :value="$typed['recording_days']" :findings="$findings" code inputmode="decimal" autocomplete="off" hint="Who else is in the picture has a say in this: local rules may limit it." />
        <x-field name="queries" label="Query log, questions a day" :value="$typed['queries']" :findings="$findings" code inputmode="decimal" autocomplete="off" hint="0 for none." />
        <x-field name="line" label="Bytes a line" :value="$typed['line']" :findings="$findings" code inputmode="decimal" autocomplete="off" />
        <x-field name="log_days" label="Kept, days" :value="$typed['log_days']" :findings="$findings" code inputmode="decimal" autocomplete="off" />
        <x-field name="changed" label="Snapshots, GB changed a day" :value="$typed['changed']" :findings="$findings" code inputmode="decimal" autocomplete="off" hint="0 for none. A snapshot on the same disk is no copy: it goes with the disk." />
        <x-field name="snapshot_days" label="Kept, days" :value="$typed['snapshot_days']" :findings="$findings" code inputmode="decimal" autocomplete="off" />
        <div class="row"><button class="act">Work it out</button> <a class="ghost" href="{{ route('stores') }}">Back to the stores</a></div>
    </form>
</x-page>
