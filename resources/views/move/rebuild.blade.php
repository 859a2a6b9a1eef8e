<x-page title="If {{ $box->called() }} died tonight" place="boxes">
    <x-slot:say><b>Back in about {{ $rebuild->all }}, {{ $rebuild->hands }} of it by hand.</b> {{ $rebuild->dark === [] ? 'Nobody else would notice.' : 'At once: ' . implode('; ', array_slice($rebuild->dark, 0, 6)) . '.' }}</x-slot:say>
    <div class="stack said">
        @foreach ($rebuild->findings as $finding)
            <x-finding :finding="$finding" />
        @endforeach
    </div>
    <div class="sheet scroll" tabindex="0" role="region" aria-label="What has to come back, may be scrolled">
        <h2>The way back, from the record alone</h2>
        <x-list :heads="['', 'What', 'How', 'Takes', 'By']">
            @foreach ($rebuild->steps as $step)
                <tr>
                    <td class="mono">{{ $loop->iteration }}</td>
                    <td><b>{{ $step->what }}</b></td>
                    <td>{{ $step->how }}</td>
                    <td class="whole">{{ $step->seconds === null ? 'not known' : Burrow\Quantity\Duration::seconds($step->seconds) }}</td>
                    <td class="whole">{{ $step->hands ? 'hands' : 'itself' }}</td>
                </tr>
            @endforeach
        </x-list>
    </div>
    <form class="sheet" method="post" action="{{ route('box.lost', $box) }}">
        @csrf
        <h2>It did</h2>
        <p>The same box on another board: its name, its address, its jobs with what was answered and all that hangs on it stay. Its card is made anew, its steps are played, and at their end what it kept is brought back.</p>
        <div class="field-set"><label for="rebuild_name">Type its name: {{ $box->name }}</label><input class="in code" id="rebuild_name" name="rebuild_name" @longest('rebuild_name') autocomplete="off"></div>
        <div class="row"><button class="act">Make it anew</button></div>
    </form>
    <p class="row"><a class="ghost" href="{{ route('box', $box) }}">Back to {{ $box->called() }}</a> <a class="ghost" href="{{ route('backups') }}">Backups</a></p>
</x-page>
