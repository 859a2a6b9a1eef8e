<x-page title="Keys that a desk computer remembers" place="addresses">
    @php($wrong = collect($keys)->where('same', false))
    <x-slot:say>
        @if ($pasted === '')
            <b>Paste a known_hosts file.</b> It is held against the keys that are kept here, hidden hosts included. Nothing of it is stored.
        @elseif ($keys === [])
            <b>None of its {{ $entries }} entries is about a box of this house.</b>
        @elseif ($wrong->isEmpty())
            <b>{{ count($keys) }} entries are about boxes of this house, and none contradicts.</b>
        @else
            <b>{{ $wrong->count() }} {{ $wrong->count() === 1 ? 'entry holds' : 'entries hold' }} another key than is kept here.</b>
        @endif
    </x-slot:say>
    @foreach ($findings as $finding)
        <x-finding :finding="$finding" />
    @endforeach
    @if ($keys !== [])
        <div class="sheet scroll">
            <x-list :heads="['Box', 'Kept there as', 'Key', 'It is', 'Takes it out, on each desk system']">
                @foreach (array_slice($keys, 0, 200) as $key)
                    <tr>
                        <td>{{ $key->box }}</td>
                        <td class="mono">{{ $key->name }}</td>
                        <td class="mono break">{{ $key->type }} {{ $key->sha256 }}</td>
                        <td class="whole">
                            @if ($key->same === true)
                                @mark('fine') the one that is kept
                            @elseif ($key->same === false)
                                @mark('stop') another one
                            @else
                                @mark('note') nothing is kept to compare it with
                            @endif
                        </td>
                        <td class="mono">{{ $key->same === false ? $key->removal() : '—' }}</td>
                    </tr>
                @endforeach
            </x-list>
        </div>
        @if ($wrong->isNotEmpty())
            <p class="after">Was the box's card written anew since, or its address given to another box? Then take that one entry out, on the
                account whose memory it is: with administrator rights it is the administrator's, not yours. If nothing of that happened, stop and look who answers.</p>
        @endif
    @endif
    <form class="sheet after" method="post" action="{{ route('addresses.known.judge') }}" @inPlace(route('addresses.known.judge'))>
        @csrf
        <div class="field-set">
            <label for="known">The file</label>
            <textarea id="known" class="in code" name="known" rows="8" placeholder="Paste it here." aria-describedby="known-says">{{ mb_substr($pasted, 0, 20000) }}</textarea>
            <p class="hint" id="known-says">On a desk computer it lies in the folder .ssh of your account and is called known_hosts.</p>
        </div>
        <div class="row"><button class="act">Look at it</button></div>
    </form>
</x-page>
