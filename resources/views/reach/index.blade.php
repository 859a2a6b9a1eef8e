@php($count = $openings->count())
<x-page title="Reach" place="reach" script="reach">
    <x-slot:say><b>{{ $count === 0 ? 'Nothing can be reached from outside.' : ($count === 1 ? 'One way in from outside.' : "{$count} ways in from outside.") }}</b>
        @if ($keeps)
            {{ $ways->isEmpty() ? 'No device has a key.' : ($ways->count() === 1 ? 'One device has a key.' : $ways->count() . ' devices have a key.') }}
            {{ $kind === null ? 'What kind of connection it is nobody said yet.' : 'The house has ' . $kind->label() . '.' }}
        @endif
    </x-slot:say>
    <script src="/lib/qrcode.js" defer></script>
    <div class="aside">
        <div class="picture" tabindex="0" aria-label="Picture of ways in, may be scrolled">@include('reach.picture')</div>
        <div class="stack">
            <h2>What needs you</h2>
            @forelse (array_slice($findings->list, 0, 5) as $finding)
                <x-finding :finding="$finding" />
            @empty
                <p class="soft">Nothing.</p>
            @endforelse
            @if ($keeps)
                <form method="post" action="{{ route('reach.show') }}">@csrf<button class="ghost">{{ session('show_to_others') ? 'Show everything again' : 'Mask it, to show to others' }}</button></form>
            @endif
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
                            @if ($keeps)
                                <a href="{{ route('reach', ['edit' => $opening->id]) }}#opening-form">Change</a>
                                <form method="post" action="{{ route('reach.close', $opening) }}">@csrf<button class="link">Close</button></form>
                            @endif
                        </td>
                    </tr>
                @endforeach
            </x-list>
        @endif
        @if ($keeps)
            <div class="row"><a class="ghost" href="{{ route('reach', ['add' => 1]) }}#opening-form">Write down a way in</a></div>
            @if ($count > 0)
                <p class="soft slim-text">For the router ({{ $network->router_page['router_forwards'] ?? 'where its openings are' }}): @foreach ($openings as $opening)<span class="mono">{{ strtoupper($opening->protocol) }} {{ $opening->outside_port }} → {{ $opening->box->address }}:{{ $opening->inside_port }}</span>{{ $loop->last ? '.' : '; ' }}@endforeach
                    UDP or TCP as it stands here, never both.</p>
            @endif
        @endif
    </div>
    @if ($edit !== null || $adds)
        @include('reach.opening')
    @endif
    @if ($keeps)
        <div class="sheet scroll" id="who">
            <h2>Who can come in</h2>
            @if ($ways->isNotEmpty())
                <x-list :heads="['Device', 'Held by', 'Comes in by', 'Inside', 'Given', 'Last came', '']">
                    @foreach ($ways as $way)
                        <tr>
                            <td>{{ $way->device }}</td>
                            <td>{{ $way->holder ?? '—' }}</td>
                            <td>{{ $way->kind === 'tunnel' ? 'the tunnel' : $way->kind }}</td>
                            <td class="mono">{{ $way->address }}</td>
                            <td>{{ $way->given_on->format('Y-m-d') }}</td>
                            <td class="whole">@if ($way->last_came_at)@ago($way->last_came_at)@else<span class="soft">not seen</span>@endif</td>
                            <td><a href="{{ route('reach.profile', $way) }}">Profile</a> · <a href="{{ route('reach.lost', $way) }}">Lost it</a></td>
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
        <div class="two below">
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
            </section>
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
            <x-list :heads="['Port', 'What', 'It must', 'How', 'When last tried', 'And now']">
                @foreach ($tests as $test)
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
