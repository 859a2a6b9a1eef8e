<div id="{{ $name }}-says" aria-live="polite">
    @foreach ($judged->forField($name) as $finding)
        <x-slim :finding="$finding" />
    @endforeach
</div>
