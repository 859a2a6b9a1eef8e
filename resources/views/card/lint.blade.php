<x-page title="Look over a card" place="boxes" script="card">
    <x-slot:say><b>
            @if ($folder === null)
                {{ $sent ? 'There was nothing to look at.' : 'A wrong character costs an evening.' }}
            @elseif ($findings->count() === 0)
                Looked over: nothing wrong with what is here.
            @elseif ($findings->blocks())
                This card does not do what it should.
            @elseif ($partly)
                Nothing that was read stops it; a part was not read.
            @else
                Nothing here stops it; something is to be borne in mind.
            @endif
        </b> The files are read and forgotten; nothing of them is kept.</x-slot:say>
    <div class="aside">
        <div>
            @if ($findings !== null)
                @forelse ($findings as $finding)
                    <section class="sheet">
                        <div class="slim">@mark($finding->severity->value)<span><span class="unseen">{{ $finding->severity->value }}: </span><b class="mono">{{ $finding->place }}</b>
                                <b>{{ $finding->found }}</b> {{ $finding->advice() }}</span></div>
                        @if ($finding->place?->line !== null && $folder->has((string) $finding->place->file))
                            <pre class="where">{{ $finding->place->line }}  {{ \Burrow\Card\Read\ShownLine::of($folder, $finding->place) }}</pre>
                        @endif
                    </section>
                @empty
                    <section class="sheet">
                        @foreach ($looked as $words)
                            <p>{{ $words }}</p>
                        @endforeach
                    </section>
                @endforelse
                @if ($zip !== null)
                    <section class="sheet">
                        <h2>Mended</h2>
                        <ul>
                            @foreach ($fixed->changes as $change)
                                <li>{{ $change }}</li>
                            @endforeach
                        </ul>
                        <p>{{ $left->count() === 0 ? 'Looked over again: nothing wrong.' : 'What is left is for you to decide: ' . count(array_unique($left->codes())) . ' of the findings above.' }}
                        </p>
                        <p class="row"><a class="act" href="data:application/zip;base64,{{ $zip }}" download="card-mended.zip">Download the mended files</a>
                            @foreach ($fixed->folder->files as $name => $text)
                                @if (($folder->files[$name] ?? null) !== $text)
                                    <a href="data:application/octet-stream;base64,{{ base64_encode($text) }}" download="{{ $name }}">{{ $name }}</a>
                                @endif
                            @endforeach
                        </p>
                    </section>
                @endif
                @if ($skipped !== [])
                    <p class="told">Not looked at, too large: {{ implode(', ', $skipped) }}.</p>
                @endif
            @else
                <x-empty title="Which card?" href="#card" link="Choose its files">Files that were made here or by hand: user-data, network-config, cmdline.txt, config.txt, ssh,
                    userconf.txt, wpa_supplicant.conf, or an image's own.</x-empty>
            @endif
        </div>
        <form class="sheet" method="post" action="{{ route('lint.card') }}" @inPlace(route('lint.card')) enctype="multipart/form-data" hx-encoding="multipart/form-data">
            @csrf
            <h2>The card's files</h2>
            <div class="field-set" data-drop><label for="card">Files or a zip of them</label><input class="in" id="card" type="file" name="card[]" multiple>
                <p class="hint">Drop them, a zip or the whole folder here; kernels beside them are passed over.</p>
            </div>
            <div class="field-set"><label for="folder">or its folder</label><input class="in" id="folder" type="file" name="card[]" multiple webkitdirectory
                    data-small></div>
            <x-choice name="box" label="For which box" :options="['' => 'none that is known'] + $boxes->mapWithKeys(fn($one) => [$one->id => $one->name])->all()" :chosen="(string) ($box?->id ?? '')" />
            <x-choice name="image" label="Image on it" :options="['' => 'not known'] + array_map(fn($one) => $one->label, $images)" :chosen="$image?->id ?? ''" />
            <x-choice name="started" label="Has it been started?" :options="['0' => 'never', '1' => 'once or more']" :chosen="$started ? '1' : '0'" />
            <div class="row"><button class="act" data-done>Look it over</button></div>
            <p class="hint">In a terminal: <span class="mono">./burrow lint FOLDER</span></p>
        </form>
    </div>
</x-page>
