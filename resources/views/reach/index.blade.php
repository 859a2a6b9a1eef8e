@php($count = $openings->count())
<x-page title="Reach" place="reach" script="reach">
    <x-slot:say><b>{{ $count === 0 ? 'Nothing can be reached from outside.' : ($count === 1 ? 'One way in from outside.' : "{$count} ways in from outside.") }}</b>
        @if ($keeps)
            @php($devices = $ways->where('kind', 'tunnel')->count())
            {{ $devices === 0 ? 'No device has a key.' : ($devices === 1 ? 'One device has a key.' : "{$devices} devices have a key.") }}
            {{ $kind === null ? 'What kind of connection it is nobody said yet.' : 'The house has ' . $kind->label() . '.' }}
        @endif
    </x-slot:say>
    <script src="/lib/qrcode.js" defer></script>
    @if (!$keeps)
        <p class="soft">Port forwards and keys are shown to keepers.</p>
    @else
    <div class="aside">
        <div class="picture" tabindex="0" aria-label="Picture of ways in, may be scrolled">@include('reach.picture', ['picture' => $page->picture])</div>
        <div class="stack">
            <h2>What needs you</h2>
            @forelse ($page->findings->first as $finding)
                <x-finding :finding="$finding" />
            @empty
                <p class="soft">Nothing.</p>
            @endforelse
            @if ($page->findings->more() > 0)
                <p class="soft">And {{ $page->findings->more() }} more, in the tables below.</p>
            @endif
            <form method="post" action="{{ route('reach.show') }}">@csrf<button class="ghost">{{ session('show_to_others') ? 'Show everything again' : 'Mask it, to show to others' }}</button></form>
        </div>
    </div>
    <div class="sheet scroll">
        @if ($count === 0)
            <x-empty title="No opening">An opening is a port of the router that leads to a box. Each one has a reason, somebody who answers for it, and a day to look again.</x-empty>
        @else
            <x-list :heads="['Outside', 'Leads to', 'For', 'Because', 'Who answers', 'From', 'Look again', '']">
                @foreach ($openings as $opening)
                    <tr id="opening-{{ $opening->id }}">
                        <td class="mono">{{ $opening->outside_port }}/{{ $opening->protocol }}</td>
                        <td><a href="{{ route('box', $opening->box_id) }}" data-stop>{{ $opening->box->called() }}</a> <span class="mono">{{ $opening->inside_port }}</span></td>
                        <td>{{ $opening->purpose }}</td>
                        <td>{{ $opening->reason }}</td>
                        <td>{{ $opening->owner ?? 'nobody yet' }}</td>
                        <td class="mono">{{ $opening->sources ?? 'anybody' }}</td>
                        <td class="whole">@if ($opening->review_on->isPast())@mark('warn')@endif {{ $opening->review_on->format('Y-m-d') }}</td>
                        <td>
                            <a href="{{ route('reach', ['edit' => $opening->id]) }}#opening-form">Change</a>
                            <form method="post" action="{{ route('reach.close', $opening) }}">@csrf<button class="link">Close</button></form>
                        </td>
                    </tr>
                @endforeach
            </x-list>
        @endif
            <div class="row"><a class="ghost" href="{{ route('reach', ['add' => 1]) }}#opening-form">Write down a way in</a></div>
            @if ($count > 0)
                <p class="soft slim-text">For the router ({{ $network->router_page['router_forwards'] ?? 'where its openings are' }}): @foreach ($openings as $opening)<span class="mono">{{ strtoupper($opening->protocol) }} {{ $opening->outside_port }} → {{ $opening->box->address }}:{{ $opening->inside_port }}</span>{{ $loop->last ? '.' : '; ' }}@endforeach
                    UDP or TCP as it stands here, never both.</p>
            @endif
    </div>
    @if ($edit !== null || $adds)
        @include('reach.opening')
    @endif
        <div class="sheet scroll" id="who">
            <h2>Who can come in</h2>
            @if ($ways->isNotEmpty())
                <x-list :heads="['Device or program', 'Held by', 'Comes in by', 'Given', 'Until', 'Last came', '']">
                    @foreach ($ways as $way)
                        <tr>
                            <td>{{ $way->device }}</td>
                            <td>{{ $way->holder ?? '—' }}</td>
                            <td>
                                @if ($way->kind === 'tunnel')
                                    the tunnel <span class="mono soft">{{ $way->address }}</span>
                                @else
                                    {{ $way->kind === 'program' ? 'a key' : 'an account' }} for {{ $way->service ? "{$way->service->purpose} on {$way->service->box->called()}" : 'a port that is gone' }}{{ $way->starts_alone ? '; may start it by itself' : '' }}
                                @endif
                            </td>
                            <td class="whole">{{ $way->given_on->format('Y-m-d') }}</td>
                            <td class="whole">@if ($way->ends_on)@if ($way->ends_on->isPast())@mark('warn')@endif {{ $way->ends_on->format('Y-m-d') }}@else<span class="soft">no end</span>@endif</td>
                            <td class="whole">@if ($way->last_came_at)@ago($way->last_came_at)@else<span class="soft">{{ $way->kind === 'tunnel' ? 'not seen' : 'nobody tells' }}</span>@endif</td>
                            <td class="whole">@if ($way->kind === 'tunnel')<a href="{{ route('reach.profile', $way) }}">Profile</a> · @endif<a href="{{ route('reach.lost', $way) }}">{{ $way->kind === 'tunnel' ? 'Lost it' : 'Take it back' }}</a></td>
                        </tr>
                    @endforeach
                </x-list>
            @endif
            <form method="post" action="{{ route('reach.seen') }}" class="row">
                @csrf
                <label for="pasted" class="unseen">What sudo wg show prints on the endpoint</label>
                <textarea class="in code" id="pasted" name="pasted" rows="2" placeholder="paste what “sudo wg show” prints, and it says here who came and when"></textarea>
                <button class="ghost">Read it</button>
            </form>
        </div>
        @if ($page->certificates !== [])
            <div class="sheet scroll" id="certificates">
                <h2>Certificates that pages show</h2>
                <x-list :heads="['Page', 'For', 'Vouched for by', 'Until', 'Seen', 'Its SHA-256 begins']">
                    @foreach ($page->certificates as $one)
                        @php($left = $one->daysLeft(now()->toDateTimeImmutable()))
                        <tr>
                            <td>{{ $one->page->purpose }} <span class="soft">on {{ $one->page->box }}</span> <span class="mono">{{ $one->page->port->number }}</span></td>
                            <td class="mono">{{ implode(' ', array_slice($one->names, 0, 3)) ?: 'nobody' }}{{ count($one->names) > 3 ? ' …' : '' }}</td>
                            <td>{{ $one->isOwn() ? 'itself' : $one->issuer }}</td>
                            <td class="whole">@if ($left !== null && $left < 21)@mark('warn')@endif {{ $one->ends?->format('Y-m-d') ?? 'it does not say' }}</td>
                            <td class="whole">@ago($one->seen)</td>
                            <td class="mono">{{ substr($one->sha256, 0, 16) }}</td>
                        </tr>
                    @endforeach
                </x-list>
            </div>
        @endif
        <div class="two below">
            <div class="stack">
            <section class="sheet" id="device-form" aria-labelledby="device-title">
                <h2 id="device-title">Give a device a key</h2>
                <form method="post" action="{{ route('reach.give') }}" hx-post="{{ route('reach.give') }}" hx-target="#given" hx-swap="outerHTML">
                    @csrf
                    <x-field name="device" label="Device" :value="is_string(old('device')) ? old('device') : ''" :findings="Burrow\Judgement\Findings::of()" placeholder="the phone of the greenhouse" autocomplete="off" />
                    <x-field name="holder" label="Held by" :value="is_string(old('holder')) ? old('holder') : ''" :findings="Burrow\Judgement\Findings::of()" autocomplete="off" />
                    <x-field name="device_key" label="Its public key" value="" :findings="Burrow\Judgement\Findings::of()" code autocomplete="off" hint="Made on the device with “wg genkey”, or here in this browser. The private half never leaves where it was made." />
                    <div class="row"><button type="button" class="ghost" data-make-key>Make a key here</button><button class="act">Give it</button></div>
                    <p class="hint" data-key-says aria-live="polite"></p>
                </form>
                <div id="given"></div>
                @php($old = fn(string $field): string => is_string(old($field)) ? old($field) : '')
                <details id="key-form" class="more" @if ($keyJudged->blocks() || $old('program') !== '') open @endif>
                    <summary>Write down the key of a program, or an account</summary>
                    <form method="post" action="{{ route('reach.program') }}">
                        @csrf
                        <x-field name="program" label="Program or account" :value="$old('program')" :findings="$keyJudged" placeholder="the slicing program of the reading room desk" autocomplete="off" />
                        <x-choice name="key_kind" label="It is" :options="Burrow\Reach\TypedKey::KINDS" :chosen="$old('key_kind')" />
                        <x-field name="key_holder" label="Who holds it" :value="$old('key_holder')" :findings="$keyJudged" autocomplete="off" placeholder="desk" />
                        <x-choice name="key_for" label="What it opens" :options="$page->pages" :chosen="$old('key_for')" :findings="$keyJudged" />
                        <x-field name="key_ends" label="Its last day, if it has one" :value="$old('key_ends')" :findings="$keyJudged" code placeholder="2027-05-31" autocomplete="off" />
                        <x-field name="key_back" label="How it is taken back" :value="$old('key_back')" :findings="$keyJudged" placeholder="Settings of the page, Application keys, the bin beside it" autocomplete="off" />
                        <div class="ticks one"><label><input type="checkbox" name="starts_alone" value="1" @checked($old('starts_alone') === '1')> it may start the machine by itself</label></div>
                        <p class="hint">The key itself is not asked and kept nowhere here.</p>
                        <div class="row"><button class="act">Write it down</button></div>
                    </form>
                </details>
            </section>
                @if ($network->outside_name)
                    <section class="sheet" id="name" aria-labelledby="name-title">
                    <form method="post" action="{{ route('reach.name') }}">
                        @csrf
                        <h2 id="name-title">Does {{ $network->outside_name }} lead here?</h2>
                        <p class="slim">
                            @if ($network->name_asked_at === null)
                                <span class="soft">Nobody asked yet.</span>
                            @elseif ($network->name_wrong_since === null)
                                @mark('fine') It led here <span class="soft">@ago($network->name_asked_at)</span>
                            @else
                                @mark('warn') It led to {{ $network->name_led_to ?? 'nobody' }} <span class="soft">@ago($network->name_asked_at)</span>, wrong since {{ $network->name_wrong_since->setTimezone(App\Models\Network::zone())->format('Y-m-d H:i') }}
                            @endif
                        </p>
                        <x-command id="ask-name" text="dig {{ $network->outside_name }} A"><x-slot:where>anywhere with another resolver, a phone’s connection for one</x-slot:where></x-command>
                        <div class="field-set">
                            <label for="pasted_name">What it prints, if it was asked somewhere else</label>
                            <textarea class="in code" id="pasted_name" name="pasted_name" rows="2">{{ is_string(old('pasted_name')) ? old('pasted_name') : '' }}</textarea>
                        </div>
                        <div class="row"><button class="ghost">Ask, or read it</button></div>
                        <p class="hint">Home addresses change. Most routers keep a name current themselves (its page, “dynamic DNS”); <a href="{{ route('reach.name-keeper') }}">a timer on a box that is always on</a> does it, too. It must have been seen to work after a change of the address.</p>
                    </form>
                </section>
                @endif
            </div>
            <section class="sheet" id="outside" aria-labelledby="outside-title">
                <h2 id="outside-title">The house from outside</h2>
                @foreach (is_array(session('outside_says')) ? session('outside_says') : [] as $said)
                    <p class="slim">@mark('stop') {{ $said }}</p>
                @endforeach
                @php($none = Burrow\Judgement\Findings::of())
                @php($was = fn(string $field, ?string $kept): string => is_string(old($field)) ? old($field) : (string) $kept)
                <form method="post" action="{{ route('reach.outside') }}">
                    @csrf
                    <x-field name="outside_name" label="Name that always leads here" :value="$was('outside_name', $network->outside_name)" :findings="$none" code autocomplete="off" placeholder="{{ $network->wan ?? 'seeds.example.net' }}" />
                    <x-choice name="wan_kind" label="Connection" :options="$kinds" :chosen="$was('wan_kind', $kind?->value)" />
                    <x-field name="tunnel_net" label="Network inside the tunnel" :value="$was('tunnel_net', $tunnel->net->prefix())" :findings="$none" code autocomplete="off" />
                    <x-field name="tunnel_port" label="Its port" :value="$was('tunnel_port', (string) $tunnel->port)" :findings="$none" code inputmode="numeric" autocomplete="off" />
                    <x-field name="endpoint_key" label="Public key of the endpoint" :value="$was('endpoint_key', $tunnel->publicKey)" :findings="$none" code autocomplete="off" />
                    <div class="row"><button class="act">Keep it</button><a class="ghost" href="{{ route('reach.endpoint') }}">Endpoint file</a></div>
                </form>
                <x-working :working="$tunnel->mtu->working()" />
            </section>
        </div>
        <section class="sheet" aria-labelledby="schools-title">
            <h2 id="schools-title">Which way for this house</h2>
            <ul class="schools">
                @foreach ($schools as $school)
                    <li>@mark($school['best'] ? 'fine' : ($school['fits'] ? 'note' : 'stop')) <b>{{ ucfirst($school['label']) }}{{ $school['best'] ? ': recommended' : '' }}.</b> {{ ucfirst($school['because']) }}.</li>
                @endforeach
            </ul>
        </section>
        <section class="sheet scroll" id="tests" tabindex="0" aria-labelledby="tests-title">
            <h2 id="tests-title">To be tried from outside</h2>
            <p>From a phone’s own connection, with its wireless off: from inside it proves nothing.</p>
            @if ($benchPhone)
                <form method="post" action="{{ route('reach.bench') }}" class="row">@csrf<button class="ghost">Let the bench’s phone try them all</button></form>
            @endif
            <x-list :heads="['Port', 'What', 'It must', 'How', 'When last tried', 'And now']">
                @foreach ($page->tests as $test)
                    <tr>
                        <td class="mono">{{ $test->port }}/{{ $test->protocol }}</td>
                        <td>{{ $test->what }}</td>
                        <td class="whole">{{ $test->mustAnswer ? 'answer' : 'stay shut' }}</td>
                        <td class="{{ str_starts_with($test->command, 'nc') ? 'mono' : '' }}">{{ $test->command }}</td>
                        <td class="whole">
                            @if ($test->trial === null)
                                <span class="soft">not tried</span>
                            @else
                                @mark($test->isWrong() ? ($test->mustAnswer ? 'warn' : 'stop') : 'fine') {{ $test->trial->answered ? 'answered' : 'did not answer' }} <span class="soft">@ago($test->trial->at)</span>
                            @endif
                        </td>
                        <td>
                            <form method="post" action="{{ route('reach.tried') }}" class="row both">
                                @csrf
                                <input type="hidden" name="port" value="{{ $test->port }}"><input type="hidden" name="protocol" value="{{ $test->protocol }}">
                                <button class="ghost small" name="answered" value="1" aria-label="It answers: {{ $test->port }} {{ $test->protocol }}">It answers</button>
                                <button class="ghost small" name="answered" value="0" aria-label="It does not: {{ $test->port }} {{ $test->protocol }}">It does not</button>
                            </form>
                        </td>
                    </tr>
                @endforeach
            </x-list>
        </section>
    @endif
</x-page>
