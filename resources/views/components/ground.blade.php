@props(['picture', 'ids', 'network', 'networks' => 1, 'off' => [], 'lost' => []])
@php($w = $picture->width)
@php($h = $picture->height)
<svg viewBox="0 0 {{ $w }} {{ $h }}" role="group" @class(['dense' => $picture->dense])
    aria-label="Cross-section of the network: {{ array_sum(array_map(fn($chamber) => $chamber->box->boxes, $picture->chambers)) }} boxes, {{ count($picture->shafts) }} with a way in from outside">
    <rect class="g-sky" width="{{ $w }}" height="{{ $h }}" />
    <path class="g-turf" d="M0 118 q60 -14 130 -4 t150 -4 t170 2 t190 -6 t170 6 V{{ $h }} H0Z" />
    <path class="g-grass" d="M40 113 l-4 -12 M46 113 l4 -14 M250 112 l-4 -11 M256 112 l5 -13 M560 112 l-5 -12 M566 112 l3 -14 M744 110 l-4 -12 M750 110 l5 -12" />
    <path class="g-1" d="M0 146 q70 8 140 0 t150 4 t170 -4 t180 2 t170 -2 V{{ $h }} H0Z" />
    <path class="g-2" d="M0 300 q80 -16 170 -2 t180 2 t190 -4 t270 6 V{{ $h }} H0Z" />
    <path class="g-3" d="M0 440 q90 14 190 2 t200 -2 t200 6 t220 -8 V{{ $h }} H0Z" />
    <path class="g-4" d="M0 580 q80 -12 190 2 t200 0 t200 4 t220 -6 V{{ $h }} H0Z" />
    @if ($h > 900)
        <path class="g-5" d="M0 860 q80 -12 190 2 t200 0 t200 4 t220 -6 V{{ $h }} H0Z" />
    @endif
    <g class="g-stone">
        <ellipse cx="20" cy="330" rx="13" ry="8" />
        <ellipse cx="792" cy="250" rx="11" ry="7" />
        <ellipse cx="640" cy="608" rx="20" ry="9" />
        <ellipse cx="24" cy="520" rx="12" ry="7" />
        <ellipse cx="420" cy="616" rx="12" ry="6" />
    </g>
    <text class="g-out" x="22" y="34">Outside</text>
    <text class="g-outaddr" x="22" y="54">{{ auth()->user()->isKeeper() ? $network->wan ?? 'address not known' : '' }}</text>
    @foreach ($picture->gallery as $piece)
        <path class="g-gallery" d="{{ $piece->path(sway: 5) }}" />
    @endforeach
    @foreach ($picture->ways as $way)
        <path class="g-way" d="{{ $way->path(16, 4) }}" />
    @endforeach
    @foreach ($picture->shafts as $shaft)
        <path class="g-shaft" d="{{ $shaft->way->path() }}" />
        <path class="g-light" d="{{ $shaft->way->path() }}" />
        <path class="g-lid" d="M{{ $shaft->x - 19 }} {{ $shaft->mouth }} q19 -14 38 0" />
        @foreach ($shaft->labels as $i => $label)
            <text class="g-label" @if ($shaft->labelsLeft) text-anchor="end" @endif x="{{ $shaft->labelsLeft ? $shaft->x - 26 : $shaft->x + 26 }}"
                y="{{ $shaft->mouth + 4 + 16 * $i }}">{{ $label }}</text>
        @endforeach
    @endforeach
    @foreach ($picture->passages as $passage)
        <path class="g-passage" d="{{ $passage->path() }}" /><text class="g-what" x="{{ $passage->points[0][0] + 7 }}"
            y="{{ $passage->points[0][1] + ($picture->dense ? 9 : 16) }}">{{ $passage->label }}</text>
    @endforeach
    <g transform="translate({{ $w / 2 }} {{ $picture->turf + 6 }})">
        <rect class="g-router" x="-78" y="-20" width="156" height="40" rx="20" />
        <text class="g-router-name" text-anchor="middle" y="-2">router</text>
        <text class="g-router-addr" text-anchor="middle" y="13">{{ $network->router }} · /{{ \Illuminate\Support\Str::after($network->prefix, '/') }}{{ $networks > 1 ? ' · and ' . ($networks - 1) . ' more' : '' }}</text>
    </g>
    @foreach ($picture->chambers as $chamber)
        <a @class(['g-chamber', $chamber->box->state->value, 'open' => $chamber->box->openings !== [], 'off' => in_array($chamber->box->name, $off, true), 'lost' => in_array($chamber->box->name, $lost, true)]) href="{{ $chamber->box->boxes === 1 && isset($ids[$chamber->box->name]) ? "/boxes/{$ids[$chamber->box->name]}" : '/boxes' }}" data-stop
            aria-label="{{ $chamber->name() }} {{ $chamber->box->address }} {{ $chamber->note() }} ({{ in_array($chamber->box->name, $off, true) ? 'off' : (in_array($chamber->box->name, $lost, true) ? 'loses what it needs' : $chamber->box->state->value) }})">
            <path d="{{ $chamber->outline() }}" />
            @if (in_array($chamber->box->name, $off, true))
                <path class="g-cross" d="M{{ $chamber->lampX() - 6 }} {{ $chamber->lampY() - 6 }} l12 12 m0 -12 l-12 12" />
            @elseif ($chamber->box->state->value === 'answers' && ! in_array($chamber->box->name, $lost, true))
                <circle class="g-glow" cx="{{ $chamber->lampX() }}" cy="{{ $chamber->lampY() }}" r="{{ $chamber->dense ? 10 : 14 }}" />
                <circle class="g-lamp" cx="{{ $chamber->lampX() }}" cy="{{ $chamber->lampY() }}" r="{{ $chamber->dense ? 5 : 7 }}" />
            @else
                <circle class="{{ in_array($chamber->box->name, $lost, true) ? 'g-dark' : ['silent' => 'g-dark', 'unheard' => 'g-unheard'][$chamber->box->state->value] ?? 'g-kindling' }}" cx="{{ $chamber->lampX() }}" cy="{{ $chamber->lampY() }}" r="{{ $chamber->dense ? 5 : 7 }}" />
            @endif
            <text class="g-name" @if ($chamber->dense) font-size="{{ round($chamber->nameSize(), 1) }}" @endif x="{{ $chamber->nameX() }}" y="{{ $chamber->lineY(0) }}">{{ $chamber->name() }}</text>
            <text class="g-addr" x="{{ $chamber->textX() }}" y="{{ $chamber->lineY(1) }}">{{ $chamber->box->address }}</text>
            <text class="g-note" x="{{ $chamber->textX() }}" y="{{ $chamber->lineY(2) }}">{{ $chamber->note() }}</text>
        </a>
    @endforeach
</svg>
