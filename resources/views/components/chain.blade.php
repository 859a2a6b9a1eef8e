@props(['copy'])
@php($picture = \Burrow\Plan\Draw\ChainPicture::of($copy))
<svg viewBox="0 0 {{ \Burrow\Plan\Draw\ChainPicture::WIDTH }} {{ \Burrow\Plan\Draw\ChainPicture::HEIGHT }}" role="img"
    aria-label="Chain of limits in a file copy: the {{ $copy->limit()->name }} lets through least, {{ $copy->rate() }}">
    @foreach ($picture->pieces as $piece)
        <rect class="c-pipe {{ $piece['narrowest'] ? 'narrowest' : '' }}" x="{{ round($piece['x'] + 1, 1) }}" y="{{ round($piece['y'], 1) }}"
            width="{{ round($piece['width'] - 2, 1) }}" height="{{ round($piece['height'], 1) }}" rx="3" />
        <text class="c-name {{ $piece['narrowest'] ? 'narrowest' : '' }}" x="{{ round($piece['x'] + $piece['width'] / 2) }}" y="104"
            text-anchor="middle">{{ $piece['limit']->name }}</text>
        <text class="c-rate" x="{{ round($piece['x'] + $piece['width'] / 2) }}" y="122" text-anchor="middle">{{ $piece['limit']->rate }}</text>
    @endforeach
</svg>
