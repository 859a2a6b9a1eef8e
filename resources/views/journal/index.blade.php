<x-page title="Journal" place="journal">
    <x-slot:say><b>{{ $entries->total() === 1 ? 'One entry' : $entries->total() . ' entries' }}{{ $search->isEmpty() ? '' : ' of what you look for' }},</b> newest first. Nothing here is ever changed.</x-slot:say>
    <form class="sheet port-form" method="get" action="{{ route('journal') }}" aria-label="Look for">
        <div class="field-set"><label for="words">Words</label><input class="in" id="words" name="words" maxlength="80" value="{{ $search->words }}" autocomplete="off"></div>
        <x-choice name="of" label="Box" :options="['' => 'all'] + array_combine($names, $names)" :chosen="$search->box" />
        <x-choice name="kind" label="Kind" :options="['' => 'all'] + array_combine($kinds, $kinds)" :chosen="$search->kind" />
        <div class="pair">
            <div class="field-set"><label for="day_from">From</label><input class="in code" id="day_from" name="day_from" maxlength="10" placeholder="2026-11-01" value="{{ $search->from }}" autocomplete="off"></div>
            <div class="field-set"><label for="day_to">to</label><input class="in code" id="day_to" name="day_to" maxlength="10" value="{{ $search->to }}" autocomplete="off"></div>
        </div>
        <div class="row"><button class="act">Look</button> @unless ($search->isEmpty())<a class="ghost" href="{{ route('journal') }}">All</a>@endunless
            <a class="ghost small" href="{{ route('journal.file', ['csv'] + $search->fields()) }}">As a table (CSV)</a> <a class="ghost small" href="{{ route('journal.file', ['json'] + $search->fields()) }}">As JSON</a> <a class="ghost small" href="{{ route('journal.measured') }}">What was measured</a> <a class="ghost small" href="{{ route('journal.compare') }}">Compare two</a>@if (auth()->user()->isKeeper()) <a class="ghost small" href="{{ route('journal.blind') }}">Listen blind</a>@endif</div>
    </form>
    @if ($keeps)
        <details class="sheet more" id="note" @if ($wrong !== null) open @endif>
            <summary>Write a note</summary>
            <form method="post" action="{{ route('journal.note') }}" class="port-form">
                @csrf
                <div class="field-set"><label for="note-text">In your words</label><textarea class="in" id="note-text" name="noted" rows="3" maxlength="500" @if ($wrong !== null) aria-invalid="true" aria-describedby="note-says" @endif>{{ is_string(old('noted')) ? old('noted') : '' }}</textarea>@if ($wrong !== null)<p class="hint" id="note-says">{{ $wrong }}</p>@endif</div>
                <x-choice name="note_box" label="Of which box" :options="['' => 'of the house'] + array_combine($names, $names)" :chosen="is_string(old('note_box')) ? old('note_box') : ''" />
                <div class="row"><button class="ghost">Write it down</button></div>
            </form>
        </details>
    @endif
    @if ($entries->isEmpty())
        <x-empty title="{{ $search->isEmpty() ? 'Nothing written yet' : 'Nothing of the kind' }}" href="{{ $search->isEmpty() ? '/plan' : route('journal') }}" link="{{ $search->isEmpty() ? 'New box' : 'All entries' }}">What happens to a box is written down by itself.</x-empty>
    @else
        <div class="sheet scroll" tabindex="0" role="region" aria-label="Entries, may be scrolled">
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
