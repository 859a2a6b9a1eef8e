@php($time = fn($at) => $at->copy()->setTimezone($zone)->format('j M, H:i'))
@php($words = ['before' => 'before anybody asked it', 'first' => 'one client', 'house' => 'the house'])
<x-page title="Roll-out of the filter" place="addresses">
    <x-slot:say>
        @if ($boxes->isEmpty())
            <b>No box answers names yet.</b>
        @elseif ($rollout === null)
            <b>One client first, then the house.</b> What breaks then breaks for one, and the way back is short.
        @elseif ($rollout->house_at !== null)
            <b>The house asks {{ $rollout->box->called() }} since {{ $time($rollout->house_at) }}.</b> {{ $rollout->handOut()->value === 'handed' ? 'All that stay on have it by ' . $time($rollout->house_at->copy()->addSeconds($wait->all())) . ', those that slept by ' . $time($rollout->house_at->copy()->addSeconds($wait->last())) . '.' : 'It holds for all at once.' }}
        @elseif ($rollout->back_at !== null)
            <b>The house went back {{ $time($rollout->back_at) }}.</b>
        @else
            <b>{{ ucfirst($rollout->first) }} asks {{ $rollout->box->called() }} first.</b> A day or two without complaints, and the house follows.
        @endif
    </x-slot:say>
    @if ($rollout !== null)
        <div class="two spaced">
            <section class="sheet" aria-labelledby="steps-title">
                <h2 id="steps-title">In this order</h2>
                <ol class="steps-plain">
                    <li>Note what the counter of {{ $rollout->box->called() }} shows. {{ $counters === [] ? '' : 'Done.' }}</li>
                    <li>Set the resolver of {{ $rollout->first }} by hand to <span class="mono">{{ $rollout->box->address }}</span>, and nothing beside it; switch its network off and on. Ask the names of the <a href="{{ route('filter.proof') }}">proof</a> there.</li>
                    <li>Note the counter again: it has to rise. Empty frames where advertisements were are normal.</li>
                    <li>Print the <a href="{{ route('filter.lights-out') }}">lights-out sheet</a> and lay it beside the router.</li>
                    <li>{{ $rollout->handOut()->setting((string) $rollout->box->address) }} {{ $network->router_page['router_dns'] ?? '' }} {{ $rollout->handOut()->because() }}
                        @if ($rollout->house_at === null)
                            <form method="post" action="{{ route('filter.rollout.turn', $rollout) }}">@csrf<button class="act">The router says so now</button></form>
                        @endif
                    </li>
                    <li>Take the hand-set resolver off {{ $rollout->first }} again, or it stays behind when the house goes another way.</li>
                    <li>Note the counter when all have it, and look at the lists of complaints for a week.</li>
                </ol>
                @if ($rollout->handOut()->value === 'handed')
                    <x-working :working="$wait->working()" />
                    <p class="hint">Shorter: set the lease to an hour one whole old lease before, and back afterwards.</p>
                @endif
                @if ($rollout->house_at !== null)
                    <details class="more"><summary>Back</summary><p>{{ $rollout->handOut()->value === 'handed' ? 'In the router: hand out ' . $network->router . ' as before.' : 'In the router: resolvers by the provider as before.' }} {{ $rollout->handOut()->value === 'handed' ? 'Clients follow as they renew; one that is switched off and on follows at once.' : '' }}</p>
                        <form method="post" action="{{ route('filter.rollout.turn', $rollout) }}">@csrf<button class="ghost" name="back" value="1">The router is back as before</button></form></details>
                @endif
            </section>
            <section class="sheet" id="counter" aria-labelledby="counter-title">
                <h2 id="counter-title">Before and after</h2>
                @foreach ($compared as $finding)
                    <x-finding :finding="$finding" />
                @endforeach
                @if ($counters !== [])
                    <x-list :heads="['When', 'Who asks', 'Questions', 'Refused', 'Share']">
                        @foreach ($counters as $one)
                            <tr><td class="whole">{{ $time(\Illuminate\Support\Carbon::parse($one->at)) }}</td><td>{{ $words[$one->when] ?? $one->when }}</td><td class="mono">{{ $one->total }}</td><td class="mono">{{ $one->refused }}</td><td class="mono">{{ $one->share() }} %</td></tr>
                        @endforeach
                    </x-list>
                @endif
                <form method="post" action="{{ route('filter.rollout.count', $rollout) }}">
                    @csrf
                    <div class="pair">
                        <x-field name="count_total" label="Questions, its page says" :value="is_string(old('count_total')) ? old('count_total') : ''" :findings="$judged" code inputmode="numeric" autocomplete="off" />
                        <x-field name="count_refused" label="of them refused" :value="is_string(old('count_refused')) ? old('count_refused') : ''" :findings="$judged" code inputmode="numeric" autocomplete="off" />
                    </div>
                    <div class="row"><button class="ghost">Note the counter</button></div>
                </form>
            </section>
        </div>
    @endif
    @if ($boxes->isNotEmpty())
        <form class="sheet port-form" id="begin" method="post" action="{{ route('filter.rollout.begin') }}">
            @csrf
            <h2>{{ $rollout === null ? 'Begin' : 'Begin another' }}</h2>
            <x-choice name="rollout_box" label="Filter" :options="$boxes->mapWithKeys(fn($box) => [$box->id => $box->called()])->all()" :chosen="is_string(old('rollout_box')) ? old('rollout_box') : ''" :findings="$judged" />
            <x-choice name="hand_out" label="How clients come to ask it" :options="collect(Burrow\Filter\Rollout\HandOut::cases())->mapWithKeys(fn($one) => [$one->value => $one->label()])->all()" :chosen="is_string(old('hand_out')) ? old('hand_out') : ''" :findings="$judged" />
            <x-field name="first" label="First client" :value="is_string(old('first')) ? old('first') : ''" :findings="$judged" autocomplete="off" hint="Yours." />
            <x-field name="lease_hours" label="Lease, hours" :value="is_string(old('lease_hours')) ? old('lease_hours') : '24'" :findings="$judged" code inputmode="decimal" autocomplete="off" hint="On the router’s page of DHCP." />
            <div class="row"><button class="act">Begin</button> <a class="ghost" href="{{ route('filter') }}">Back to the workbench</a></div>
        </form>
    @else
        <x-empty title="No filter yet" href="/plan?job=dns-filter" link="Plan one">A box that answers names stands here once port 53 is among its ports.</x-empty>
    @endif
</x-page>
