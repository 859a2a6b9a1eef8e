{{-- Steps of a run in their order, each with what came of it or where it is done. --}}
<ol class="steps" aria-label="Steps">
    @foreach ($listed as $one)
        @php($t = $book->step($one))
        <li class="{{ $one->id === $step?->id ? 'now' : $one->state }}" @if ($one->id === $step?->id) aria-current="step" @endif data-stop tabindex="-1">
            {{ $t->title }}<small>{{ $one->outcome ?? $t->place()->label() }}</small></li>
    @endforeach
</ol>
