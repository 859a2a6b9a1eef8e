<x-page :title="$box->called()" place="boxes">
    <x-slot:say>
        <b>
            {{ match (true) {
                $box->stage->value === 'retired' => 'Out of service since ' . $box->retired_at?->setTimezone(\App\Models\Network::zone())->format('j M Y') . '.',
                !$box->stage->stands() => 'Not in service yet.',
                !$box->isInService() => 'Not finished, and ' . $hearing->words() . '.',
                default => ucfirst($hearing->words()) . '.',
            } }}
        </b>
        {{ ucfirst(collect($jobs)->map(fn($job) => $job->label)->implode(', ')) . ($box->address ? " at {$box->address}" : '') }}.
        @if ($due)
            {{ $due->isOverdue() ? 'Its update is overdue.' : 'Next update ' . ($due->daysLeft === 0 ? 'today.' : "in {$due->daysLeft} days.") }}
        @endif
    </x-slot:say>
    @if ($box->stage->value === 'retired')
        <section class="sheet below" id="retired" aria-labelledby="retired-title">
            <h2 id="retired-title">{{ $box->wiped_at ? 'Its card is wiped' : 'Its card is the way back until ' . $box->wipe_on?->format('j M Y') }}</h2>
            @if ($box->wiped_at)
                <p class="soft">By somebody’s word. The record stays until you drop it; then its name is free.</p>
                <form class="row" method="post" action="{{ route('box.drop', $box) }}">@csrf @method('delete')<button class="ghost">Drop its record</button></form>
            @else
                <p class="soft">It holds keys, passwords and files. What the box was is kept below, and nobody asks it any more.</p>
                <div class="row"><form method="post" action="{{ route('box.take-back', $box) }}">@csrf<button class="ghost">Take it back</button></form> <form method="post" action="{{ route('box.wiped', $box) }}">@csrf<button class="ghost">Its card was wiped</button></form></div>
            @endif
        </section>
    @elseif (!$box->isInService())
        <div class="row below">
            <x-next :box="$box" />
            @if ($box->stage->value === 'named' && $box->card_written_at)
                <a class="ghost" href="{{ route('box.card', $box) }}">Make its card anew</a>
            @endif
            <form method="post" action="{{ route('box.drop', $box) }}">@csrf @method('delete')<button class="ghost">Drop this plan</button></form>
        </div>
    @endif
    @if ($box->stage->stands() || $box->stage->value === 'bringing-up')
        <p class="below row"><a class="ghost" href="{{ route('box.diagnosis', $box) }}">It does not do its work</a> <a class="ghost" href="{{ route('box.paper', $box) }}">On paper</a>@if ($box->stage->stands() && auth()->user()->isKeeper()) <a class="ghost" href="{{ route('box.parts', $box) }}">Other parts</a> <a class="ghost" href="{{ route('box.move', $box) }}">Move</a> <a class="ghost" href="{{ route('box.report', $box) }}">How it says it is</a> <a class="ghost" href="{{ route('box.unattended', $box) }}">Updates by themselves</a> <a class="ghost" href="{{ route('box.lost', $box) }}">What if it died tonight?</a> <a class="ghost" href="{{ route('box.retire', $box) }}">Take it out of service</a>@endif</p>
    @endif
    @if ($leftOpen->isNotEmpty() || $unplayed !== [])
        <section class="sheet below" aria-labelledby="left-open">
            <h2 id="left-open">Left open</h2>
            @foreach ($unplayed as $job)
                <p class="slim">@mark('warn')<span><b>{{ ucfirst($job) }}</b> is not set up here yet: its playbook was not played to its end.</span></p>
            @endforeach
            @foreach ($leftOpen as $open)
                <p class="slim">@mark('warn')<span><b>{{ $open['title'] }}</b> {{ $open['outcome'] }}, @ago($open['at']).</span></p>
            @endforeach
            @if ($box->run && $leftOpen->isNotEmpty())
                <form class="row" method="post" action="{{ route('run.resume', $box->run) }}">@csrf<button class="ghost">Take up what was passed over</button></form>
            @endif
        </section>
    @endif
    <div class="two">
        <div>
            <section class="sheet">
                <h2>Board</h2>
                <dl class="facts">
                    <dt>class</dt>
                    <dd>{{ $board?->label ?? $box->board }}</dd>
                    <dt>what it can do</dt>
                    <dd>{{ $board?->summary }}</dd>
                    <dt>lights</dt>
                    <dd>{{ $board?->lights }}</dd>
                    <dt>network</dt>
                    <dd>{{ $box->link === 'wired' ? 'network cable' : 'Wi-Fi' }}</dd>
                </dl>
                <form class="row" method="post" action="{{ route('box.fed', $box) }}">@csrf
                    <div class="field-set grow"><label for="fed_by">Power comes from</label><input class="in" id="fed_by" name="fed_by" @longest('fed_by')
                            value="{{ $box->fed_by }}" placeholder="the strip in the reading room"></div><button class="ghost">Keep</button>
                </form>
                @if ($heatJudged !== null)
                    <x-slim :finding="$heatJudged" />
                @endif
                <details class="working">
                    <summary><span>Log its temperature under load</span></summary>
                    <form method="post" action="{{ route('box.measured', $box) }}">@csrf<x-numbers :fields="['board_celsius' => 'Board, °C', 'room_celsius' => 'Room, °C']" /><button class="ghost">Log it</button></form>
                </details>
            </section>
            <section class="sheet">
                <h2>Address</h2>
                <dl class="facts">
                    <dt>address</dt>
                    <dd class="mono">{{ $box->address ?? '—' }}</dd>
                    <dt>hardware address</dt>
                    <dd class="mono">{{ $box->mac ?? '—' }}</dd>
                    <dt>pinned</dt>
                    <dd>
                        @if ($box->fixed_address)
                            on its card
                        @elseif ($box->pinned_at)
                            by a reservation,
                            @ago($box->pinned_at)
                        @else
                            no
                        @endif
                    </dd>
                    <dt>last asked</dt>
                    <dd>@ago($box->asked_at)</dd>
                    <dt>last answered</dt>
                    <dd>@ago($box->answered_at)</dd>
                </dl>
            </section>
            <section class="sheet">
                <h2>Ports</h2>
                @if ($box->services->isEmpty())
                    <p class="soft">Known once it is in service.</p>
                @else
                    <x-list :heads="['Port', 'For', 'State']">
                        @foreach ($box->services->sortBy('port') as $service)
                            <tr>
                                <td class="mono">{{ $service->port }}/{{ $service->protocol }}</td>
                                <td>{{ $service->purpose }}</td>
                                <td>
                                    @if ($service->state)
                                        {{ $service->state }},
                                        @ago($service->looked_at)
                                    @else
                                        <span class="soft">not asked yet</span>
                                    @endif
                                </td>
                            </tr>
                        @endforeach
                    </x-list>
                @endif
            </section>
            @if (auth()->user()->isKeeper() && $box->stage->stands() && ($box->run === null || $box->run->finished_at !== null))
                <section class="sheet">
                    <h2>Change it</h2>
                    <p>Each is a short run, in an order that never leaves two boxes on one address, with a way back at every step.</p>
                    <form class="after" method="post" action="{{ route('box.re-address', $box) }}">
                        @csrf
                        <x-field name="new_address" label="Another address" :value="old('new_address', (string) $proposed)" :findings="\Burrow\Judgement\Findings::of()" code />
                        <div class="row"><button class="ghost">Give it this address</button></div>
                    </form>
                    <form class="after" method="post" action="{{ route('box.rename', $box) }}">
                        @csrf
                        <x-field name="new_name" label="Another name" :value="old('new_name', '')" :findings="\Burrow\Judgement\Findings::of()" :placeholder="$box->name" />
                        <div class="row"><button class="ghost">Call it so</button></div>
                    </form>
                    @if ($box->isInService() && $steps === [])
                        <p class="row after"><a class="ghost" href="{{ route('box', [$box, 'again' => 1]) }}#again_from">Its steps once more</a></p>
                    @elseif ($box->isInService())
                    <form class="after" method="post" action="{{ route('box.again', $box) }}">
                        @csrf
                        <x-choice name="again_from" label="Its steps once more, from" :options="$steps" :chosen="old('again_from', '')" />
                        <div class="row"><button class="ghost">Play them again</button></div>
                    </form>
                    @endif
                    @if ($box->jobs->count() > 1)
                        <form class="after" method="post" action="{{ route('box.drop-job', $box) }}">
                            @csrf
                            <x-choice name="drop_job" label="One job less" :options="$box->jobs->mapWithKeys(fn($one) => [$one->job => $labels[$one->job] ?? $one->job])->all()" :chosen="old('drop_job', '')" />
                            <div class="row"><button class="ghost">Take it away</button></div>
                        </form>
                    @endif
                </section>
            @endif
            @if ($box->identities->count() > 1)
                @php($known = [$box->address, $box->mac, $box->host_key, ...$shown])
                <section class="sheet scroll">
                    <h2>Known by</h2>
                    <x-list :heads="['What', 'Since', 'Until']">
                        @foreach ($box->identities->take(30) as $one)
                            <tr>
                                <td><span class="soft">{{ str_replace('-', ' ', $one->kind === 'mac' ? 'hardware address' : $one->kind) }}</span><br><span class="mono break">{{ $one->value }}</span></td>
                                <td class="whole">@ago($one->first_seen)</td>
                                <td class="whole">{{ in_array($one->value, $known, true) ? 'now' : '' }}@if (!in_array($one->value, $known, true))@ago($one->last_seen)@endif</td>
                            </tr>
                        @endforeach
                    </x-list>
                    @if (auth()->user()->isKeeper())
                        <p><a href="{{ route('addresses.find', ['box' => $box]) }}">Find it in the network</a>@if ($box->stage->stands()), or be led through <a href="{{ route('box.parts', $box) }}">another board or card</a>@endif</p>
                    @endif
                </section>
            @endif
        </div>
        <div>
            <section class="sheet">
                <h2>Access</h2>
                @if ($twin !== null)
                    <x-slim :finding="\Burrow\Card\Write\MasterCard::sameHostKey($box->called(), $twin->called())" />
                @endif
                <dl class="facts">
                    <dt>login</dt>
                    <dd class="mono">{{ $box->user && $box->address ? "ssh {$box->user}@{$box->address}" : '—' }}</dd>
                    <dt>by</dt>
                    <dd>{{ $box->login ?? 'not recorded' }}</dd>
                    @sees('boxes.login_fingerprint')
                        <dt>key</dt>
                        <dd class="mono">{{ $box->login_fingerprint ?? 'not recorded' }}</dd>
                    @endsees
                    <dt>host key</dt>
                    <dd class="mono">{{ $box->host_key ?? 'not recorded' }}</dd>
                    <dt>from outside</dt>
                    <dd>{{ $box->openings->map(fn($o) => "{$o->outside_port} {$o->protocol}" . ($reasons ? ": {$o->reason}" : ''))->implode('; ') ?: 'no way in' }}</dd>
                    <dt>depends on</dt>
                    <dd>{{ $box->dependencies->map(fn($d) => "{$d->provider->name} for {$d->what}")->implode(', ') ?: 'no other box' }}</dd>
                </dl>
            </section>
            @php($answered = auth()->user()->isKeeper() ? $box->jobs->filter(fn($job) => $job->answers !== []) : collect())
            @if ($answered->isNotEmpty())
                <section class="sheet">
                    <h2>Answered when it was set up</h2>
                    @foreach ($answered as $job)
                        <h3>{{ ucfirst($job->called()) }}</h3>
                        <dl class="facts">
                            @foreach ($job->answers as $name => $value)
                                <dt>{{ str_replace(['_', '-'], ' ', $name) }}</dt>
                                <dd>{!! nl2br(e($value)) !!}</dd>
                            @endforeach
                        </dl>
                    @endforeach
                    <p class="hint">What steps asked, for the day it is set up anew. Secrets are never among it.</p>
                </section>
            @endif
            <section class="sheet">
                <h2>Updates</h2>
                @if ($due)
                    <x-slim :finding="$due->finding()" /><x-working :working="$due->working()" />
                    <form class="row" method="post" action="{{ route('box.updated', $box) }}">@csrf<button class="ghost">Updated it today</button></form>
                @else
                    <p class="soft">{{ auth()->user()->isKeeper() ? 'Due dates begin with the first update.' : 'Told to keepers only.' }}</p>
                @endif
            </section>
            <section class="sheet">
                <h2>Storage</h2>
                @forelse ($box->stores as $store)
                    <dl class="facts">
                        <dt>disk</dt>
                        <dd>{{ $store->bytes ? \Burrow\Quantity\Bytes::of($store->bytes)->decimal() : '' }} <span class="mono">{{ $store->serial }}</span></dd>
                        <dt>mounted at</dt>
                        <dd class="mono">{{ $store->mount_point }}</dd>
                        <dt>file system</dt>
                        <dd class="mono">{{ $store->uuid }}</dd>
                        <dt>share</dt>
                        <dd class="mono">{{ $store->share }}</dd>
                    </dl>
                @empty <p class="soft">No disk of its own.</p>
                @endforelse
                @if ($box->drive !== null)
                    <h3>How fast it copies</h3>
                    @if ($copyJudged !== null)
                        <x-slim :finding="$copyJudged" />
                    @endif
                    <form method="post" action="{{ route('box.measured', $box) }}">@csrf
                        <x-numbers :fields="['megabytes' => 'Settled rate, MB/s', 'idle' => 'Processor idle, %']" />
                        <p class="hint">One file of about 1 GB; leave out the first seconds.</p><button class="ghost">Log it</button>
                    </form>
                    <details class="more" id="copy-test" @if (is_string(old('watched'))) open @endif>
                        <summary>Let the box watch a copy</summary>
                        <p><a href="{{ route('box.copy-test') }}">The script</a> prints a line a second: network, disks, each core. Start it on the box, then copy one file from the desk; change one thing at a time.</p>
                        <x-command id="watch" text="sh watch-copy.sh 60"><x-slot:where>on {{ $box->called() }}</x-slot:where></x-command>
                        <x-command id="copy-unix" text="head -c 1000000000 /dev/urandom >one.bin && cp one.bin /PATH/OF/THE/SHARE/"><x-slot:where>on a desk with a Unix shell</x-slot:where></x-command>
                        <x-command id="copy-power" text="$b = New-Object byte[] 1000000000; (New-Object Random).NextBytes($b); [IO.File]::WriteAllBytes('one.bin', $b); Copy-Item one.bin Z:"><x-slot:where>on a desk with PowerShell, the share as Z:</x-slot:where></x-command>
                        <form method="post" action="{{ route('box.measured', $box) }}">@csrf
                            <div class="field-set"><label for="watched">Paste what it printed</label><textarea class="in code" id="watched" name="watched" rows="3">{{ is_string(old('watched')) ? old('watched') : '' }}</textarea></div>
                            <button class="ghost">Log it</button></form>
                    </details>
                @endif
            </section>
            @if ($decisions->isNotEmpty())
                <section class="sheet">
                    <h2>Why it is as it is</h2>
                    @foreach ($decisions as $decision)
                        <p><b>{{ $decision->sentence }}</b>
                            @if ($decision->because !== '' && $decision->overruled === '')
                                Because {{ $decision->because }}.
                            @endif
                            <span class="soft">{{ $decision->by }}, @ago($decision->created_at)</span>
                        </p>
                        @if ($decision->overruled !== '')
                            <p class="slim">@mark('stop')<span><b>Overruled:</b> {{ $decision->overruled }} Because {{ $decision->because }}.</span></p>
                        @endif
                        @foreach ($decision->tried as $one)
                            <p class="slim">@mark('note')<span>Tried{{ $one['because'] === '' ? '' : ' and dropped, because ' . $one['because'] }}: <a
                                        href="{{ route('plan', $one['choices']) }}">{{ $one['sentence'] }}</a></span></p>
                        @endforeach
                    @endforeach
                </section>
            @endif
            @includeWhen($starts !== null, 'boxes.starts')
            <section class="sheet">
                <h2>History</h2>
                @forelse ($entries as $entry)
                <p class="slim"><span class="soft">@ago($entry->at)</span> <span>{{ $entry->text }}</span></p>@empty <p class="soft">Nothing yet.</p>
                @endforelse
                @if ($box->run)
                    <p><a href="{{ route('run', $box->run) }}">Its last run, step by step</a></p>
                @endif
            </section>
        </div>
    </div>
</x-page>
