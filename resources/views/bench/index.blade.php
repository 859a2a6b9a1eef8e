<x-page title="Bench" place="bench">
    <x-slot:say><b>A simulated lab on this machine.</b> Its boards read the very files that are made here, so a wrong file gives the same silence as on a real one.</x-slot:say>
    @isset($status['away'])
        <div class="finding">@mark('warn')<strong>{{ $status['away'] }}</strong> Start it with ./burrow up.</div>
    @endisset
    <div class="aside">
        <div>
        @fragment('lab')
            <div id="lab" class="stack" hx-get="/bench" hx-trigger="every 2s" hx-swap="outerHTML">
                @forelse ($boards as $board)
                    <section class="sheet" aria-label="Board {{ $board['id'] }}">
                        <div class="row">
                            <h2>{{ $boxes[$board['id']]->name ?? $board['name'] ?: $board['id'] }}</h2>
                            <span class="lamps" role="img"
                                aria-label="{{ $board['powered'] ? 'power light on' : 'power light off' }}, {{ $board['address'] ? 'link light on' : 'link light off' }}"><span
                                    class="lamp {{ $board['powered'] ? 'on' : '' }}"></span><span class="lamp {{ $board['address'] ? 'on' : '' }}"></span></span>
                            <span class="soft">{{ $board['class'] }} · {{ $board['phase'] }} <span class="mono">{{ $board['address'] }}</span></span>
                            <span class="push row">
                                @isset($boxes[$board['id']])
                                    <x-next :box="$boxes[$board['id']]" />
                                @endisset
                                <form method="post" action="{{ route('bench.power') }}">@csrf<input type="hidden" name="board" value="{{ $board['id'] }}"><input type="hidden"
                                        name="on" value="{{ $board['powered'] ? 0 : 1 }}"><button
                                        class="ghost" id="power-{{ $board['id'] }}">{{ $board['powered'] ? 'Take the power away' : 'Power on' }}</button></form>
                            </span>
                        </div>
                        @if ($board['card'] !== [])
                            <p class="soft"><span class="mono">{{ $board['mac'] }}</span> · card with {{ implode(', ', $board['card']) }}</p>
                        @endif
                        @if ($board['screen'] !== [] && $board['card'] !== [])
                            <pre class="screen" tabindex="0" aria-label="Screen of the board">{{ implode("\n", $board['screen']) }}{{ $board['fingerprint'] ? "\nhost key " . $board['fingerprint'] : '' }}</pre>
                        @endif
                    </section>
                @empty
                    <x-empty title="No board on the bench" href="/plan" link="New box">Make a card first; then its files go into a board here.</x-empty>
                @endforelse
            </div>
        @endfragment
            <div class="two after">
            @isset($status['line'])
                <section class="sheet">
                    <h2>The line to the world</h2>
                    <form method="post" action="{{ route('bench.line') }}">@csrf
                        <x-choice name="kind" label="What it is" :options="['fixed' => 'a public address that stays', 'changing' => 'a public address that changes', 'behind' => 'behind another router', 'carrier' => 'behind the carrier’s own']" :chosen="$status['line']['kind']" />
                        <div class="row"><button class="ghost">Set</button></div>
                    </form>
                    <p>Outside it is <span class="mono">{{ $status['line']['address'] }}</span>.@if ($status['line']['name'] !== '') <span class="mono">{{ $status['line']['name'] }}</span> leads to <span class="mono">{{ $status['line']['named'] }}</span>.@endif</p>
                    <form method="post" action="{{ route('bench.redial') }}" class="row">@csrf
                        <button class="ghost small" name="follows" value="1">Cut it for a moment</button>
                        <button class="ghost small" name="follows" value="0">… and the name is not kept current</button>
                    </form>
                    <h3>What the router lets in</h3>
                    @forelse ($status['line']['openings'] as $key => $to)
                        <form method="post" action="{{ route('bench.opening') }}" class="row tight">@csrf
                            <input type="hidden" name="opening" value="{{ $key }}"><span class="mono">{{ $key }} → {{ $to['address'] }}:{{ $to['port'] }}</span>
                            <button class="link" aria-label="Close it: {{ $key }} in the bench's router">Close it</button></form>
                    @empty
                        <p class="soft">Nothing.</p>
                    @endforelse
                    <form method="post" action="{{ route('bench.opening') }}">@csrf
                        <div class="field-set"><label for="opening">Let in another</label><input class="in code" id="opening" name="opening" placeholder="8443 tcp 172.22.8.11 443" value="{{ is_string(old('opening')) ? old('opening') : '' }}" autocomplete="off" @longest('opening')></div>
                        <div class="row"><button class="ghost">Let it in</button></div>
                    </form>
                </section>
            @endisset
            @isset($status['inside'])
                <section class="sheet">
                    <h2>In the house</h2>
                    <form method="post" action="{{ route('bench.dns') }}">@csrf
                        <div class="field-set"><label for="bench_dns">Name servers that the router hands out</label><input class="in code" id="bench_dns" name="bench_dns" value="{{ is_string(old('bench_dns')) ? old('bench_dns') : implode(' ', $status['inside']['dns']) }}" autocomplete="off" @longest('bench_dns')></div>
                        <div class="row"><button class="ghost">Set</button></div>
                    </form>
                    <form class="after" method="post" action="{{ route('bench.rate') }}">@csrf
                        <div class="field-set"><label for="mbit">Internet, Mbit/s</label><input class="in code" id="mbit" name="mbit" value="{{ $status['inside']['rate'] }}" inputmode="decimal" autocomplete="off" @longest('mbit') aria-describedby="mbit-says"><p class="hint" id="mbit-says">0 is none.</p></div>
                        <div class="row"><button class="ghost">Set</button></div>
                    </form>
                    <form class="after" method="post" action="{{ route('bench.client') }}">@csrf
                        <x-choice name="client" label="Who wants a name" :options="\App\Http\Controllers\Bench\BenchClientController::KINDS" :chosen="is_string(old('client')) ? old('client') : 'desktop'" />
                        <div class="field-set"><label for="client_name">Which</label><input class="in code" id="client_name" name="client_name" value="{{ is_string(old('client_name')) ? old('client_name') : '' }}" placeholder="larder.{{ $status['inside']['domain'] }}" autocomplete="off" @longest('client_name')></div>
                        <div class="row"><button class="ghost">Ask</button></div>
                    </form>
                </section>
            @endisset
            </div>
        </div>
        <div class="stack">
            <form class="sheet" method="post" action="{{ route('bench.speed') }}">@csrf
                <div class="field-set"><label for="speed">Clock, times faster</label><input class="in code" id="speed" name="speed" type="number" min="1"
                        max="1000" value="{{ (int) $status['speed'] }}"></div><button class="ghost">Set</button>
            </form>
            <section class="sheet">
                <h2>Router's list</h2>
                <table class="list">
                    <tbody>
                        @foreach ($status['leases'] as $mac => $lease)
                            <tr>
                                <td class="mono">{{ $lease['address'] }}</td>
                                <td>{{ $lease['name'] ?: '—' }}@if (isset($status['reservations'][$mac]))
                                        <br><span class="soft">reserved</span>
                                    @endif
                                </td>
                            </tr>
                        @endforeach
                    </tbody>
                </table>
            </section>
            @if ($boards->isNotEmpty() && ($status['faults'] ?? []) !== [])
                <form class="sheet" method="post" action="{{ route('bench.fault') }}">@csrf
                    <h2>Let something go wrong</h2>
                    <x-choice name="board" label="With the board of" :options="$boards->mapWithKeys(fn($board) => [$board['id'] => $boxes[$board['id']]->name ?? $board['name']])->all()" :chosen="$boards->first()['id']" />
                    <x-choice name="fault" label="What" :options="['' => 'nothing: all is well'] + array_column($status['faults'], 1, 0)" chosen="" />
                    <p class="hint">It shows from the next start on.</p>
                    <div class="row"><button class="ghost">Let it happen</button> <a class="ghost" href="{{ route('rehearsal') }}">Rehearse</a></div>
                </form>
            @endif
            @if ($boxes->isNotEmpty())
                <details class="sheet">
                    <summary><b>Another card into a board</b></summary>
                    <form method="post" action="{{ route('bench.card') }}">@csrf
                        <x-choice name="box" label="Board of" :options="$boxes->mapWithKeys(fn($box) => [$box->id => $box->name])->all()" :chosen="$boxes->last()?->id" />
                        @foreach (['user-data', 'meta-data', 'network-config'] as $name)
                            <div class="field-set"><label for="{{ $name }}">{{ $name }}</label>
                                <textarea class="in code" id="{{ $name }}" name="files[{{ $name }}]" rows="4"></textarea>
                            </div>
                        @endforeach
                        <button class="ghost">Put it in</button>
                    </form>
                </details>
            @endif
        </div>
    </div>
</x-page>
