@props(['name'])
<svg width="18" height="18" viewBox="0 0 18 18" fill="none" stroke="currentColor" stroke-width="1.9" stroke-linecap="round" stroke-linejoin="round" aria-hidden="true">
    @switch($name)
        @case('hand')
            <path
                d="M5 9 V4.500 a1.200 1.200 0 0 1 2.400 0 V8 M7.400 8 V3 a1.200 1.200 0 0 1 2.400 0 V8 M9.800 8 V4 a1.200 1.200 0 0 1 2.400 0 V9 M12.200 9 V6.500 a1.200 1.200 0 0 1 2.300 0 V11 c0 3 -2 5 -4.800 5 c-3 0 -4.200 -1.700 -6.200 -5 c-.8 -1.400 1 -2.200 1.800 -1z" />
        @break

        @case('desk')
            <rect x="2" y="3" width="14" height="9" rx="1.500" />
            <path d="M6 15.500 h6 M9 12 v3.500" />
        @break

        @case('box')
            <rect x="1.500" y="2.500" width="15" height="13" rx="3" />
            <path d="M5 6.500 l2.500 2.500 l-2.500 2.500 M9.500 11.500 h3.500" />
        @break

        @case('wait')
            <path d="M5 2 h8 M5 16 h8 M5.500 2 c0 4 7 4.500 7 7 s-7 3 -7 7 M12.500 2 c0 4 -7 4.500 -7 7 s7 3 7 7" />
        @break

        @case('verify')
            <circle cx="8" cy="8" r="5.500" />
            <path d="M12.200 12.200 L16 16 M5.800 8 l1.700 1.700 l2.700 -3.200" />
        @break

        @case('theme')
            <circle cx="9" cy="9" r="6.500" />
            <path d="M9 2.500 a6.500 6.500 0 0 1 0 13z" fill="currentColor" />
        @break

        @case('run')
            <path d="M3 4 h5 M3 9 h9 M3 14 h5" />
            <path d="M11.500 12 l2 2 l3 -3.500" />
        @break
    @endswitch
</svg>
