{{-- Steps of a run in their order, each with what came of it or where it is done. --}}
<ol class="steps" aria-label="Steps">
    @php($now = $step?->id)
    @foreach ($book->listed($listed) as $one)
        <li class="{{ $one['id'] === $now ? 'now' : $one['state'] }}" @if ($one['id'] === $now) aria-current="step" @endif data-stop tabindex="-1">
            {{ $one['title'] }}<small>{{ $one['note'] }}</small></li>
    @endforeach
</ol>
