<x-page title="Addresses" place="addresses">
    <x-slot:say><b>{{ $free ? "The next free address is {$free}." : 'No address is free.' }}</b> The router hands out {{ $network->pool_first }} to
        {{ $network->pool_last }}; boxes keep theirs outside of that.</x-slot:say>
    <div class="sheet band">
        <svg viewBox="0 0 {{ \Burrow\Addresses\Draw\AddressBand::WIDTH }} {{ \Burrow\Addresses\Draw\AddressBand::HEIGHT }}" role="img"
            aria-label="The addresses of {{ $network->prefix }}: pool, router and {{ count($band->boxes) }} boxes">
            <rect class="b-all" x="14" y="26" width="1032" height="30" rx="6" />
            <rect class="b-pool" x="{{ round($band->pool['x'], 1) }}" y="26" width="{{ round($band->pool['width'], 1) }}" height="30" />
            <text class="b-text" x="{{ round($band->pool['x'], 1) }}" y="18">handed out by the router</text>
            <rect class="b-router" x="{{ round($band->router, 1) }}" y="20" width="4" height="42" />
            @foreach ($band->boxes as $x)
                <rect class="b-box" x="{{ round($x, 1) }}" y="20" width="3" height="42" rx="1" />
            @endforeach
            <text class="b-text" x="14" y="78">{{ \Illuminate\Support\Str::before($network->prefix, '/') }}</text>
        </svg>
    </div>
    <div class="sheet scroll">
        <x-list :heads="['Address', 'Box', 'Hardware address', 'Pinned']">
            <tr>
                <td class="mono">{{ $network->router }}</td>
                <td>the router</td>
                <td>—</td>
                <td>—</td>
            </tr>
            @foreach ($boxes as $box)
                <tr>
                    <td class="mono">{{ $box->address }}</td>
                    <td><a href="/boxes/{{ $box->id }}" data-stop>{{ $box->called() }}</a></td>
                    <td class="mono">{{ $box->mac ?? '—' }}</td>
                    <td>{{ $box->fixed_address ? 'on its card' : ($box->pinned_at ? 'by a reservation' : 'not yet') }}</td>
                </tr>
            @endforeach
        </x-list>
        <x-pages :of="$boxes" />
    </div>
</x-page>
