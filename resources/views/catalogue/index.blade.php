<x-page title="Catalogue" place="catalogue">
    <x-slot:say><b>Jobs, boards and parts that a plan can choose from.</b> Your own entries stand beside the built-in ones.</x-slot:say>
    <div class="two">
        <div>
            @foreach (\App\Catalogue\Catalogue::KINDS as $of => [$one, $heading])
                <section class="sheet"><h2>{{ $heading }}</h2>
                    <table class="list"><tbody>
                    @foreach ($catalogue->entries($of) as $id => $entry)
                        <tr><td><b>{{ $entry['label'] }}</b>@isset($entry['summary'])<br><span class="soft">{{ $entry['summary'] }}</span>@endisset</td>@php($mine = in_array("{$of}/{$id}", $own, true))
                            <td class="soft whole">{{ $mine ? 'your own' : 'built in' }}</td>
                            <td class="whole"><a href="/catalogue?edit={{ $of }}/{{ $id }}#yaml" aria-label="Change {{ $id }}">change</a> · <a href="{{ route('catalogue.export', [$of, $id]) }}" aria-label="{{ $id }} as YAML">YAML</a>
                            @if ($mine && $catalogue->builtIn($of, $id) !== null) · <a href="{{ route('catalogue.export', [$of, $id, 'built-in' => 1]) }}" aria-label="{{ $id }} as it is built in">built in</a>@endif
                            @if ($mine)<form method="post" action="{{ route('catalogue.drop', [$of, $id]) }}">@csrf @method('delete')<button class="plain">take away</button></form>@endif</td></tr>
                    @endforeach
                    </tbody></table>
                </section>
            @endforeach
        </div>
        <form class="sheet tight" method="post" action="{{ route('catalogue.import') }}">
            @csrf
            <h2>Take in an entry</h2>
            <x-choice name="kind" label="Kind" :options="array_map(fn (array $names) => $names[0], \App\Catalogue\Catalogue::KINDS)" :chosen="$kind" />
            <div class="field-set">
                <label for="yaml">Entry as YAML</label>
                <textarea class="in code" id="yaml" name="yaml" rows="14" @if ($findings->blocks()) aria-invalid="true" @endif aria-describedby="yaml-says">{{ $yaml === '' ? '' : "\n".$yaml }}</textarea>
                <div id="yaml-says" aria-live="polite">@foreach ($findings as $finding)<div class="slim"><x-mark :severity="$finding->severity->value" /><span>@if ($finding->place?->line)<b>Line {{ $finding->place->line }}.</b> @endif{{ $finding->found }} {{ $finding->do }}</span></div>@endforeach</div>
                <p class="hint">“change” beside any entry puts its YAML here. Under its own id it goes before the built-in one; under a new id it stands beside it.</p>
            </div>
            <div class="row"><button class="act" data-done>Take it in</button></div>
        </form>
    </div>
</x-page>
