<div class="sheet">
    <p class="say"><b>{{ $choices->onDesk() ? $seat->verdict() : $answer->sentence() }}</b></p>
    @foreach ($choices->toArray() as $name => $value)
        <input type="hidden" name="{{ $name }}" value="{{ $value }}" form="keep">
    @endforeach
    <div class="field-set">
        <label for="because">{{ $seat->findings->blocks() ? 'Go on all the same, because' : 'Why this one, for later (may stay empty)' }}</label>
        <input class="in" id="because" name="because" form="keep" maxlength="500"
            @error('because') aria-invalid="true" aria-describedby="because-says" @enderror>
        @error('because')
            <p class="hint" id="because-says">{{ $message }}</p>
        @enderror
    </div>
    <div class="row bar">
        <button class="act" form="keep"
            data-done>{{ $choices->onDesk() ? 'Write it down' : ($host !== null ? "Give it to {$host->name}" : 'Keep this plan, choose a name') }}</button>
        @if ($host === null && !$choices->onDesk())
            <button class="ghost" form="keep" formaction="/plan/keep">Set beside others</button>
        @endif
        @if ($variants > 0)
            <a href="/plan/variants">{{ $variants }} kept</a>
        @endif
    </div>
    @if ($ways !== [] && $host === null && !$choices->onDesk())
        <div class="ways">
            <h3>Ways out</h3>
            @foreach ($ways as $way)
                <p><a href="{{ route('plan', $choices->taking($way)) }}">{{ $way->sentence() }}</a> <span
                        class="soft">{{ $way->price() }}{{ $way->leaves === [] ? '' : '; leaves: ' . lcfirst(implode(' ', $way->leaves)) }}</span></p>
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
