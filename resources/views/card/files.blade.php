<x-page :title="'Card for '.$box->name" place="boxes">
    <x-slot:say><b>Three files, ready for the boot partition.</b> Write the plain server image to the card, take the card out and put it back, copy these onto the small partition that appears.</x-slot:say>
    <x-way at="card" />
    <div class="aside">
        <div>
            @foreach ($files as $file)
                <section class="cardfile" aria-label="{{ $file->name }}">
                    <h3>{{ $file->name }}</h3>
                    <table><tbody>
                    @foreach ($file->lines as $i => $line)<tr><td class="n">{{ $i + 1 }}</td><td class="t">{{ $line->text }}</td><td class="r">{{ $line->reason }}</td></tr>@endforeach
                    </tbody></table>
                </section>
            @endforeach
        </div>
        <div class="stack">
            <a class="act" href="data:application/zip;base64,{{ $zip }}" download="{{ $box->name }}-card.zip">Download as zip</a>
            @forelse ($findings as $finding)
                <x-finding :finding="$finding" />
            @empty
                <div class="finding"><x-mark severity="fine" /><strong>Looked over: nothing wrong.</strong> Parsed, somebody can log in, remote login is on.</div>
            @endforelse
            <div class="finding"><x-mark severity="warn" /><strong>Writing a card erases it.</strong> Make sure of the disk before you start the writing tool; it cannot be undone.</div>
            @if ($benchIsThere)
                <form class="sheet" method="post" action="{{ route('bench.card') }}">
                    @csrf
                    <h3>No board at hand?</h3>
                    <p>The bench has one of this class. It reads these very files.</p>
                    <input type="hidden" name="box" value="{{ $box->id }}">
                    @foreach ($files as $file)<textarea hidden name="files[{{ $file->name }}]" aria-label="{{ $file->name }}">{{ "\n".$file->text() }}</textarea>@endforeach
                    <div class="row"><button class="ghost">Put the card into the bench board</button></div>
                </form>
            @endif
            <form method="post" action="{{ route('run.begin', $box) }}">@csrf<button class="act" data-done>Bring it up</button></form>
        </div>
    </div>
</x-page>
