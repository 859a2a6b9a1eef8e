<svg viewBox="0 0 {{ $picture::WIDTH }} {{ $picture->height }}" role="group" aria-label="Ways in from outside; the same stands in the tables below">
    <rect class="g-sky" width="{{ $picture::WIDTH }}" height="{{ $picture::TURF }}" />
    <path class="g-turf" d="M0 152 q60 -9 130 -2 t150 -2 t170 1 t190 -4 t160 4 V{{ $picture::TURF + 14 }} H0Z" />
    <text class="g-out" x="18" y="30">Outside</text>
    @if ($keeps)
        <text class="g-outaddr" x="98" y="30">{{ $network->outside_name ? $network->outside_name . ' is ' : '' }}{{ $network->wan ?? 'address not known' }}</text>
    @endif
    <text class="p-say" x="768" y="30" text-anchor="end">lid: only with a key · flared: anyone may knock</text>
    @foreach ($picture->travellers as $i => $traveller)
        <text class="w-name" x="{{ $traveller['x'] }}" y="72" text-anchor="middle">{{ $traveller['name'] }}</text>
        <text class="p-say" x="{{ $traveller['x'] }}" y="89" text-anchor="middle">{{ $traveller['under'] }}</text>
        <circle class="w-lamp {{ $traveller['away'] ? 'away' : '' }}" cx="{{ $traveller['x'] }}" cy="105" r="6.500" />
        @php($to = collect($picture->shafts)->first(fn($one) => $one->lid))
        @if ($to !== null)
            <path class="w-thread {{ $traveller['away'] ? 'away' : '' }}" d="M{{ $traveller['x'] }} 113 Q{{ $traveller['x'] }} 138 {{ $to->x + ($traveller['x'] < $to->x ? -22 : 22) }} 148" />
        @endif
    @endforeach
    @if ($picture->travellers === [])
        <text class="p-say" x="150" y="92">No device has a key yet.</text>
    @endif
    @if ($picture->moreTravellers > 0)
        <text class="p-say" x="768" y="52" text-anchor="end">and {{ $picture->moreTravellers }} more with a key{{ $keeps ? ', below' : '' }}</text>
    @endif
    <path class="p-stones" d="M4 {{ $picture::TURF + 10 }} H782" />
    @foreach ($picture->strata as $stratum)
        <rect class="w-{{ $stratum->id }}" x="0" y="{{ $loop->first ? $picture::TURF + 14 : $stratum->y }}" width="{{ $picture::WIDTH }}" height="{{ $stratum->height + 1 + ($loop->first ? $stratum->y - $picture::TURF - 14 : 0) }}" />
        @if ($stratum->id === 'not')
            <path class="p-stones" d="M4 {{ $stratum->y }} H782" />
        @endif
        <text class="p-name" x="14" y="{{ $stratum->y + 32 }}">{{ $stratum->name }}</text>
        <text class="p-name" x="14" y="{{ $stratum->y + 50 }}">{{ $stratum->under }}</text>
        @if ($stratum->chambers === [])
            <text class="p-say on-soil" x="150" y="{{ $stratum->y + 42 }}">no box</text>
        @endif
    @endforeach
    @foreach ($picture->strata as $stratum)
        @if ($stratum->more > 0)
            <text class="p-say on-soil" x="150" y="{{ $stratum->y + $stratum->height - 14 }}">and {{ $stratum->more }} more, among all boxes</text>
        @endif
    @endforeach
    @foreach ($picture->passages as $passage)
        <path class="w-passage" d="{{ $passage }}" />
        <path class="g-light" d="{{ $passage }}" />
    @endforeach
    @foreach ($picture->shafts as $shaft)
        <path class="p-shaft" d="M{{ $shaft->x }} 150 V{{ $shaft->bottom + 4 }}" />
        <path class="g-light" d="M{{ $shaft->x }} 156 V{{ $shaft->bottom }}" />
        <path class="{{ $shaft->lid ? 'p-lid' : 'p-flare' }}" d="{{ $shaft->lid ? 'M' . ($shaft->x - 17) . ' 150 q17 -13 34 0' : 'M' . ($shaft->x - 15) . ' 138 L' . ($shaft->x - 7) . ' 153 M' . ($shaft->x + 15) . ' 138 L' . ($shaft->x + 7) . ' 153' }}" />
        <a class="w-tag {{ $shaft->past ? 'past' : '' }}" href="#opening-{{ $shaft->id }}">
            <title>Opening {{ $shaft->port }}: {{ $shaft->owner }}, {{ $shaft->reason }}, look again {{ $shaft->review }}</title>
            <path class="w-string" d="M{{ $shaft->x + 8 }} {{ $picture::TAGS + 14 }} h12" />
            <rect x="{{ $shaft->x + 20 }}" y="{{ $picture::TAGS + 2 }}" width="{{ $shaft->tag }}" height="62" rx="6" />
            <text class="w-port" x="{{ $shaft->x + 28 }}" y="{{ $picture::TAGS + 18 }}">{{ $shaft->port }}{{ $shaft->more > 0 ? " +{$shaft->more}" : '' }}</text>
            <text class="w-text" x="{{ $shaft->x + 28 }}" y="{{ $picture::TAGS + 33 }}">{{ $shaft->owner }}</text>
            <text class="w-text" x="{{ $shaft->x + 28 }}" y="{{ $picture::TAGS + 47 }}">{{ $shaft->reason }}</text>
            <text class="w-text {{ $shaft->past ? 'past' : '' }}" x="{{ $shaft->x + 28 }}" y="{{ $picture::TAGS + 60 }}">{{ $shaft->tag < 100 ? '' : ($shaft->past ? 'look again was ' : 'look again ') }}{{ $shaft->review }}</text>
        </a>
    @endforeach
    @foreach ($picture->strata as $stratum)
        @foreach ($stratum->chambers as $chamber)
            <a class="w-chamber at-{{ $stratum->id }}" href="/boxes/{{ $chamber->id }}">
                <rect x="{{ $chamber->x }}" y="{{ $chamber->y }}" width="{{ $picture::CHAMBER }}" height="{{ $picture::TALL }}" rx="25" />
                <circle class="{{ $chamber->answers ? 'g-lamp' : 'g-dark' }}" cx="{{ $chamber->x + 22 }}" cy="{{ $chamber->y + 19 }}" r="6.500" />
                <text class="w-box" x="{{ $chamber->x + 38 }}" y="{{ $chamber->y + 22 }}">{{ $chamber->name }}</text>
                <text class="p-under" x="{{ $chamber->x + 38 }}" y="{{ $chamber->y + 39 }}">{{ $chamber->under }}</text>
            </a>
        @endforeach
    @endforeach
</svg>
