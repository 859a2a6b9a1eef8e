<x-page title="Asking the network" place="addresses">
    <x-slot:say><b>{{ $found }} answered so far.</b> {{ $next }} of {{ $size }} addresses were asked.</x-slot:say>
    <form class="sheet" method="post" action="{{ route('addresses.sweep') }}" hx-post="{{ route('addresses.sweep') }}" hx-trigger="load"
        hx-target="body">
        @csrf
        <progress value="{{ $next }}" max="{{ $size }}" aria-label="Addresses asked"></progress>
        <input type="hidden" name="from" value="{{ $next }}">
        <input type="hidden" name="network" value="{{ $network->id }}">
        <input type="hidden" name="box" value="{{ $box ?: '' }}">
        @if ($onBench)
            <input type="hidden" name="bench" value="1">
        @endif
        <div class="row">
            <button class="act">Go on</button>
            <button class="ghost" name="stop" value="1">Stop here</button>
        </div>
    </form>
</x-page>
