<div class="sheet">
    @foreach ($choices->toArray() as $name => $value)
        <input type="hidden" name="{{ $name }}" value="{{ $value }}" form="keep">
    @endforeach
    @if ($ways !== [] && $host === null && !$choices->onDesk())
        <div class="ways">
            <h3>Ways out</h3>
            @foreach ($ways as $way)
                <p><a href="{{ route('plan', $choices->taking($way)) }}">{{ $way->sentence() }}</a> <span
                        class="soft">{{ $way->price($currency) }}{{ $way->leaves === [] ? '' : '; leaves: ' . lcfirst(implode(' ', $way->leaves)) }}</span></p>
            @endforeach
        </div>
    @endif
    @if ($choices->onDesk())
        @foreach ($seat->findings as $finding)
            <x-slim :finding="$finding" />
        @endforeach
    @else
        @php([$fine, $rest] = collect($answer->findings->list)->partition(fn($finding) => $finding->severity->value === 'fine'))
        @foreach ($rest as $finding)
            <x-slim :finding="$finding" />
        @endforeach
        @if ($dark !== null)
            <x-slim :finding="$dark" />
        @endif
        @if ($old !== null && $host === null)
            <x-slim :finding="$old" />
        @endif
        @foreach ($fine as $finding)
            <x-slim :finding="$finding" />
        @endforeach
    @endif
</div>
