<x-page :title="$network->name" place="ground" script="ground">
    <x-slot:say><b>{{ $outlook->lead() }}</b> {{ $outlook->rest() }}</x-slot:say>
    <div class="aside">
        <div>
            <div class="picture" tabindex="0" aria-label="Cross-section, may be scrolled" data-narrow="/?narrow=1">
                <x-ground :picture="$picture" :ids="$ids" :network="$network" />
            </div>
            <details class="working">
                <summary><span>The same as a table</span></summary>
                <div class="scroll">
                    <x-list :heads="['Box', 'Address', 'State', 'Job', 'Reached from outside', 'Depends on']">
                        @foreach ($picture->chambers as $chamber)
                            <tr>
                                <td><a href="{{ route('box', $ids[$chamber->box->name]) }}">{{ $chamber->box->name }}</a></td>
                                <td class="mono">{{ $chamber->box->address }}</td>
                                <td>{{ $chamber->box->state->value }}</td>
                                <td>{{ $chamber->box->note }}</td>
                                <td>{{ implode(', ', $chamber->box->openings) ?: 'no' }}</td>
                                <td>{{ collect($chamber->box->dependsOn)->map(fn($what, $name) => "{$name} for {$what}")->implode(', ') ?: '—' }}</td>
                            </tr>
                        @endforeach
                    </x-list>
                </div>
            </details>
        </div>
        <section class="stack" aria-labelledby="needs">
            <h2 id="needs">What needs you</h2>
            @forelse ($findings as $finding)
                <x-finding :finding="$finding" data-stop tabindex="-1" />
            @empty
                <p class="soft">Nothing. Have a cup of tea.</p>
            @endforelse
        </section>
    </div>
</x-page>
