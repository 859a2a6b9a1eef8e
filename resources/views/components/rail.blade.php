@props(['place' => ''])
<nav class="rail" aria-label="Places">
    <svg class="core" viewBox="0 0 132 800" preserveAspectRatio="none" aria-hidden="true">
        <rect class="sky-fill" width="132" height="800" />
        <path class="turf-fill" d="M0 128 q33 -9 66 0 t66 -3 V800 H0Z" />
        <path class="s1" d="M0 146 q33 -6 66 0 t66 0 V800 H0Z" />
        <path class="s2" d="M0 268 q30 10 66 2 t66 6 V800 H0Z" />
        <path class="s3" d="M0 384 q40 -9 66 2 t66 -3 V800 H0Z" />
        <path class="s4" d="M0 496 q30 9 66 0 t66 5 V800 H0Z" />
        <path class="s5" d="M0 622 q35 -9 66 3 t66 0 V800 H0Z" />
        <g class="pebble">
            <ellipse cx="104" cy="250" rx="9" ry="5" />
            <ellipse cx="116" cy="330" rx="6" ry="4" />
            <ellipse cx="98" cy="438" rx="11" ry="6" />
            <ellipse cx="112" cy="580" rx="8" ry="5" />
        </g>
    </svg>
    <a class="brand" href="/"><svg viewBox="0 0 40 34" aria-hidden="true">
            <path class="arch" d="M4 28 a16 14 0 0 1 32 0" />
            <circle class="light" cx="20" cy="26" r="5" />
        </svg><span>Keen Burrow</span></a>
    @foreach ($places as $one)
        <a class="{{ $one->value }}" href="{{ $one->path() }}" data-letter="{{ $one->letter() }}" @if ($place === $one->value) aria-current="page" @endif>{{ $one->label() }}
            <kbd aria-hidden="true">g {{ $one->letter() }}</kbd></a>
    @endforeach
</nav>
