@props(['at'])
@if ($at === null)
    <span class="soft">never</span>
@else
    <time datetime="{{ $at->toIso8601String() }}" title="{{ $at->copy()->setTimezone(\App\Models\Network::zone())->format('D Y-m-d H:i T') }}">{{ $at->diffForHumans() }}</time>
@endif
