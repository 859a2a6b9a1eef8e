<x-page title="What was measured" place="journal">
    <x-slot:say>
        @if ($rows === [])
            <b>Nothing of this kind was measured yet.</b> Starts and updates are watched while a box is brought up; copy rates and temperatures are typed on its page; disks tell how full they are.
        @else
            <b>{{ $whats[$what] }}: {{ array_sum(array_map(fn($row) => count($row['readings']), $rows)) }} readings of {{ count($rows) === 1 ? $rows[0]['box']->name : count($rows) . ' boxes' }}.</b> {{ in_array($what, ['copy', 'heat', 'start', 'update'], true) ? 'The next estimate of the same kind of board is made from them, and names them.' : ($what === 'fill' ? 'When a disk will be full is worked out from them.' : 'Nothing is worked out from them; they show what has changed.') }}
        @endif
    </x-slot:say>
    <form class="sheet row" method="get" action="{{ route('journal.measured') }}">
        <x-choice name="what" label="What" :options="$whats" :chosen="$what" />
        <button class="act" data-done>Show</button> <a class="ghost" href="{{ route('journal.compare', ['what' => $what]) }}">Compare two</a> <a class="ghost" href="{{ route('journal') }}">Back to the journal</a>
    </form>
    @if ($chart !== null)
        <section class="sheet below" aria-label="Readings by box">
            @include('journal.strips')
        </section>
        <section class="sheet below scroll" tabindex="0" aria-label="The same as a table">
            <x-list :heads="['Box', 'Readings', 'Least', 'Middle', 'Most', 'Last']">
                @foreach ($rows as $row)
                    <tr>
                        <td><a href="{{ route('box', $row['box']) }}" data-stop>{{ $row['box']->name }}</a></td>
                        <td class="mono">{{ $row['spread']->count }}</td>
                        <td class="mono">{{ round($row['spread']->least, 1) }} {{ $unit }}</td>
                        <td class="mono">{{ round($row['spread']->middle, 1) }} {{ $unit }}</td>
                        <td class="mono">{{ round($row['spread']->most, 1) }} {{ $unit }}</td>
                        <td class="whole">{{ $row['readings'][0]['at']->setTimezone(new DateTimeZone($zone))->format('j M Y') }}</td>
                    </tr>
                @endforeach
            </x-list>
        </section>
    @endif
</x-page>
