@php($edit = route('ports', array_filter(['box' => $page->only])) . ($page->only === '' ? '?edit=' : '&edit='))
@php($id = $page->box === null ? 0 : $page->boxes[$page->box]['id'])
<x-page title="Ports" place="ports">
    <x-slot:say><b>{{ $page->total === 1 ? '1 port' : "{$page->total} ports" }} on {{ $page->listening === 1 ? '1 box' : "{$page->listening} boxes" }}@php($world = $page->picture->strata[0]->count); {{ $world === 0 ? 'none reaches the world' : ($world === 1 ? 'one reaches the world' : "{$world} reach the world") }}.</b>
        @php($worst = $page->findings->all){{ $worst === 0 ? 'Nothing clashes, and nothing listens that is in no plan.' : ($worst === 1 ? 'One thing to look at.' : "{$worst} things to look at.") }}</x-slot:say>
    @if ($page->total === 0 && $form === null)
        <x-empty title="No ports yet" href="/plan" link="New box">The ports of a job are written down by themselves when its box goes into service.</x-empty>
    @else
        <div class="aside">
            <div>
                <div class="picture ports" tabindex="0" aria-label="Picture of all ports, may be scrolled">@include('ports.picture', ['picture' => $page->picture])</div>
                <p class="legend doors">
                    @foreach (['unclaimed' => 'unclaimed', 'default' => 'default login', 'changed' => 'login changed', 'second' => 'second factor', 'keys' => 'keys only', 'none' => 'no login', 'unknown' => 'not asked'] as $door => $word)
                        <span><svg width="16" height="18" viewBox="0 2 20 22" aria-hidden="true"><use href="#door-{{ $door }}" /></svg>{{ $word }}</span>
                    @endforeach
                    <span><i class="w planned"></i>planned</span><span><i class="w silent"></i>does not listen or answer</span><span><i class="w unplanned"></i>in no plan</span>
                </p>
            </div>
            <div class="stack">
                <h2>What needs you</h2>
                @forelse ($page->findings->first as $finding)
                    <x-finding :finding="$finding" />
                @empty
                    <p class="soft">Nothing.</p>
                @endforelse
                @if ($page->findings->more() > 0)
                    <p class="soft">And {{ $page->findings->more() }} more, in the table below.</p>
                @endif
            </div>
        </div>
        @if ($page->box !== null)
            <section class="sheet strip" aria-labelledby="strip-title">
                <div class="row tight">
                    <h2 id="strip-title">Ports of</h2>
                    @foreach ($page->choices as $name)
                        <a class="choice {{ $name === $page->box ? 'on' : '' }}" href="{{ route('ports', ['box' => $name]) }}" @if ($name === $page->box) aria-current="true" @endif>{{ $name }}</a>
                    @endforeach
                    @if ($page->only !== '')
                        <a class="choice" href="{{ route('ports') }}">all boxes</a>
                    @endif
                    <span class="soft">{{ $page->listed === null ? 'Nobody listed yet what listens on it.' : '' }}@if ($page->listed !== null)Listed @ago($page->listed)@endif</span>
                </div>
                <div class="picture plain" tabindex="0" aria-label="Strip of ports, may be scrolled">
                    <svg viewBox="0 0 {{ $page->strip::WIDTH }} 108" role="img" aria-label="Ports of {{ $page->box }} by number; they stand in the table below">
                        <defs><pattern id="outgoing" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><rect width="3" height="7" class="s-hatch" /></pattern></defs>
                        <rect class="s-system" x="10" y="{{ $page->strip::BAND }}" width="{{ $page->strip->user - 10 }}" height="18" />
                        <rect class="s-user" x="{{ $page->strip->user }}" y="{{ $page->strip::BAND }}" width="{{ 1054 - $page->strip->user }}" height="18" />
                        <rect class="s-out" x="{{ $page->strip->outgoing['from'] }}" y="{{ $page->strip::BAND }}" width="{{ $page->strip->outgoing['to'] - $page->strip->outgoing['from'] }}" height="18" fill="url(#outgoing)" />
                        <text class="s-in" x="16" y="{{ $page->strip::BAND + 13 }}">the system’s, to 1023</text>
                        <text class="s-in" x="{{ $page->strip->user + 6 }}" y="{{ $page->strip::BAND + 13 }}">services</text>
                        @foreach ($page->strip->marks as $mark)
                            <text class="s-mark" x="{{ $mark['x'] }}" y="{{ $page->strip::BAND + 36 }}" text-anchor="{{ $loop->first ? 'start' : ($loop->last ? 'end' : 'middle') }}">{{ $mark['label'] }}</text>
                        @endforeach
                        @foreach ($page->strip->labels as $label)
                            @if ($label->number !== '')
                                <path class="s-elbow" d="M{{ round($label->elbow, 1) }} {{ $label->y + 4 }} V{{ $page->strip::BAND - 8 }} L{{ round($label->at, 1) }} {{ $page->strip::BAND }}" />
                                <text class="s-label" x="{{ round($label->x, 1) }}" y="{{ $label->y }}"><tspan class="s-number">{{ $label->number }}</tspan> {{ $label->text }}</text>
                            @endif
                            <circle class="s-dot {{ $label->met }}" cx="{{ round($label->at, 1) }}" cy="{{ $page->strip::BAND + 9 }}" r="6" />
                        @endforeach
                    </svg>
                </div>
                <p class="soft slim-text">Hatched: 32768–60999 goes to outgoing connections. {{ $page->strip->more > 0 ? ($page->strip->more === 1 ? 'One port has' : "{$page->strip->more} ports have") . ' no room for a label.' : '' }}</p>
            </section>
        @endif
        <div class="sheet scroll" id="table">
            <x-list :heads="['Port', 'Box', 'For', 'Who reaches it', 'Access', 'Planned and heard', 'Asked', '']">
                @if ($form !== null && $form->service === null)
                    @include('ports.form')
                @endif
                @foreach ($rows as $row)
                    @php($service = $row->service())
                    @if ($form?->service !== null && $service?->id === $form->service->id)
                        @include('ports.form')
                    @else
                        <tr @if ($service !== null) id="port-{{ $service->id }}" @endif>
                            <td class="mono">{{ $row->pair->place() }}@if ($service?->inner) <span class="soft">→ {{ $service->inner }} inside</span>@endif</td>
                            <td><a href="/boxes/{{ $page->boxes[$row->box]['id'] }}" data-stop>{{ $row->box }}</a> <span class="mono soft where-at">{{ $page->boxes[$row->box]['address'] }}</span></td>
                            <td>
                                @if ($service !== null && in_array($service->scheme, ['http', 'https'], true) && $page->boxes[$row->box]['address'] !== null)
                                    <a class="mono-link" href="{{ $service->scheme }}://{{ $page->boxes[$row->box]['address'] }}:{{ $service->port->number }}{{ $service->path }}" rel="noreferrer">{{ $row->purpose() }}</a>
                                @else
                                    {{ $row->purpose() }}
                                    @if ($row->number() === 53 && isset($page->proofs[$row->box]) && $keeps)
                                        <a class="soft advice" href="{{ route('filter.proof') }}">@mark($page->proofs[$row->box]['held'] ? 'fine' : 'warn') {{ $page->proofs[$row->box]['held'] ? 'names as they should be' : 'names not as they should be' }}, @ago($page->proofs[$row->box]['at'])</a>
                                    @endif
                                @endif
                            </td>
                            <td>{{ $row->reach->label() }}@if ($service?->bound) <span class="mono soft">{{ $service->bound }}</span>@endif @if ($row->reach === Burrow\Household\WhoReaches::Some && $service?->from)<span class="mono soft">{{ implode(' ', $service->from) }}</span>@endif</td>
                            <td>{{ $row->access()?->label() ?? 'not asked' }}</td>
                            <td class="whole">@if ($row->trouble() !== '' && $row->rank() < 5)@mark($row->rank() === 0 ? 'stop' : 'warn')@endif {{ $row->cracked ? 'two want it' : $row->pair->met->value }}@if ($row->pair->advice() !== '' && $row->pair->met !== Burrow\Ports\Met::NotAsked)<span class="soft advice">{{ $row->pair->advice() }}</span>@endif</td>
                            <td class="whole">
                                @if ($service?->state)
                                    @mark($service->state->mark()) {{ $service->state->value }} <span class="soft">@ago($service->lookedAt)</span>
                                @else
                                    <span class="soft">not asked</span>
                                @endif
                            </td>
                            <td>@if ($keeps && $service !== null)<a href="{{ $edit }}{{ $service->id }}#port-form">Change</a>@endif</td>
                        </tr>
                    @endif
                @endforeach
            </x-list>
        </div>
        <x-pages :of="$rows" />
        @if ($page->box !== null)
            <div class="two below">
                <section class="sheet" id="listening" aria-labelledby="listening-title">
                    <h2 id="listening-title">What really listens on {{ $page->box }}</h2>
                    @if ($keeps)
                        <form method="post" action="{{ route('ports.listening', $id) }}">
                            @csrf
                            <x-command id="list-ports" text="sudo ss -tulpn; sudo nft list ruleset; getent group {{ $engine }}"><x-slot:where>on {{ $page->box }}</x-slot:where></x-command>
                            <div class="field-set">
                                <label for="pasted">Paste what it prints</label>
                                <textarea class="in code" id="pasted" name="pasted" rows="4" aria-describedby="pasted-says">{{ is_string(old('pasted')) ? old('pasted') : '' }}</textarea>
                                <div id="pasted-says" aria-live="polite">
                                    @foreach ($listingFindings as $said)
                                        <p class="slim">@mark('stop') {{ $said }}</p>
                                    @endforeach
                                    <p class="hint">netstat, lsof -i, nmap, the list of a container engine, iptables-save and ufw status are read as well. {{ $page->filter === null ? 'Nobody told of its packet filter yet.' : ($page->filter->active ? 'Packet filter: ' . count($page->filter->rules) . ' rules, told' : 'Its packet filter is switched off, told') }} @if ($page->filter !== null)@ago($page->filter->at)@endif</p>
                                </div>
                            </div>
                            <div class="row"><button class="act">Hold it against the record</button></div>
                        </form>
                    @else
                        <p>{{ $page->listed === null ? 'Nobody has listed it yet.' : 'It was listed.' }}</p>
                    @endif
                </section>
                <section class="sheet" aria-labelledby="more-title">
                    <h2 id="more-title">From here</h2>
                    <div class="row">
                        @if ($keeps)
                            <form method="post" action="{{ route('ports.ask', $id) }}">@csrf<button class="ghost">Ask {{ $page->box }} now</button></form>
                            <a class="ghost" href="{{ route('ports', ['box' => $page->box, 'add' => 1]) }}#port-form">Write down a port</a>
                        @endif
                    </div>
                    <p class="say-slim">Next free for a page: <b class="mono">{{ $page->free->number }}</b>, {{ $page->freeBecause }}.</p>
                    <ul class="plain-links">
                        <li><a href="{{ route('ports.file', [$id, 'nftables']) }}">Packet filter of {{ $page->box }}</a>, made from its ports: what is planned comes in, the rest stays out</li>
                        <li><a href="{{ route('ports.file', [$id, 'apply']) }}">Script that puts it in place</a> and takes it back by itself unless a second login still works</li>
                        <li><a href="{{ route('ports.file', [$id, 'reserved']) }}">Ports kept from outgoing connections</a></li>
                        @foreach ($page->stepFiles as $path)
                            <li><a class="mono" href="{{ route('ports.step-file', [$id, 'path' => $path]) }}">{{ $path }}</a>, as its steps write it with what is in the record now</li>
                        @endforeach
                        @foreach ($page->plainPages as $label => $page)
                            <li><a href="{{ route('ports.site', $page->id) }}">HTTPS before {{ $page->port->number }}</a>, {{ $page->purpose }}: a site of nginx under the name {{ $label }}</li>
                        @endforeach
                        <li><a href="{{ route('ports.start') }}">Start page of the household</a>: every page with its link, as one file</li>
                    </ul>
                </section>
            </div>
        @endif
    @endif
</x-page>
