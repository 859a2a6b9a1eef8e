<x-page title="The network on paper" place="addresses">
    <x-slot:say><b>{{ $network->name }}, as of {{ $now->format('j M Y H:i') }}.</b> <span class="unprinted">Print it and keep it where it can be found without a screen; nothing on it lets anybody in.</span></x-slot:say>
    <p class="row below unprinted"><button class="act" type="button" data-print>Print it</button> <a class="ghost" href="{{ route('addresses') }}">Back to the addresses</a></p>
    @foreach ($networks as $one)
        <section class="sheet" aria-labelledby="net-title-{{ $one->id }}">
            <h2 id="net-title-{{ $one->id }}">{{ count($networks) > 1 ? $one->name : 'The network' }}</h2>
            <dl class="pairs">
                <dt>Prefix</dt><dd class="mono">{{ $one->prefix }}</dd>
                <dt>Router</dt><dd class="mono">{{ $one->router }}</dd>
                <dt>Handed out by itself</dt><dd class="mono">{{ $one->pool_first }} to {{ $one->pool_last }}</dd>
                <dt>Name servers</dt><dd class="mono">{{ $one->dns ?: 'nobody wrote them down' }}</dd>
                <dt>Domain</dt><dd class="mono">{{ $one->domain }}</dd>
                @if ($loop->first)
                    <dt>Whom to ask</dt><dd>{{ $one->contact ?: '______________________________' }}</dd>
                @endif
            </dl>
        </section>
    @endforeach
    <section class="sheet scroll" tabindex="0" aria-labelledby="boxes-title">
        <h2 id="boxes-title">Who is where</h2>
        <x-list :heads="['Address', 'Name', 'Hardware address', 'Pinned', 'Does', 'Power from']">
            @foreach ($boxes as $one)
                <tr>
                    <td class="mono">{{ $one->address ?? '—' }}</td>
                    <td><b>{{ $one->name }}</b></td>
                    <td class="mono">{{ $one->mac ?? '—' }}</td>
                    <td>{{ $one->fixed_address ? 'on its card' : ($one->pinned_at !== null ? 'in the router' : 'no') }}</td>
                    <td>{{ implode(', ', array_map(fn($held) => $held->job->short, $ids[$one->id]->jobs ?? [])) }}</td>
                    <td>{{ $one->fed_by ?: '—' }}</td>
                </tr>
            @endforeach
        </x-list>
    </section>
    <section class="sheet" aria-labelledby="ways-title">
        <h2 id="ways-title">Ways in from outside</h2>
        @forelse ($openings as $one)
            <p><b class="mono">{{ $one->words() }}</b> leads to {{ $one->box }}.</p>
        @empty
            <p>None is on record.</p>
        @endforelse
    </section>
</x-page>
