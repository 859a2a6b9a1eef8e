@props(['countdown'])
<div class="dial" role="timer" aria-label="Waiting time">
    <span data-until="back in about" data-past="longer than expected by">{{ $countdown->isOver() ? 'longer than expected by' : 'back in about' }}</span>
    <b data-ends="{{ $countdown->end->getTimestamp() * 1000 }}"
        data-length="{{ (int) ($countdown->expected->seconds * 1000) }}">{{ $countdown->isOver() ? '+' . $countdown->over->clock() : $countdown->remaining->clock() }}</b>
    <small>{{ $countdown->expected }}: {{ $countdown->source }}</small>
</div>
