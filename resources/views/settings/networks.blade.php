<x-page title="Networks of the house" place="settings">
    <x-slot:say><b>{{ count($networks) === 1 ? 'One network.' : count($networks) . ' networks.' }}</b> A box is in the one that its address lies in. Only addresses inside of them are ever asked.</x-slot:say>
    <div class="sheet scroll" tabindex="0" role="region" aria-label="Networks, may be scrolled">
        <x-list :heads="['Network', 'Prefix', 'Router', 'Handed out', 'Boxes']">
            @foreach ($networks as $one)
                <tr @if ($network?->is($one)) aria-current="true" @endif>
                    <td>@if ($loop->first)<a href="{{ route('settings') }}">{{ $one->name }}</a>@elseif (auth()->user()->isKeeper())<a href="{{ route('networks.edit', $one) }}">{{ $one->name }}</a>@else{{ $one->name }}@endif</td>
                    <td class="mono"><a href="{{ route('addresses', \App\Addresses\AskedNetwork::shown($one)) }}">{{ $one->prefix }}</a></td>
                    <td class="mono">{{ $one->router }}</td>
                    <td class="mono">{{ $one->pool_first }} to {{ $one->pool_last }}</td>
                    <td>{{ $counts[$one->id] ?? 0 }}</td>
                </tr>
            @endforeach
        </x-list>
    </div>
    @if (auth()->user()->isKeeper())
        <form class="sheet after" method="post" action="{{ $network === null ? route('networks.store') : route('networks.update', $network) }}">
            @csrf
            <h2>{{ $network === null ? 'One more' : $network->name }}</h2>
            @if ($network === null)
                <p>For things that are not trusted, for another building, for guests. Time zone, country and currency are those of the house.</p>
            @endif
            <div class="two after">
                <div>
                    <x-field name="name" label="What it is called" :value="$typed['name']" :findings="$findings" />
                    <x-field name="prefix" label="Prefix" :value="$typed['prefix']" :findings="$findings" code hint="Network address, slash, length." />
                    <x-field name="router" label="Router" :value="$typed['router']" :findings="$findings" code />
                    <x-field name="domain" label="Local domain" :value="$typed['domain']" :findings="$findings" code hint="The same as elsewhere, or one of its own." />
                </div>
                <div>
                    <x-field name="pool_first" label="Handed out from" :value="$typed['pool_first']" :findings="$findings" code />
                    <x-field name="pool_last" label="to" :value="$typed['pool_last']" :findings="$findings" code />
                    <x-field name="dns" label="Name servers handed out" :value="$typed['dns']" :findings="$findings" code />
                    <x-field name="ssids" label="Its Wi-Fi networks, one a line" :value="$typed['ssids']" :findings="$findings" area code />
                </div>
            </div>
            <div class="row"><button class="act" data-done>{{ $network === null ? 'Add it' : 'Keep' }}</button>
                @if ($network !== null)<a class="ghost" href="{{ route('networks') }}">Another one instead</a>@endif</div>
            <details class="after" @if ($findings->forField('ipv6')->blocks() || $findings->forField('ranges')->blocks()) open @endif>
                <summary><b>IPv6, scheme of addresses</b></summary>
                <x-field name="ipv6" label="IPv6 of this network" :value="$typed['ipv6']" :findings="$findings" code />
                <x-field name="ranges" label="Scheme of addresses, one range a line" :value="$typed['ranges']" :findings="$findings" area code hint="Name, first and last address." />
            </details>
        </form>
        @if ($network !== null)
            <form class="sheet" method="post" action="{{ route('networks.drop', $network) }}">
                @csrf @method('delete')
                <p>Where no box is in it, it can be taken off the list; what was seen in it goes along.</p>
                <div class="row"><button class="ghost">Take {{ $network->name }} off the list</button></div>
            </form>
        @endif
    @endif
</x-page>
