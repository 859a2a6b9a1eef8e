@props(['of', 'back' => 'Earlier in the list', 'on' => 'Further in the list'])
@if ($of->hasPages())
    <nav class="row" aria-label="Pages">
        @if ($of->previousPageUrl())
            <a class="ghost" href="{{ $of->previousPageUrl() }}">{{ $back }}</a>
        @endif
        <span class="soft">{{ $of->firstItem() ?? 0 }} to {{ $of->lastItem() ?? 0 }} of {{ $of->total() }}</span>
        @if ($of->nextPageUrl())
            <a class="ghost" href="{{ $of->nextPageUrl() }}">{{ $on }}</a>
        @endif
    </nav>
@endif
