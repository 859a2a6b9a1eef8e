<x-page title="Folders kept alike" place="stores">
    <x-slot:say><b>{{ $pairs->isEmpty() ? 'No folder is kept alike, as far as is written down.' : ($pairs->count() === 1 ? 'One folder is kept alike.' : $pairs->count() . ' folders are kept alike.') }}</b>
        What is deleted on one side is deleted on the other: keeping alike is no backup.</x-slot:say>
    @if (! $findings->isEmpty())
        <div class="stack said">
            @foreach (array_slice($findings->gravestFirst()->list, 0, 8) as $finding)
                <x-finding :finding="$finding" />
            @endforeach
        </div>
    @endif
    @foreach ($pairs as $pair)
        @php($looked = is_scalar(old('looked')) && (int) old('looked') === $pair->id)
        <section class="sheet" id="pair-{{ $pair->id }}" aria-labelledby="pair-title-{{ $pair->id }}">
            <h2 id="pair-title-{{ $pair->id }}"><span class="mono">{{ $pair->folder }}</span> on {{ $pair->box->called() }} ⇄ {{ $pair->peer }}</h2>
            <dl class="pairs">
                <dt>Alike</dt><dd>@if ($pair->differed_at !== null)@mark('warn') not, seen @ago($pair->differed_at)@elseif ($pair->in_step_at !== null)@mark('fine') seen @ago($pair->in_step_at)@else<span class="soft">never looked at</span>@endif</dd>
                <dt>Changed on both sides</dt><dd>{{ $pair->conflicts === null ? 'not asked' : ($pair->conflicts === 0 ? 'none' : $pair->conflicts . ($pair->conflicts === 1 ? ' copy' : ' copies')) }}</dd>
                <dt>Older versions</dt><dd>{{ $pair->keeps_days === null ? 'not asked' : ($pair->keeps_days === 0 ? 'none are kept' : 'kept for ' . $pair->keeps_days . ($pair->keeps_days === 1 ? ' day' : ' days')) }}</dd>
            </dl>
            <details class="more" @if ($looked) open @endif>
                <summary>Look whether both ends hold the same</summary>
                <x-command :id="'look-' . $pair->id" :text="$scripts($pair->folder)"><x-slot:where>on {{ $pair->box->called() }}, and on {{ $pair->peer }} with the folder’s path there behind its name</x-slot:where></x-command>
                <p class="hint">It compares names and sizes, not every byte. Let the program say first that it is through. A desk that writes é as e and an accent shows another sum with the same files.</p>
                <form method="post" action="{{ route('alike.said', $pair) }}">
                    @csrf
                    <div class="field-set"><label for="pasted-{{ $pair->id }}">Paste what both say</label><textarea class="in code" id="pasted-{{ $pair->id }}" name="pasted" rows="4">{{ $looked && is_string(old('pasted')) ? old('pasted') : '' }}</textarea></div>
                    <div class="row"><button class="act">Note it</button></div>
                </form>
            </details>
            @if ($conflicts !== [] && str_contains((string) session('told'), 'files'))
                <p>Both sides had changed:</p>
                <ul class="mono">
                    @foreach ($conflicts as $path)
                        <li>{{ $path }}</li>
                    @endforeach
                </ul>
            @endif
            <form method="post" action="{{ route('alike.away', $pair) }}">@csrf<button class="plain">no longer kept alike</button></form>
        </section>
    @endforeach
    <form class="sheet port-form" id="pair" method="post" action="{{ route('alike.add') }}">
        @csrf
        <h2>Write one down</h2>
        <x-choice name="pair_box" label="Box" :options="['' => 'choose'] + $boxes" :chosen="$typed['pair_box'] ?? ''" :findings="$judged" />
        <x-field name="pair_folder" label="Folder there" :value="$typed['pair_folder'] ?? ''" :findings="$judged" code autocomplete="off" />
        <x-field name="pair_peer" label="Kept alike with" :value="$typed['pair_peer'] ?? ''" :findings="$judged" autocomplete="off" hint="A desk, a phone, another box." />
        <x-field name="pair_keeps" label="Older versions are kept for, days" :value="$typed['pair_keeps'] ?? ''" :findings="$judged" code inputmode="numeric" autocomplete="off" hint="0 for none; nothing where you do not know." />
        <div class="row"><button class="act">Write it down</button> <a class="ghost" href="{{ route('stores') }}">Back to the stores</a></div>
    </form>
</x-page>
