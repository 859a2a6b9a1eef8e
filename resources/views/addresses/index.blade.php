<x-page title="Addresses" place="addresses">
    <x-slot:say><b>{{ $page->next ? "The next free address is {$page->next}." : 'No address is free.' }}</b> {{ $page->room->free() }} are free; the router
        hands out {{ $network->pool_first }} to {{ $network->pool_last }}, and boxes keep theirs outside of that.</x-slot:say>
    @if (count($networks) > 1)
        <nav class="chips below" aria-label="Networks of the house">
            @foreach ($networks as $one)
                <a href="{{ route('addresses', \App\Addresses\AskedNetwork::shown($one)) }}" @if ($one->id === $network->id) aria-current="page" @endif>{{ $one->name }} <span class="mono">{{ $one->prefix }}</span></a>
            @endforeach
        </nav>
    @endif
    @foreach (array_slice($page->findings->list, 0, 12) as $finding)
        <x-finding :finding="$finding" />
    @endforeach
    @if (count($page->findings) > 12)
        <p class="soft">And {{ count($page->findings) - 12 }} more of their kind.</p>
    @endif
    <div class="sheet band">
        @include('addresses.band')
        <p class="legend">
            @foreach (\Burrow\Addresses\Draw\StandingKind::cases() as $kind)
                <span><i class="peg {{ $kind->value }}"></i>{{ $kind->label() }}</span>
            @endforeach
            <span><i class="run pool"></i>handed out by the router</span>
            <span><i class="run gap"></i>free: choose a run to use it</span>
        </p>
    </div>
    @if ($gap !== null)
        <section class="sheet" id="gap">
            <h2>{{ $gap }}: {{ $gap->size() }} free</h2>
            @if ($waiting->isEmpty())
                <p>Every box has its address pinned. <a href="/plan">Plan a new box</a>; it is offered {{ $page->next }} first.</p>
            @else
                <p>Who is to have {{ request('free') }}? The box's naming page opens with it, and nothing is kept before you say so there.</p>
                <p class="row">
                    @foreach ($waiting as $box)
                        <a class="ghost" href="{{ route('box.name', ['box' => $box, 'address' => request('free'), 'name' => $box->name]) }}">{{ $box->called() }}</a>
                    @endforeach
                </p>
            @endif
        </section>
    @endif
    <div class="sheet scroll">
        <x-list :heads="['Address', 'Box', 'Hardware address', 'Pinned']">
            <tr>
                <td class="mono">{{ $network->router }}</td>
                <td>the router</td>
                <td>—</td>
                <td>—</td>
            </tr>
            @foreach ($boxes as $box)
                <tr>
                    <td class="mono">{{ $box->address }}</td>
                    <td><a href="/boxes/{{ $box->id }}" data-stop>{{ $box->name }}</a></td>
                    <td class="mono">{{ $box->mac ?? '—' }}</td>
                    <td>{{ $box->fixed_address ? 'on its card' : ($box->pinned_at ? 'by a reservation' : 'not yet') }}</td>
                </tr>
            @endforeach
        </x-list>
        <x-pages :of="$boxes" />
    </div>
    <div class="two after">
        <section class="sheet">
            @if ($keeper)
            <h2>Find a box</h2>
            <p>By a list before and after the power came, by asking the network, by name and hardware address.</p>
            <p class="row"><a class="act" href="{{ route('addresses.find', \App\Addresses\AskedNetwork::shown($network)) }}">Find a box</a>
                <a class="ghost" href="{{ route('addresses.known') }}">Keys a desk computer remembers</a>@if (auth()->user()->isKeeper()) <a class="ghost" href="{{ route('register') }}">On paper</a>@endif</p>
            <h2 class="after">Names that are not answered</h2>
            <p>Lists for a filter, chosen by what this house asked.</p>
            <p class="row"><a class="ghost" href="{{ route('filter') }}">Filter workbench</a></p>
            @endif
            <h2 class="after">What if it handed out another range?</h2>
            <form method="get" action="{{ route('addresses') }}">
                <input type="hidden" name="network" value="{{ $network->id }}">
                <div class="pair">
                    <x-field name="what_if_first" label="From" :value="$whatIf['first']" :findings="\Burrow\Judgement\Findings::of()" code />
                    <x-field name="what_if_last" label="to" :value="$whatIf['last']" :findings="\Burrow\Judgement\Findings::of()" code />
                </div>
                <div class="row"><button class="ghost">Work it out</button></div>
            </form>
            @if ($change !== null)
                <p><b>{{ $change->pool->size() }} would be handed out, {{ $change->freeThen }} stay free beside it.</b>
                    {{ $change->inTheWay === [] ? 'Nobody is in the way.' : 'In the way: ' . implode(', ', array_map(fn($host) => "{$host->name} ({$host->address})", array_slice($change->inTheWay, 0, 20))) . '. They need other addresses first.' }}</p>
                <x-working :working="$change->working()" />
            @elseif ($whatIf['asked'])
                <p class="hint">A range goes from a lower to a higher address inside {{ $network->prefix }}.</p>
            @endif
            <h2 class="after" id="cut">Cut into parts, or joined</h2>
            @php($none = \Burrow\Judgement\Findings::of())
            <form method="get" action="{{ route('addresses') }}#cut">
                <input type="hidden" name="network" value="{{ $network->id }}">
                <div class="pair">
                    <x-field name="cut_prefix" label="Prefix, or several to join" :value="$cutTyped['prefix']" :findings="$cut->findings ?? $none" code />
                    <x-field name="cut_length" label="into parts of length" :value="$cutTyped['length']" :findings="$cut->findings ?? $none" code placeholder="/26" />
                </div>
                <div class="row"><button class="ghost">Work it out</button></div>
            </form>
            @if ($cut !== null && $cut->parts !== [])
                <p><b>{{ $cut->joins ? 'Joined into ' . count($cut->parts) : count($cut->parts) . ' parts' }}</b>{{ count($cut->parts) > $cut::SHOWN ? ', the first ' . $cut::SHOWN . ' of them' : '' }}. Nothing is changed by asking.</p>
                <div class="scroll" tabindex="0" role="region" aria-label="Parts, may be scrolled"><x-list :heads="['Prefix', 'Machines', 'Who is in it']">
                    @foreach (array_slice($cut->parts, 0, $cut::SHOWN) as $part)
                        <tr><td class="mono whole">{{ $part['prefix'] }}</td><td class="whole">{{ $part['hosts'] }}, to <span class="mono">{{ $part['prefix']->hosts()->last }}</span></td><td>{{ implode(', ', array_slice($part['who'], 0, 12)) ?: 'nobody' }}{{ count($part['who']) > 12 ? ' and ' . (count($part['who']) - 12) . ' more' : '' }}</td></tr>
                    @endforeach
                </x-list></div>
            @endif
        </section>
        <section class="sheet">
            <h2>Files that pin them</h2>
            <p>Made from what is on record, for whichever program keeps names and addresses here.</p>
            <ul class="files">
                @foreach (\App\Files\FileKinds::all() as $kind)
                    @if ($kind instanceof \Burrow\Addresses\Write\NetworkWriter && ($page->haveKeys || !$kind instanceof \Burrow\Addresses\Write\KnownHosts))
                        <li><a href="{{ route('addresses.file', $kind->kind()) }}" download>{{ $kind->kind() }}</a> <span class="soft">{{ $kind->summary() }}</span></li>
                    @endif
                @endforeach
            </ul>
        </section>
    </div>
    <section class="sheet">
        <h2>The router's page</h2>
        <p>Each router has its own words. Write down once where things stand on yours; it is shown at every step that needs it.</p>
        <form method="post" action="{{ route('addresses.router') }}">
            @csrf
            <input type="hidden" name="network" value="{{ $network->id }}">
            <div class="pair">
                @foreach (\App\Addresses\RouterPage::FIELDS as $field => [$label, $example])
                    <x-field :name="$field" :label="$label" :value="$network->router_page[$field] ?? ''" :findings="\Burrow\Judgement\Findings::of()" :placeholder="$example" />
                @endforeach
            </div>
            <div class="row"><button class="act">Keep</button></div>
        </form>
    </section>
</x-page>
