@props(['severity'])
<svg width="20" height="20" viewBox="0 0 20 20" aria-hidden="true">
    @switch($severity)
        @case('stop')
            <path class="mark-stop" d="M6 1 h8 l5 5 v8 l-5 5 h-8 l-5 -5 v-8z" />
            <path class="mark-line" d="M6 10 h8" />
        @break

        @case('warn')
            <path class="mark-warn" d="M10 1 L19.4 18 H.6Z" />
            <path class="mark-line" d="M10 7.5 v4.500 M10 15 v.2" />
        @break

        @case('note')
            <circle class="mark-note" cx="10" cy="10" r="9" />
            <path class="mark-line" d="M10 9.500 v5 M10 5.800 v.2" />
        @break

        @default
            <rect class="mark-fine" x="1" y="1" width="18" height="18" rx="5" />
            <path class="mark-line" d="M5.500 10.500 l3 3 l6 -7" />
    @endswitch
</svg>
