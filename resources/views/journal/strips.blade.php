{{-- Readings of some groups on a line each. --}}
<svg class="strips" viewBox="0 0 {{ $chart::WIDTH }} {{ $chart->height() }}" role="img" aria-label="{{ implode('; ', array_map(fn($row) => $row['name'] . ': ' . count($row['dots']) . (count($row['dots']) === 1 ? ' reading' : ' readings'), $chart->rows)) }}">
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
        <text class="t-mark" x="{{ $mark['x'] }}" y="{{ $chart->height() - 10 }}" text-anchor="middle">{{ $mark['label'] }} {{ $unit }}</text>
    @endforeach
</svg>
<p class="legend"><span><i class="t mean"></i>mean</span><span><i class="t half"></i>the middle half</span></p>
