<x-page title="Cards of one kind" place="boxes">
    <x-slot:say><b>{{ count($made) }} cards, each with a name, an address and an identity of its own.</b> {{ $made[0]['box']->name }} at {{ $made[0]['box']->address }} to
        {{ $made[count($made) - 1]['box']->name }} at {{ $made[count($made) - 1]['box']->address }}.</x-slot:say>
    <x-way at="card" />
    <div class="aside">
        <div class="sheet scroll" tabindex="0" role="region" aria-label="The cards">
            <table class="list">
                <thead>
                    <tr>
                        <th scope="col">Box</th>
                        <th scope="col">Address</th>
                        <th scope="col">Identity</th>
                        <th scope="col">Looked over</th>
                        <th scope="col"><span class="unseen">Files</span></th>
                    </tr>
                </thead>
                <tbody>
                    @foreach ($made as $one)
                        <tr>
                            <td><a href="{{ route('box', $one['box']) }}" data-stop>{{ $one['box']->name }}</a></td>
                            <td class="mono">{{ $one['box']->address }}</td>
                            <td class="mono">{{ $one['box']->instance }}</td>
                            <td>@mark($one['findings']->worst()?->value ?? 'fine') {{ $one['findings']->count() === 0 ? 'nothing wrong' : $one['findings']->list[0]->found }}</td>
                            <td class="whole">@if ($one['zip'] !== '')<a href="data:application/zip;base64,{{ $one['zip'] }}" download="{{ $one['box']->name }}-card.zip">zip</a>@else typed @endif</td>
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </div>
        <div class="stack">
            @if ($zip !== '')
                <a class="act" href="data:application/zip;base64,{{ $zip }}" download="{{ $box->name }}-cards.zip">Download all, a folder a card</a>
            @endif
            <div class="finding">@mark('warn')<strong>One card after the other.</strong> Write the name on each as soon as it leaves the reader.</div>
            <x-master-card />
        </div>
    </div>
</x-page>
