@props(['at'])
<ol class="way" aria-label="The way of a new box">
    @foreach (['plan' => 'Plan', 'name' => 'Name and address', 'card' => 'Card', 'run' => 'Bring-up'] as $key => $label)
        <li @if ($key === $at) aria-current="step" @endif>{{ $label }}</li>
    @endforeach
</ol>
