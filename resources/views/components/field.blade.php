@props(['name', 'label', 'value' => '', 'findings', 'hint' => '', 'type' => 'text', 'area' => false, 'code' => false])
@php($own = $findings->forField($name))
<div class="field-set">
    <label for="{{ $name }}">{{ $label }}</label>
    @if ($area)
        <textarea id="{{ $name }}" name="{{ $name }}" rows="3" {{ $attributes->class(['in', 'code' => $code]) }}
            @unless ($attributes->has('maxlength')) @longest($name) @endunless
            @if ($own->blocks()) aria-invalid="true" @endif aria-describedby="{{ $name }}-says">{{ $value }}</textarea>
    @else
        <input id="{{ $name }}" name="{{ $name }}" type="{{ $type }}" value="{{ $value }}" {{ $attributes->class(['in', 'code' => $code]) }}
            @unless ($attributes->has('maxlength')) @longest($name) @endunless
            @if ($own->blocks()) aria-invalid="true" @endif aria-describedby="{{ $name }}-says">
    @endif
    <div id="{{ $name }}-says" aria-live="polite">
        @foreach ($own as $finding)
            <x-slim :finding="$finding" />
        @endforeach
        @if ($hint !== '')
            <p class="hint">{{ $hint }}</p>
        @endif
    </div>
</div>
