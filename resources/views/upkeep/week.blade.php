<svg viewBox="0 0 {{ $picture::WIDTH }} {{ $picture->height }}" role="group" aria-label="The coming week, a lane a box; the same stands in the table below">
    <defs>
        <pattern id="u-t0" width="6" height="6" patternUnits="userSpaceOnUse"><rect width="2" height="6" class="u-line" /></pattern>
        <pattern id="u-t1" width="7" height="7" patternUnits="userSpaceOnUse"><circle cx="2" cy="2" r="1.600" class="u-line" /><circle cx="5.500" cy="5.500" r="1.600" class="u-line" /></pattern>
        <pattern id="u-t2" width="6" height="6" patternUnits="userSpaceOnUse"><rect width="6" height="2" class="u-line" /></pattern>
        <pattern id="u-t3" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(35)"><rect width="2" height="4" class="u-line" /></pattern>
    </defs>
    <rect class="g-sky" width="{{ $picture::WIDTH }}" height="{{ $picture::HEAD }}" />
    <path class="g-turf" d="M0 {{ $picture::HEAD - 16 }} q60 -8 130 -2 t150 -2 t170 1 t190 -3 t160 3 V{{ $picture::HEAD + 2 }} H0Z" />
    @foreach ($picture->lanes as $lane)
        <rect class="u-lane {{ $loop->even ? 'even' : '' }}" x="0" y="{{ $lane->y }}" width="{{ $picture::WIDTH }}" height="{{ $picture::LANE + 1 }}" />
    @endforeach
    <rect class="u-lane end" x="0" y="{{ $picture->height - 12 }}" width="{{ $picture::WIDTH }}" height="12" />
    @if ($picture->dug)
        <path class="u-dug" d="M{{ $picture::DIG - 8 }} {{ $picture::HEAD - 4 }} q8 60 0 {{ ($picture->height - $picture::HEAD) / 2 }} t4 {{ ($picture->height - $picture::HEAD) / 2 }} H{{ $picture::DUG }} q-8 -70 2 -{{ ($picture->height - $picture::HEAD) / 2 }} t-4 -{{ ($picture->height - $picture::HEAD) / 2 }} Z" />
        <text class="p-name dark" x="{{ $picture::DIG }}" y="32">Dug open</text>
        @foreach ($picture->clock as $mark)
            <text class="u-mark" x="{{ round($mark['x'], 1) }}" y="62">{{ $mark['label'] }}</text>
            <path class="u-tick" d="M{{ round($mark['x'], 1) }} {{ $picture::HEAD - 20 }} V{{ $picture->height - 12 }}" />
        @endforeach
    @endif
    @foreach ($picture->days as $day)
        <text class="u-mark" x="{{ round($day['x'] + 3, 1) }}" y="62">{{ $day['label'] }}</text>
        <path class="u-tick" d="M{{ round($day['x'], 1) }} {{ $picture::HEAD - 20 }} V{{ $picture->height - 12 }}" />
    @endforeach
    <text class="p-name dark" x="16" y="32">The coming week</text>
    <path class="u-now" d="M{{ $picture::LEFT }} 40 V{{ $picture->height - 12 }}" />
    <text class="u-mark now" x="{{ $picture::LEFT - 6 }}" y="62" text-anchor="end">now</text>
    @foreach ($picture->lanes as $lane)
        <text class="g-name" x="16" y="{{ $lane->y + 34 }}">{{ \Illuminate\Support\Str::limit($lane->box, 14, '…') }}</text>
        @foreach ($lane->busy as $span)
            <rect class="u-tex t{{ $span['texture'] }}" x="{{ round($span['x'], 1) }}" y="{{ $lane->y + 8 }}" width="{{ round($span['width'], 1) }}" height="{{ $picture::LANE - 16 }}" rx="2" />
        @endforeach
        @if ($lane->from !== null)
            <rect class="u-do" x="{{ round($lane->from, 1) }}" y="{{ $lane->y + 20 }}" width="{{ round($lane->to - $lane->from, 1) }}" height="18" rx="5" />
            @if ($lane->dark !== null)
                <rect class="u-dark" x="{{ round($lane->dark, 1) }}" y="{{ $lane->y + 22 }}" width="{{ round($lane->to - $lane->dark - 2, 1) }}" height="14" rx="3" />
            @endif
        @endif
        <rect class="u-plate" x="{{ round($lane->saysX - 3, 1) }}" y="{{ $lane->y + 19 }}" width="{{ round(mb_strlen($lane->says) * 7.3 + 10, 1) }}" height="20" rx="6" />
        <text class="u-says" x="{{ round($lane->saysX + 2, 1) }}" y="{{ $lane->y + 33 }}">{{ $lane->says }}</text>
    @endforeach
</svg>
