@props(['ladder'])
<svg class="voltage" viewBox="0 0 {{ \Burrow\Plan\Draw\VoltageLadder::WIDTH }} {{ \Burrow\Plan\Draw\VoltageLadder::HEIGHT }}" role="img"
    aria-label="Voltage from {{ $ladder->start }} at the supply to {{ $ladder->end }} at the board; it complains below {{ $ladder->threshold }}">
    <path class="v-area {{ $ladder->below ? 'below' : '' }}" d="{{ $ladder->area() }}" />
    <line class="v-limit" x1="64" x2="480" y1="{{ round($ladder->thresholdY, 1) }}" y2="{{ round($ladder->thresholdY, 1) }}" />
    <path class="v-line {{ $ladder->below ? 'below' : '' }}" d="{{ $ladder->path() }}" />
    <text class="c-rate" x="58" y="{{ round($ladder->startY + 4, 1) }}" text-anchor="end">{{ $ladder->start }}</text>
    <text class="c-rate" x="486" y="{{ round($ladder->endY + 4, 1) }}">{{ $ladder->end }}</text>
    <text class="c-rate" x="70" y="{{ round($ladder->thresholdY - 4, 1) }}">complains below {{ $ladder->threshold }}</text>
    <text class="c-name" x="64" y="104">supply</text><text class="c-rate" x="272" y="104" text-anchor="middle">{{ $ladder->along }}</text><text class="c-name" x="480" y="104"
        text-anchor="end">board</text>
</svg>
