@php($at = array_search($then->day->format('Y-m-d'), array_column($months, 'day'), true))
<x-page title="The house on a day" place="ground" script="ground">
    <x-slot:say><b>{{ $then->day->format('j F Y') }}: {{ lcfirst($then->sentence()) }}</b> As the record kept it; whether they answered is not kept.</x-slot:say>
    <form class="sheet row then" method="get" action="{{ route('then') }}">
        @php($steps = count($months) - 1)
        <a class="ghost small" href="{{ route('then', ['day' => $months[min($steps, ($at === false ? 0 : $at) + 1)]['day']]) }}" rel="prev" data-stop>A month earlier</a>
        <div class="field-set"><label for="day">On this day</label>
            <input class="in" id="day" name="day" type="date" value="{{ $then->day->format('Y-m-d') }}" max="{{ $now->format('Y-m-d') }}" list="months"></div>
        <datalist id="months">
            @foreach ($months as $one)
                <option value="{{ $one['day'] }}" label="{{ $one['label'] }}">
            @endforeach
        </datalist>
        <input type="range" class="slide" min="0" max="{{ $steps }}" value="{{ $at === false ? $steps : $steps - $at }}" data-days="{{ implode(' ', array_reverse(array_column($months, 'day'))) }}" aria-label="Slide through the months" hidden>
        <button class="act" data-done>Look</button>
        @if ($at !== 0)
            <a class="ghost small" href="{{ route('then', ['day' => $months[max(0, ($at === false ? 1 : $at) - 1)]['day']]) }}" rel="next" data-stop>A month later</a>
        @endif
        <a class="ghost small" href="/">Ground, now</a>
    </form>
    <div class="aside spaced" id="then">
        <div class="picture" tabindex="0" aria-label="Cross-section, may be scrolled" data-narrow="{{ request()->fullUrlWithQuery(['narrow' => 1]) }}">
            <x-ground :picture="$picture" :ids="$ids" :network="$network" />
        </div>
        <div class="stack">
            <section class="sheet" aria-labelledby="since-title">
                <h2 id="since-title">Since then</h2>
                @if ($then->came === [] && $then->went === [] && $then->opened === [] && $then->closed === [])
                    <p>Nothing came, went, opened or closed.</p>
                @endif
                @foreach ($then->closed as $one)
                    <p class="slim">@mark('fine') <span><b class="mono">{{ $one['way'] }}</b> to {{ $one['box'] }} was closed.</span></p>
                @endforeach
                @foreach ($then->opened as $one)
                    <p class="slim">@mark('warn') <span><b class="mono">{{ $one['way'] }}</b> to {{ $one['box'] }} was opened.</span></p>
                @endforeach
                @if ($then->came !== [])
                    <p class="slim">@mark('note') <span>In service now: {{ implode(', ', $then->came) }}.</span></p>
                @endif
                @if ($then->went !== [])
                    <p class="slim">@mark('note') <span>Gone: {{ implode(', ', $then->went) }}.</span></p>
                @endif
            </section>
            <section class="sheet" aria-labelledby="ways-title">
                <h2 id="ways-title">What reached the surface</h2>
                @forelse ($then->ways as $one)
                    <p><b class="mono">{{ $one['way'] }}</b> to {{ $one['box'] }}</p>
                @empty
                    <p>Nothing.</p>
                @endforelse
            </section>
        </div>
    </div>
</x-page>
