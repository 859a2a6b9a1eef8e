{{-- One thing that a person gives back at a step. --}}
<div class="field-set">
    @if ($field->choices !== [])
        <fieldset @if ($wrong) aria-invalid="true" @endif>
            <legend>{{ $field->label }}</legend>
            @foreach ($field->choices as $choice => $sentence)
                <label class="pick"><input type="radio" name="{{ $field->name }}" value="{{ $choice }}" @checked($holds === $choice)> {{ $sentence }}</label>
            @endforeach
        </fieldset>
    @else
        <label for="{{ $field->name }}">{{ $field->label }}</label>
        @if ($field->why !== '')
            <p class="hint" id="{{ $field->name }}-why">{{ $field->why }}</p>
        @endif
        @if ($field->isText)
            <textarea id="{{ $field->name }}" name="{{ $field->name }}" class="paste code" rows="4" placeholder="{{ $field->placeholder }}" @longest($field->name)
                @if ($field->why !== '') aria-describedby="{{ $field->name }}-why" @endif @if ($wrong) aria-invalid="true" @endif>{{ $holds ? "\n" . $holds : '' }}</textarea>
        @else
            <input class="in code" id="{{ $field->name }}" name="{{ $field->name }}" value="{{ $holds }}" autocomplete="off" placeholder="{{ $field->placeholder }}" @longest($field->name)
                @if ($field->why !== '') aria-describedby="{{ $field->name }}-why" @endif @if ($wrong) aria-invalid="true" @endif>
        @endif
    @endif
</div>
