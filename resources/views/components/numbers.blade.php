@props(['fields'])
<div class="pair">
    @foreach ($fields as $name => $label)
        <div class="field-set"><label for="{{ $name }}">{{ $label }}</label><input class="in code" id="{{ $name }}" name="{{ $name }}" inputmode="decimal"
                value="{{ old($name) }}" @error($name) aria-invalid="true" aria-describedby="{{ $name }}-says" @enderror>
            @error($name)
                <p class="hint" id="{{ $name }}-says">{{ $message }}</p>
            @enderror
        </div>
    @endforeach
</div>
