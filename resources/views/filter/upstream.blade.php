@php($whole = ! $upstream->findings->blocks())
<x-page title="Whom the filter asks" place="addresses">
    <x-slot:say><b>Somebody sees the names that the house looks up.</b> Choose who; no way hides from the line where you connect to afterwards.</x-slot:say>
    <section class="sheet scroll" tabindex="0" aria-labelledby="ways-title">
        <h2 id="ways-title">Four ways</h2>
        <x-list :heads="['It asks', 'Who sees the names', 'What it costs', 'Rule']">
            @foreach ($ways as $way)
                <tr @if ($way === $upstream->way) aria-current="true" @endif><td><b>@if ($way === $upstream->way)@mark('fine')@endif <a href="{{ route('filter.upstream', ['way' => $way->value] + array_filter($typed, fn($one) => $one !== '')) }}">{{ $way->label() }}</a></b></td><td>{{ $way->sees() }}</td><td>{{ $way->costs() }}</td><td class="soft">{{ $way->standard() }}</td></tr>
            @endforeach
        </x-list>
    </section>
    <form class="sheet port-form" method="get" action="{{ route('filter.upstream') }}">
        <x-choice name="way" label="It asks" :options="collect($ways)->mapWithKeys(fn($one) => [$one->value => $one->label()])->all()" :chosen="$typed['way']" />
        <x-field name="asks" label="Addresses of whom it asks" :value="$typed['asks']" :findings="$findings" code autocomplete="off" hint="Not of the router, if the router asks the filter: that is a loop." />
        <x-field name="tls_name" label="Name in its certificate" :value="$typed['tls_name']" :findings="$findings" code autocomplete="off" hint="For an encrypted one." />
        <x-field name="local" label="Who knows the house’s own names" :value="$typed['local']" :findings="$findings" code autocomplete="off" hint="The router’s address, where it registers what it hands out; nothing where the filter itself holds them." />
        <div class="row"><button class="act">Write the files</button> <a class="ghost" href="{{ route('filter') }}">Back to the workbench</a></div>
    </form>
    @if ($whole)
        <section class="sheet" aria-labelledby="files-title">
            <h2 id="files-title">The files</h2>
            <x-command id="unbound-file" :text="$upstream->unbound()"><x-slot:where>/etc/unbound/unbound.conf.d/upstream.conf</x-slot:where></x-command>
            @if ($upstream->dnsmasq() === null)
                <p>dnsmasq does not do this by itself: let it ask an unbound on the same box, on another port of loopback.</p>
            @else
                <x-command id="dnsmasq-file" :text="$upstream->dnsmasq()"><x-slot:where>/etc/dnsmasq.d/upstream.conf</x-slot:where></x-command>
            @endif
        </section>
    @endif
</x-page>
