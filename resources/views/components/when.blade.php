@props(['at'])
@if ($at === null) <span class="soft">never</span> @else <time datetime="{{ $at->toIso8601String() }}" title="{{ $at->format('Y-m-d H:i') }}">{{ $at->diffForHumans() }}</time> @endif
