<x-page title="Compare what was measured" place="journal">
    <x-slot:say>
        @if ($test !== null)
            <b>{{ array_key_first($groups) }} is {{ round(abs($test->difference), 1) }} {{ $unit }} {{ $test->difference < 0 ? 'lower' : 'higher' }} in the mean.</b> {{ $test->words() }}
        @elseif (count($groups) === 2)
            <b>Nothing to compare.</b> {{ collect($groups)->filter(fn($one) => $one === [])->keys()->implode(' and ') }} has no reading of this kind.
        @else
            <b>Two boxes, or one before and after a day.</b> Readings come from the pages of boxes.
        @endif
    </x-slot:say>
    @if ($chart !== null)
        <section class="sheet" aria-label="Readings">
            <svg class="strips" viewBox="0 0 {{ $chart::WIDTH }} {{ $chart::HEIGHT }}" role="img" aria-label="{{ count($chart->rows[0]['dots']) }} and {{ count($chart->rows[1]['dots']) }} readings">
                @foreach ($chart->rows as $row)
                    <text class="t-name" x="{{ $chart::LEFT - 12 }}" y="{{ $row['y'] + 5 }}" text-anchor="end">{{ $row['name'] }}</text>
                    <path class="t-line" d="M{{ $chart::LEFT }} {{ $row['y'] }} H{{ $chart::RIGHT }}" />
                    <rect class="t-half" x="{{ $row['from'] }}" y="{{ $row['y'] - 11 }}" width="{{ max(1, $row['to'] - $row['from']) }}" height="22" rx="4" />
                    @foreach ($row['dots'] as $dot)
                        <circle class="t-dot" cx="{{ $dot }}" cy="{{ $row['y'] }}" r="4.5" />
                    @endforeach
                    <path class="t-mean" d="M{{ $row['mean'] }} {{ $row['y'] - 15 }} V{{ $row['y'] + 15 }}" />
                @endforeach
                @foreach ($chart->marks as $mark)
                    <text class="t-mark" x="{{ $mark['x'] }}" y="140" text-anchor="middle">{{ $mark['label'] }} {{ $unit }}</text>
                @endforeach
            </svg>
            <p class="legend"><span><i class="t mean"></i>mean</span><span><i class="t half"></i>the middle half</span></p>
            <p class="hint">{{ $test->isExact ? 'Every way of dealing the readings to the two was looked at.' : 'Twenty thousand ways of dealing the readings to the two were drawn.' }} It says whether the two differ, not why: what else was another one meanwhile only you know.</p>
        </section>
    @endif
    <form class="sheet port-form" method="get" action="{{ route('journal.compare') }}">
        <x-choice name="what" label="What was measured" :options="$whats" :chosen="$what" />
        <x-choice name="a" label="Of" :options="['' => 'choose'] + array_combine($names, $names)" :chosen="$a" />
        <x-choice name="b" label="against" :options="['' => 'itself, before and after'] + array_combine($names, $names)" :chosen="$b" />
        <div class="field-set"><label for="since">before and since the day</label><input class="in code" id="since" name="since" maxlength="10" placeholder="2026-11-01" value="{{ $since }}" autocomplete="off"></div>
        <div class="row"><button class="act">Compare</button> <a class="ghost" href="{{ route('journal') }}">Back to the journal</a></div>
    </form>
</x-page>
