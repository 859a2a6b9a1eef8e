<div class="sheet">
    @foreach ($choices->toArray() as $name => $value)
        <input type="hidden" name="{{ $name }}" value="{{ $value }}" form="keep">
    @endforeach
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
