@php($all = $checks->flatten(1)->where('via', ''))
@php($bad = $checks->flatten(1)->filter(fn($one) => $one->held === false))
<x-page title="Proof of the filter" place="addresses">
    <x-slot:say><b>{{ $boxes->isEmpty() ? 'No box answers names yet.' : ($all->isEmpty() ? 'Nothing is asked yet.' : ($bad->isEmpty() ? ($all->every(fn($one) => $one->held === true) ? 'Everything is as it should be.' : 'Not everything was asked yet.') : ($bad->count() === 1 ? 'One thing is not as it should be.' : $bad->count() . ' things are not as they should be.'))) }}</b>
        A listed name is refused, another is answered, one of the house leads into the house; every hour, and from each client once.</x-slot:say>
    @if (! $findings->isEmpty())
        <div class="stack said">
            @foreach (array_slice($findings->gravestFirst()->list, 0, 6) as $finding)
                <x-finding :finding="$finding" />
            @endforeach
        </div>
    @endif
    @foreach ($boxes as $box)
        @php($own = ($checks[$box->id] ?? collect()))
        @php($names = $own->where('via', ''))
        @php($clients = $own->where('via', '!=', '')->pluck('via')->unique()->values())
        <section class="sheet scroll" tabindex="0" aria-labelledby="proof-{{ $box->id }}">
            <h2 id="proof-{{ $box->id }}">{{ $box->called() }} <span class="mono soft">{{ $box->address }}</span></h2>
            @if ($names->isEmpty())
                <p class="soft">No name is asked of it. Take one of its lists, one that everybody uses, and one of the house.</p>
            @else
                <table class="list">
                    <thead><tr><th scope="col">Name</th><th scope="col">Should be</th><th scope="col">from here</th>@foreach ($clients as $client)<th scope="col">{{ $client }}</th>@endforeach<th scope="col"><span class="unseen">What to do</span></th></tr></thead>
                    <tbody>
                        @foreach ($names as $check)
                            <tr><td class="mono"><b>{{ $check->name }}</b></td><td>{{ Burrow\Household\NameExpected::tryFrom($check->expected)?->label() }}</td>
                                @foreach ([$check, ...$clients->map(fn($client) => $own->first(fn($one) => $one->via === $client && $one->name === $check->name))] as $one)
                                    <td>@if ($one?->held === null)<span class="soft">not asked</span>@else @mark($one->held ? 'fine' : 'warn') {{ $one->said }} <span class="soft advice">@ago($one->asked_at)</span>@endif</td>
                                @endforeach
                                <td class="whole"><form method="post" action="{{ route('filter.proof.away', $check) }}">@csrf<button class="link" aria-label="Ask {{ $check->name }} no more">ask no more</button></form></td>
                            </tr>
                        @endforeach
                    </tbody>
                </table>
                <form method="post" action="{{ route('filter.proof.ask') }}" class="row">@csrf<button class="act">Ask now</button></form>
                <details class="more" id="told-{{ $box->id }}" @if (old('client') !== null) open @endif>
                    <summary>As a client sees it</summary>
                    <p>On a desk, a phone with a terminal, or a phone outside through the tunnel; without naming a resolver, so that it asks the one it has.</p>
                    <x-command :id="'ask-' . $box->id" :text="$names->map(fn($one) => 'nslookup ' . $one->name)->implode(PHP_EOL)"><x-slot:where>on the client</x-slot:where></x-command>
                    <form method="post" action="{{ route('filter.proof.told', $box) }}">
                        @csrf
                        <div class="field-set"><label for="client-{{ $box->id }}">Which client</label><input class="in" id="client-{{ $box->id }}" name="client" maxlength="60" value="{{ is_string(old('client')) ? old('client') : '' }}" placeholder="the desk; a phone through the tunnel"></div>
                        <div class="field-set"><label for="pasted-{{ $box->id }}">Paste what it said</label><textarea class="in code" id="pasted-{{ $box->id }}" name="pasted" rows="5">{{ is_string(old('pasted')) ? old('pasted') : '' }}</textarea></div>
                        <div class="row"><button class="ghost">Note it</button></div>
                    </form>
                </details>
            @endif
        </section>
    @endforeach
    @if ($boxes->isNotEmpty())
        <form class="sheet port-form" id="add" method="post" action="{{ route('filter.proof.add') }}">
            @csrf
            <h2>Another name</h2>
            <x-choice name="proof_box" label="Asked of" :options="$boxes->mapWithKeys(fn($box) => [$box->id => $box->called()])->all()" :chosen="$typed['proof_box']" :findings="$judged" />
            <x-field name="proof_name" label="Name" :value="$typed['proof_name']" :findings="$judged" code autocomplete="off" />
            <x-choice name="proof_expected" label="Should be" :options="collect(Burrow\Household\NameExpected::cases())->mapWithKeys(fn($one) => [$one->value => $one->label()])->all()" :chosen="$typed['proof_expected']" :findings="$judged" />
            <div class="row"><button class="act">Ask it from now on</button> <a class="ghost" href="{{ route('filter') }}">Back to the workbench</a></div>
        </form>
    @else
        <x-empty title="No filter yet" href="/plan?job=dns-filter" link="Plan one">A box that answers names stands here once port 53 is among its ports.</x-empty>
    @endif
</x-page>
