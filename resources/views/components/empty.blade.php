@props(['title', 'href' => null, 'link' => ''])
<div class="sheet empty">
    <svg viewBox="0 0 92 62" aria-hidden="true">
        <path class="g-turf" d="M0 16 q23 -8 46 0 t46 -2 V62 H0Z" />
        <path class="g-3" d="M0 26 q23 -6 46 0 t46 0 V62 H0Z" />
        <path class="g-way" d="M46 20 V44" />
        <ellipse cx="46" cy="46" rx="22" ry="12" fill="var(--tunnel)" />
        <circle class="g-kindling" cx="46" cy="46" r="5" />
    </svg>
    <h2>{{ $title }}</h2>
    <p>{{ $slot }}</p>
    @if ($href !== null)
        <p class="row"><a class="act" href="{{ $href }}">{{ $link }}</a></p>
    @endif
</div>
