<x-page title="Catalogue" place="catalogue">
    <x-slot:say><b>Jobs, boards and parts that a plan can choose from.</b> Your own entries stand beside the built-in ones.</x-slot:say>
    @foreach ($unread as $at => $finding)
        <div class="finding">@mark('warn')<strong>{{ $finding->found }}</strong> {{ $finding->advice() }}
            <a href="/catalogue?edit={{ $unreadEntries[$at]['kind'] }}/{{ $unreadEntries[$at]['id'] }}#yaml">Mend it</a>
            <form method="post" action="{{ route('catalogue.drop', [$unreadEntries[$at]['kind'], $unreadEntries[$at]['id']]) }}">@csrf @method('delete')<button class="plain">take away</button></form>
        </div>
    @endforeach
    <nav class="chips below" aria-label="Kinds">
        @foreach (\App\Catalogue\Catalogue::KINDS as $of => [$one, $heading])
            <a href="/catalogue?kind={{ $of }}" @if ($of === $kind) aria-current="true" @endif>{{ $heading }}
                <span>{{ count($catalogue->entries($of)) }}</span></a>
        @endforeach
    </nav>
    <div class="two">
        <div>
            <section class="sheet">
                <h2>{{ \App\Catalogue\Catalogue::KINDS[$kind][1] }}</h2>
                <table class="list">
                    <tbody>
                        @foreach ($catalogue->entries($kind) as $id => $entry)
                            <tr>
                                <td><b>{{ $entry['label'] }}</b>
                                    @isset($entry['summary'])
                                        <br><span class="soft">{{ $entry['summary'] }}</span>
                                    @endisset
                                </td>
                                @php($mine = in_array("{$kind}/{$id}", $own, true))
                                <td class="mono whole">{{ ($entry['price'] ?? 0) > 0 ? $entry['price'] : '' }}@if (($entry['available'] ?? true) === false)
                                        <br><span class="soft">not to be had</span>
                                    @endif
                                </td>
                                <td class="soft whole">{{ $mine ? 'your own' : 'built in' }}</td>
                                <td class="whole"><a href="/catalogue?edit={{ $kind }}/{{ $id }}#yaml" aria-label="Change {{ $id }}">change</a> · <a
                                        href="{{ route('catalogue.export', [$kind, $id]) }}" aria-label="{{ $id }} as YAML">YAML</a>
                                    @if ($mine && $catalogue->builtIn($kind, $id) !== null)
                                        · <a href="{{ route('catalogue.export', [$kind, $id, 'built-in' => 1]) }}" aria-label="{{ $id }} as it is built in">built in</a>
                                    @endif
                                    @if ($mine)
                                        <form method="post" action="{{ route('catalogue.drop', [$kind, $id]) }}">@csrf @method('delete')<button class="plain">take away</button>
                                        </form>
                                    @endif
                                </td>
                            </tr>
                        @endforeach
                    </tbody>
                </table>
            </section>
        </div>
        <form class="sheet tight" method="post" action="{{ route('catalogue.import') }}">
            @csrf
            <h2>Take in an entry</h2>
            <x-choice name="kind" label="Kind" :options="array_map(fn(array $names) => $names[0], \App\Catalogue\Catalogue::KINDS)" :chosen="$kind" />
            <div class="field-set">
                <label for="yaml">Entry as YAML</label>
                <textarea class="in code" id="yaml" name="yaml" rows="14" @if ($findings->blocks()) aria-invalid="true" @endif aria-describedby="yaml-says">{{ $yaml === '' ? '' : "\n" . $yaml }}</textarea>
                <div id="yaml-says" aria-live="polite">
                    @foreach ($findings as $finding)
                        <div class="slim">@mark($finding->severity->value)<span>
                                @if ($finding->place?->line)
                                    <b>Line {{ $finding->place->line }}.</b>
                                @endif{{ $finding->found }} {{ $finding->do }}
                            </span></div>
                    @endforeach
                </div>
                <p class="hint">“change” beside any entry puts its YAML here. Under its own id it goes before the built-in one; under a new id it stands beside it.</p>
            </div>
            <div class="row"><button class="act" data-done>Take it in</button></div>
        </form>
    </div>
    @if (in_array($kind, ['board', 'image'], true))
        <section class="sheet scroll" tabindex="0" aria-labelledby="starts">
            <h2 id="starts">Which image starts which board</h2>
            <table class="list">
                <thead>
                    <tr>
                        <th scope="col">Board</th>
                        <th scope="col">starts from</th>
                        @foreach ($catalogue->shelf()->images as $image)
                            <th scope="col">{{ $image->label }}</th>
                        @endforeach
                    </tr>
                </thead>
                <tbody>
                    @foreach ($catalogue->shelf()->boards as $board)
                        <tr>
                            <th scope="row">{{ $board->label }} <span class="soft">{{ $board->year }}, {{ $board->processor->bits }}-bit</span></th>
                            <td>{{ implode(', ', $board->bootsFrom) }}</td>
                            @foreach ($catalogue->shelf()->images as $image)
                                @php($fits = $image->startsOn($board))<td>@mark($fits ? 'fine' : 'stop')
                                    {{ $fits ? 'yes' : ($image->kernelBits > $board->processor->bits ? 'too many bits' : 'too old') }}</td>
                            @endforeach
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </section>
    @endif
</x-page>
