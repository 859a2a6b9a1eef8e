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
            @include('journal.strips')
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
