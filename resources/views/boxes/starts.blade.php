<section class="sheet" aria-labelledby="starts-title">
    <h2 id="starts-title">How it starts</h2>
    <svg class="starts" viewBox="0 0 {{ $starts::WIDTH }} {{ $starts->height }}" role="img" aria-label="Starts of this box that were watched; the same stands in the table below">
        @foreach ($starts->marks as $mark)
            <path class="s-mark" d="M{{ round($mark['x'], 1) }} 22V{{ $starts->height }}" />
            <text class="s-time" x="{{ round($mark['x'], 1) }}" y="15" text-anchor="middle">{{ $mark['label'] }}</text>
        @endforeach
        @if ($starts->usual !== null)
            <rect class="s-usual" x="{{ round($starts->usual[0] - 3, 1) }}" y="22" width="{{ round($starts->usual[1] - $starts->usual[0] + 6, 1) }}" height="{{ $starts->height - 24 }}" rx="4" />
        @endif
        @foreach ($starts->rows as $row)
            <text class="s-when {{ $loop->first ? 'newest' : '' }}" x="2" y="{{ $row['y'] + 4 }}">{{ $row['label'] }}</text>
            <path class="s-line" d="M120 {{ $row['y'] }}H{{ round(max([120, ...array_column($row['dots'], 'x')]), 1) }}" />
            @foreach ($row['dots'] as $dot)
                @if ($dot['stage']->value === 'login')
                    <circle class="s-dot login" cx="{{ round($dot['x'], 1) }}" cy="{{ $row['y'] }}" r="6" />
                @elseif ($dot['stage']->value === 'away')
                    <path class="s-dot away" d="M{{ round($dot['x'], 1) }} {{ $row['y'] - 6 }}v12" />
                @elseif ($dot['stage']->value === 'address')
                    <circle class="s-dot address" cx="{{ round($dot['x'], 1) }}" cy="{{ $row['y'] }}" r="4" />
                @else
                    <rect class="s-dot page" x="{{ round($dot['x'] - 4, 1) }}" y="{{ $row['y'] - 4 }}" width="8" height="8" />
                @endif
            @endforeach
        @endforeach
    </svg>
    <p class="slim-text soft">Bar: it went down. Ring: it has its address. Disc: remote login answers. Squares: its port answers, its page is ready.
        @if ($starts->usual !== null)
            Shaded: where remote login came at the earlier starts.
        @endif
    </p>
    <details class="working">
        <summary><span>The same as a table</span></summary>
        <table class="lines"><tbody>
            @foreach ($starts->rows as $row)
                <tr><th scope="row">{{ $row['label'] }}</th>
                    <td>{{ collect($row['dots'])->map(fn($dot) => $dot['stage']->words() . ' after ' . Burrow\Quantity\Duration::seconds($dot['seconds']))->implode(', ') }}</td></tr>
            @endforeach
        </tbody></table>
    </details>
</section>
