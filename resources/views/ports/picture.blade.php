<svg viewBox="0 0 {{ $picture::WIDTH }} {{ $picture->height }}" role="group" aria-label="Ports by who reaches them; the same stands in the table below">
    <defs>
        @foreach (['' => '', 'unclaimed' => 'M13 6 l7 3 v12', 'none' => '', 'default' => 'M10 12 m-2.300 0 a2.300 2.300 0 1 1 4.600 0 a2.300 2.300 0 1 1 -4.600 0 M10 14.500 v4', 'changed' => 'M5 13 h10', 'second' => 'M5 11 h10 M5 16 h10', 'keys' => 'M6 14 h.1 M10 14 h.1 M14 14 h.1'] as $door => $inside)
            <g id="door-{{ $door ?: 'unknown' }}">
                @if ($door === 'none')
                    <path class="d-line" d="M4 22 V6 M16 22 V6" />
                @else
                    <path class="{{ in_array($door, ['changed', 'second', 'keys'], true) ? 'd-full' : 'd-line' }} {{ $door === '' ? 'd-dashed' : '' }}" d="M3 22 V10 a7 7 0 0 1 14 0 V22 Z" />
                    @if ($inside !== '')
                        <path class="{{ in_array($door, ['changed', 'second', 'keys'], true) ? 'd-cut' : 'd-line' }}" d="{{ $inside }}" />
                    @endif
                @endif
            </g>
        @endforeach
    </defs>
    <rect class="g-sky" width="{{ $picture::WIDTH }}" height="60" />
    <path class="g-turf" d="M0 44 q60 -8 130 -2 t150 -2 t170 1 t190 -3 t160 3 V70 H0Z" />
    <text class="g-out" x="18" y="30">Outside</text>
    <text class="p-say" x="768" y="28" text-anchor="end">nearer to the surface, nearer to the internet</text>
    @foreach ($picture->strata as $stratum)
        <rect class="p-{{ $stratum->id }}" x="0" y="{{ $stratum->y }}" width="{{ $picture::WIDTH }}" height="{{ $stratum->height + 1 }}" />
        @if ($stratum->id === 'world' || $stratum->id === 'box')
            <path class="p-stones" d="M4 {{ $stratum->y }} H782" />
        @endif
        <text class="p-name" x="14" y="{{ $stratum->y + 26 }}">{{ $stratum->name }}</text>
        <text class="p-say on-soil" x="14" y="{{ $stratum->y + 43 }}">{{ $stratum->count === 0 ? 'nothing' : ($stratum->count === 1 ? '1 port' : "{$stratum->count} ports") }}</text>
    @endforeach
    @foreach ($picture->shafts as $shaft)
        <path class="p-shaft" d="M{{ $shaft['x'] }} 42 V{{ $shaft['y'] + 4 }}" />
        <path class="g-light" d="M{{ $shaft['x'] }} 46 V{{ $shaft['y'] }}" />
        <path class="{{ $shaft['lid'] ? 'p-lid' : 'p-flare' }}" d="{{ $shaft['lid'] ? "M" . ($shaft['x'] - 17) . ' 42 q17 -13 34 0' : 'M' . ($shaft['x'] - 15) . ' 32 L' . ($shaft['x'] - 7) . ' 46 M' . ($shaft['x'] + 15) . ' 32 L' . ($shaft['x'] + 7) . ' 46' }}"><title>{{ $shaft['label'] }}</title></path>
    @endforeach
    @foreach ($picture->strata as $stratum)
        @foreach ($stratum->chips as $chip)
            <a class="p-chip {{ $chip->wall }} {{ $chip->cracked ? 'cracked' : '' }} at-{{ $stratum->id }}" @if ($chip->key !== '') href="#{{ $chip->key }}" @else href="#table" @endif>
                <title>{{ $chip->told }}</title>
                @if ($chip->boxes > 1)
                    <rect class="p-behind" x="{{ $chip->x + 5 }}" y="{{ $chip->y - 3 }}" width="{{ $picture::CHIP }}" height="{{ $picture::TALL }}" rx="12" />
                @endif
                @if ($chip->wall === 'unplanned')
                    <path class="wall" d="M{{ $chip->x + 4 }} {{ $chip->y + 3 }} {{ str_repeat('l6 -3 l6 3 ', 12) }} l3 0 l-3 6 l3 6 l-3 6 l3 6 l-3 6 l3 6 l-3 4 {{ str_repeat('l-6 3 l-6 -3 ', 12) }} l-3 -4 l3 -6 l-3 -6 l3 -6 l-3 -6 l3 -6Z" />
                @else
                    <rect class="wall" x="{{ $chip->x }}" y="{{ $chip->y }}" width="{{ $picture::CHIP }}" height="{{ $picture::TALL }}" rx="12" />
                @endif
                @if ($chip->cracked)
                    <path class="p-crack" d="M{{ $chip->x + 96 }} {{ $chip->y }} l-7 12 l9 9 l-9 11 l6 12" />
                @endif
                <use href="#door-{{ $chip->door ?: 'unknown' }}" x="{{ $chip->x + 8 }}" y="{{ $chip->y + 9 }}" />
                <text class="p-port" x="{{ $chip->x + 34 }}" y="{{ $chip->y + 19 }}">{{ $chip->number }} <tspan class="p-whose">{{ $chip->name }}</tspan></text>
                <text class="p-under" x="{{ $chip->x + 34 }}" y="{{ $chip->y + 35 }}">{{ $chip->under }}</text>
            </a>
        @endforeach
        @if ($stratum->more > 0)
            <a class="p-chip more" href="#table"><rect class="wall" x="{{ $stratum->moreX }}" y="{{ $stratum->moreY }}" width="{{ $picture::CHIP }}" height="{{ $picture::TALL }}" rx="12" />
                <text class="p-whose" x="{{ $stratum->moreX + 16 }}" y="{{ $stratum->moreY + 27 }}">and {{ $stratum->more }} more</text></a>
        @endif
    @endforeach
</svg>
