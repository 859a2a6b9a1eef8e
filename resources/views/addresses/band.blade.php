<svg viewBox="0 0 {{ \Burrow\Addresses\Draw\AddressBand::WIDTH }} {{ ceil($band->height) }}" role="group"
    aria-label="The addresses of {{ $network->prefix }}: what is handed out, what is free, and who stands where">
    @foreach ($band->shelves as $shelf)
        <text class="b-text" x="{{ $band->edge() - 8 }}" y="{{ $shelf->y + 16 }}" text-anchor="end">{{ $shelf->range->first }}</text>
        <rect class="b-all" x="{{ $band->edge() }}" y="{{ $shelf->y }}" width="{{ $shelf->width }}" height="{{ $band->bandHeight() }}" rx="7" />
        @foreach ($shelf->gaps as $run)
            <a href="{{ route('addresses', ['free' => (string) $run->range->first, ...\App\Addresses\AskedNetwork::shown($network)]) }}#gap" data-stop
                aria-label="{{ $run->range }}: {{ $run->range->size() }} free">
                <rect class="b-gap" x="{{ $run->x }}" y="{{ $shelf->y }}" width="{{ $run->width }}" height="{{ $band->bandHeight() }}" rx="5" />
                @if ($run->told)
                    <text class="b-told" x="{{ $run->x + $run->width / 2 }}" y="{{ $shelf->y + 16 }}" text-anchor="middle">{{ $run->range->size() }} free</text>
                @endif
            </a>
        @endforeach
        @foreach ($shelf->pools as $run)
            <rect class="b-pool" x="{{ $run->x }}" y="{{ $shelf->y }}" width="{{ $run->width }}" height="{{ $band->bandHeight() }}" />
        @endforeach
        @foreach ($shelf->pegs as $peg)
            @if ($peg->level > 0)
                <path class="b-stem" d="M{{ $peg->x }} {{ $band::nameY($shelf, $peg->level) - 9 }} V{{ $shelf->y }}" />
                <text class="b-name" x="{{ $peg->x + 3 }}" y="{{ $band::nameY($shelf, $peg->level) }}">{{ $peg->standing->name }}</text>
            @endif
            <rect class="b-peg {{ $peg->standing->kind->value }}" x="{{ $peg->x - 3.5 }}" y="{{ $shelf->y - 2 }}" width="7" height="{{ $band->bandHeight() + 4 }}" rx="3">
                <title>{{ $peg->standing->address }} {{ $peg->standing->name }}, {{ $peg->standing->kind->label() }}</title>
            </rect>
        @endforeach
    @endforeach
</svg>
