@props(['name', 'label', 'options', 'chosen'])
<div class="field-set">
    <label for="{{ $name }}">{{ $label }}</label>
    <select id="{{ $name }}" name="{{ $name }}" {{ $attributes }}>
        @foreach ($options as $value => $text)
            <option value="{{ $value }}" @selected((string) $value === (string) $chosen)>{{ $text }}</option>
        @endforeach
    </select>
</div>
