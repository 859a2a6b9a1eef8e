<x-page :title="'Card for ' . $box->name" place="boxes" script="card">
    <x-slot:say><b>{{ count($set->files) === 0 ? 'A sheet to type from.' : (count($set->files) === 1 ? 'One file' : ucfirst((string) (['two', 'three', 'four', 'five', 'six', 'seven', 'eight'][count($set->files) - 2] ?? count($set->files))) . ' files') . ', ready for the boot partition.' }}</b>
        Write the image to the card, take the card out and put it back, copy these onto the small partition that appears.</x-slot:say>
    <x-way at="card" />
    <div class="aside">
        <div>
            @foreach ($set->files as $file)
                <section class="cardfile" aria-label="{{ $file->name }}" data-card-file="{{ $file->name }}">
                    <h3><span>{{ $file->name }}</span> <a href="data:application/octet-stream;base64,{{ base64_encode($file->text()) }}" download="{{ $file->name }}">download</a>
                    </h3>
                    <table>
                        <tbody>
                            @forelse ($file->lines as $i => $line)
                                <tr>
                                    <td class="n">{{ $i + 1 }}</td>
                                    <td class="t">{{ $line->text }}</td>
                                    <td class="r">{{ $line->reason }}</td>
                            </tr>@empty<tr>
                                    <td class="n"></td>
                                    <td class="t"></td>
                                    <td class="r">Empty: its being there is all it says. No extension, no dot after the name.</td>
                                </tr>
                            @endforelse
                        </tbody>
                    </table>
                </section>
            @endforeach
            @foreach ($set->sheets as $for => $steps)
                <section class="sheet">
                    <h2>{{ ucfirst($for) }}</h2>
                    <x-list :heads="['Where', 'Type', 'The same as a command on the box']">
                        @foreach ($steps as $step)
                            <tr>
                                <td>{{ $step->where }}</td>
                                <td class="mono">{{ $step->value }}</td>
                                <td class="mono">{{ $step->command }}</td>
                            </tr>
                        @endforeach
                    </x-list>
                </section>
            @endforeach
            <x-boot-partition />
            <x-master-card />
        </div>
        <div class="stack">
            @if ($set->files !== [])
                <a class="act" href="data:application/zip;base64,{{ $zip }}" download="{{ $box->name }}-card.zip">Download as zip</a>
                <button class="ghost" type="button" data-write-card hidden>Write into the opened card folder</button>
                <p class="told" data-card-told hidden role="status"></p>
            @endif
            @forelse ($findings as $finding)
                <x-finding :finding="$finding" />
            @empty
                <div class="finding">@mark('fine')<strong>Looked over: nothing wrong.</strong> {{ implode(' ', $looked) }}</div>
            @endforelse
            <div class="finding">@mark('warn')<strong>Writing a card erases it.</strong> Make sure of the disk before you start the writing tool; it cannot be undone.
                <a href="{{ route('target', ['box' => $box->id]) }}">Which disk it is</a></div>
            @if ($benchIsThere && $set->files !== [])
                <form class="sheet" method="post" action="{{ route('bench.card') }}">
                    @csrf
                    <h3>No board at hand?</h3>
                    <p>The bench has one of this class. It reads these very files.</p>
                    <input type="hidden" name="box" value="{{ $box->id }}">
                    @foreach ($set->files as $file)
                        <textarea hidden name="files[{{ $file->name }}]" aria-label="{{ $file->name }}">{{ "\n" . $file->text() }}</textarea>
                    @endforeach
                    <div class="row"><button class="ghost">Put the card into the bench board</button></div>
                </form>
            @endif
            <form method="post" action="{{ route('run.begin', $box) }}">@csrf<button class="act" data-done>Bring it up</button></form>
        </div>
    </div>
</x-page>
