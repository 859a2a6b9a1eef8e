@props(['picture'])
<svg class="memory" viewBox="0 0 {{ \Burrow\Plan\Draw\MemoryPicture::WIDTH }} {{ \Burrow\Plan\Draw\MemoryPicture::HEIGHT }}" role="img"
    aria-label="Memory of the board, {{ $picture->has }}: {{ implode(', ', array_map(fn($piece) => $piece['label'] . ' ' . $piece['amount'], $picture->pieces)) }}">
    <rect class="m-board" x="0" y="2" width="{{ \Burrow\Plan\Draw\MemoryPicture::WIDTH }}" height="30" rx="7" />
    @foreach ($picture->pieces as $i => $piece)
        <rect class="m-piece m-{{ $i % 4 }} {{ $piece['over'] ? 'over' : '' }}" x="{{ round($piece['x'], 1) }}" y="2" width="{{ round($piece['width'], 1) }}" height="30"
            rx="4" />
    @endforeach
    <line class="m-end" x1="{{ round($picture->end, 1) }}" x2="{{ round($picture->end, 1) }}" y1="0" y2="36" />
    <text class="c-rate" x="0" y="52">{{ $picture->caption }}</text>
</svg>
