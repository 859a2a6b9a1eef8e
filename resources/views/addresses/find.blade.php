<x-page :title="$wanted ? 'Find ' . $wanted->called() : 'Find a box'" place="addresses">
    @php($new = collect($candidates)->where('isNew', true))
    <x-slot:say>
        @if ($network->list_now === null)
            <b>Paste a list of machines, or ask the network.</b> Once before the box has power, and once after: what is new is it.
        @elseif ($network->list_before === null)
            <b>{{ count($candidates) }} machines, @ago($network->list_now_at).</b> Keep this list, power the box on, and read it again.
        @elseif ($new->isEmpty())
            <b>Nothing is new since the list that was kept</b> @ago($network->list_before_at). A box takes up to five minutes.
        @else
            <b>{{ $new->count() }} {{ $new->count() === 1 ? 'machine is' : 'machines are' }} new</b> since the list that was kept @ago($network->list_before_at).
        @endif
    </x-slot:say>
    @foreach ($findings as $finding)
        <x-finding :finding="$finding" />
    @endforeach
    <div class="two">
        <form class="sheet" method="post" action="{{ route('addresses.read') }}">
            @csrf
            <input type="hidden" name="box" value="{{ $wanted?->id }}">
            <input type="hidden" name="network" value="{{ $network->id }}">
            <div class="field-set">
                <label for="pasted">A list of machines</label>
                <textarea id="pasted" class="in code" name="pasted" rows="5" placeholder="Paste it here." aria-describedby="pasted-says">{{ $pasted }}</textarea>
                <p class="hint" id="pasted-says">The router's table of clients, a lease file, <code>ip neigh</code>, <code>arp -a</code>, a scan, the last lines of a board's screen. What it is,
                    is told by its looks; a line with a hardware address and an address is enough.</p>
            </div>
            <div class="field-set">
                <label for="names_in">Names stand in column</label>
                <input class="in code" id="names_in" name="names_in" value="{{ $namesIn }}" inputmode="numeric" @longest('names_in') aria-describedby="names-say">
                <p class="hint" id="names-say">Of a router’s table, counted from 1; empty where it is to be recognised. It is remembered for tables that look the same.{{ $columns === null ? '' : ' Last time: ' . $columns->words() . '.' }}</p>
            </div>
            <div class="row"><button class="act">Read it</button></div>
        </form>
        <div class="stack">
            <form class="sheet" method="post" action="{{ route('addresses.sweep') }}">
                @csrf
                <h2>Ask the network</h2>
                <p>Two ports of every address of {{ $network->prefix }} are tried; whoever opens or refuses is there, and whoever sends an echo back where this machine may ask for one. Hardware addresses come from this machine’s own list of neighbours.</p>
                <input type="hidden" name="box" value="{{ $wanted?->id }}">
                <input type="hidden" name="network" value="{{ $network->id }}">
                <div class="row">
                    <button class="act">Ask it</button>
                    <button class="ghost" name="bench" value="1">Ask the bench instead</button>
                </div>
            </form>
            <form class="sheet" method="get" action="{{ route('addresses.find') }}">
                <h2>Which box?</h2>
                @if (count($networks) > 1)
                    <div class="field-set">
                        <label for="network">In which network</label>
                        <select id="network" name="network">
                            @foreach ($networks as $one)
                                <option value="{{ $one->id }}" @selected($one->id === $network->id)>{{ $one->name }} · {{ $one->prefix }}</option>
                            @endforeach
                        </select>
                    </div>
                @endif
                <div class="field-set">
                    <label for="box">The box that is looked for</label>
                    <select id="box" name="box">
                        <option value="">any</option>
                        @foreach ($missing as $box)
                            <option value="{{ $box->id }}" @selected($wanted?->id === $box->id)>{{ $box->name }}</option>
                        @endforeach
                    </select>
                </div>
                <div class="row"><button class="ghost">Look for it</button></div>
            </form>
        </div>
    </div>
    @if ($network->list_now !== null)
        <div class="sheet scroll after">
            <div class="row spread">
                <h2>{{ count($candidates) }} machines, @ago($network->list_now_at)</h2>
                <form method="post" action="{{ route('addresses.keep') }}">@csrf<input type="hidden" name="box" value="{{ $wanted?->id }}"><input type="hidden" name="network" value="{{ $network->id }}">
                    <button class="ghost">Keep this list as the one before</button></form>
            </div>
            <x-list :heads="['Address', 'Calls itself', 'Hardware address', 'It is', 'What speaks for it', 'Say what it is']">
                @foreach (array_slice($candidates, 0, $shown) as $one)
                    @php($sighting = $sightings[$one->seen->key()] ?? null)
                    <tr @class(['found-new' => $one->isNew])>
                        <td class="mono">{{ $one->seen->address }}</td>
                        <td>{{ $one->seen->name ?? '—' }}</td>
                        <td class="mono">{{ $one->seen->mac ?? '—' }}</td>
                        <td>{{ $one->called !== '' ? $one->called : ($one->isNew ? 'new' : 'a stranger') }}
                            @if ($sighting !== null && $one->as !== \Burrow\Addresses\Find\SeenAs::Ours)<br><span class="soft">first seen @ago($sighting->first_seen), last @ago($sighting->last_seen)</span>@endif</td>
                        <td>
                            <ul class="reasons">
                                @foreach ($one->reasons as $reason)
                                    <li>{{ $reason }}</li>
                                @endforeach
                            </ul>
                        </td>
                        <td>
                            @if ($one->as === \Burrow\Addresses\Find\SeenAs::Ours)
                                —
                            @elseif ($sighting !== null)
                                <details>
                                    <summary>{{ $one->as === \Burrow\Addresses\Find\SeenAs::Known ? 'Change' : 'It is …' }}</summary>
                                    <form class="mark-row" method="post" action="{{ route('addresses.mark', $sighting) }}">
                                        @csrf
                                        <label class="unseen" for="label-{{ $sighting->id }}">What it is</label>
                                        <input class="in" id="label-{{ $sighting->id }}" name="label" value="{{ $sighting->label }}" @longest('label') placeholder="a phone, a printer …">
                                        <button class="ghost">Known</button>
                                    </form>
                                    <form class="mark-row" method="post" action="{{ route('addresses.take', $sighting) }}">
                                        @csrf
                                        <label class="unseen" for="name-{{ $sighting->id }}">Name of the box</label>
                                        <input class="in" id="name-{{ $sighting->id }}" name="name" value="{{ explode('.', (string) $one->seen->name)[0] }}" @longest('name') placeholder="its name">
                                        <label class="unseen" for="board-{{ $sighting->id }}">Its board</label>
                                        <select class="in" id="board-{{ $sighting->id }}" name="board">
                                            @foreach ($boards as $id => $label)
                                                <option value="{{ $id }}">{{ $label }}</option>
                                            @endforeach
                                        </select>
                                        <label class="unseen" for="job-{{ $sighting->id }}">Its job</label>
                                        <select class="in" id="job-{{ $sighting->id }}" name="job">
                                            <option value="">job not known yet</option>
                                            @foreach ($jobs as $id => $label)
                                                <option value="{{ $id }}">{{ $label }}</option>
                                            @endforeach
                                        </select>
                                        <button class="ghost">Take in as a box</button>
                                    </form>
                                </details>
                            @endif
                        </td>
                    </tr>
                @endforeach
            </x-list>
            @if (count($candidates) > $shown)
                <p class="soft">And {{ count($candidates) - $shown }} more; the likeliest stand first.</p>
            @endif
        </div>
    @endif
    @if ($gone !== [])
        <section class="sheet after">
            <h2>Gone since then</h2>
            <p>{{ implode(', ', array_map(fn($one) => $one->name ?? $one->address, array_slice($gone, 0, 20))) }}</p>
        </section>
    @endif
</x-page>
