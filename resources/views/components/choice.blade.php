@props(['name', 'label', 'options', 'chosen', 'findings' => null])
@php($own = $findings?->forField($name))
<div class="field-set">
    <label for="{{ $name }}">{{ $label }}</label>
    <select id="{{ $name }}" name="{{ $name }}" {{ $attributes }} @if ($own?->blocks()) aria-invalid="true" aria-describedby="{{ $name }}-says" @endif>
        @foreach ($options as $value => $text)
            <option value="{{ $value }}" @selected((string) $value === (string) $chosen)>{{ $text }}</option>
        @endforeach
    </select>
    @if ($own !== null && count($own) > 0)
        <div id="{{ $name }}-says" aria-live="polite">
            @foreach ($own as $finding)
                <x-slim :finding="$finding" />
            @endforeach
        </div>
    @endif
</div>
