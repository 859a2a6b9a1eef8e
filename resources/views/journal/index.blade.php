<x-page title="Journal" place="journal">
    <x-slot:say><b>{{ $entries->total() }} entries,</b> newest first. Nothing here is ever changed.</x-slot:say>
    @if ($entries->isEmpty())
        <x-empty title="Nothing written yet" href="/plan" link="New box">What happens to a box is written down by itself.</x-empty>
    @else
        <div class="sheet scroll">
            <x-list :heads="['When', 'Box', 'What', 'By']">
                @foreach ($entries as $entry)
                    <tr>
                        <td class="whole">@ago($entry->at)</td>
                        <td>
                            @if ($entry->box)
                                <a href="{{ route('box', $entry->box_id) }}" data-stop>{{ $entry->box->called() }}</a>
                            @endif
                        </td>
                        <td>{{ $entry->text }}</td>
                        <td>{{ $entry->by }}</td>
                    </tr>
                @endforeach
            </x-list>
        </div>
        <x-pages :of="$entries" back="Newer" on="Older" />
    @endif
</x-page>
