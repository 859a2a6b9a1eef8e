<x-page :title="'Updates of ' . $box->called() . ' by themselves'" place="boxes">
    <x-slot:say><b>{{ ucfirst($files->words()) }}, in its own hours.</b> Security updates only, as the system has it; what else waits is for the round.</x-slot:say>
    <div class="two">
        <div class="stack">
            @foreach ($findings as $finding)
                <x-finding :finding="$finding" />
            @endforeach
            <section class="sheet" aria-labelledby="files-title">
                <h2 id="files-title">On {{ $box->called() }}, once</h2>
                <x-command id="unattended" :text="$files->command()"><x-slot:where>On <b>{{ $box->name }}</b>, as <b>{{ $box->user }}</b></x-slot:where></x-command>
                <p><b>You should see</b> two lines, with the next day and hour of each.</p>
                <p class="hint"><b>Way back:</b> remove the three files that it wrote, and reload.</p>
            </section>
            <form class="sheet row" method="get" action="{{ route('box.unattended', $box) }}">
                <x-choice name="restarts" label="When an update asks for a restart" :options="['1' => 'it restarts, unless somebody is logged in', '0' => 'it waits for somebody']" :chosen="$restarts ? '1' : '0'" />
                <button class="ghost">Show</button>
            </form>
        </div>
        <section class="sheet" id="log" aria-labelledby="log-title">
            <h2 id="log-title">What it did</h2>
            <x-command id="log-command" text="sudo tail --lines=400 /var/log/unattended-upgrades/unattended-upgrades.log"><x-slot:where>On <b>{{ $box->name }}</b></x-slot:where></x-command>
            <form method="post" action="{{ route('box.unattended', $box) }}">
                @csrf
                <x-field name="log_text" label="What that printed" :value="is_string(old('log_text')) ? old('log_text') : ''" :findings="$wrong" area code class="paste" />
                <div class="row"><button class="act">Read it</button> <a class="ghost" href="{{ route('box.report', $box) }}">How it says it is</a></div>
            </form>
            @if ($runs !== [])
                <div class="scroll" tabindex="0" role="region" aria-label="Rounds, may be scrolled"><x-list :heads="['When', 'Packages', 'How it ended']">
                    @foreach ($runs as $run)
                        <tr>
                            <td class="mono whole">{{ $run->at }}</td>
                            <td>{{ $run->packages === [] ? 'none' : count($run->packages) . ': ' . implode(', ', array_slice($run->packages, 0, 6)) . (count($run->packages) > 6 ? ' …' : '') }}</td>
                            <td>@mark($run->well === false ? 'warn' : ($run->well === null ? 'note' : 'fine')) {{ $run->well === false ? $run->said : ($run->well === null ? 'its end is not in the log' : ($run->tried ? 'only looked' : ($run->packages === [] ? 'nothing to do' : 'installed'))) }}{{ $run->restarts ? ', restarted' : '' }}</td>
                        </tr>
                    @endforeach
                </x-list></div>
            @endif
        </section>
    </div>
</x-page>
