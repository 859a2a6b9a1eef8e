<x-page title="Settings" place="settings">
    <x-slot:say><b>The network as the router hands it out.</b> Only addresses inside it are ever asked from here.</x-slot:say>
    <form class="sheet" method="post" action="{{ route('settings.update') }}">
        @csrf
        <div class="two">
            <div>
                <x-field name="name" label="What it is called" :value="$typed['name']" :findings="$findings" />
                <x-field name="prefix" label="Prefix" :value="$typed['prefix']" :findings="$findings" code hint="Network address, slash, length." />
                <x-field name="router" label="Router" :value="$typed['router']" :findings="$findings" code />
                <x-field name="domain" label="Local domain" :value="$typed['domain']" :findings="$findings" code hint="home.arpa is set aside for homes (RFC 8375)." />
                <x-field name="time_zone" label="Time zone" :value="$typed['time_zone']" :findings="$findings" code />
                <x-field name="currency" label="Currency of prices" :value="$typed['currency'] ?? ''" :findings="$findings" code maxlength="3" hint="Three letters (ISO 4217). Nothing is converted." />
                <x-field name="engine" label="Container engine" :value="$typed['engine'] ?? ''" :findings="$findings" code maxlength="40" placeholder="podman"
                    hint="Its command, as steps type it; podman where nothing stands here." />
            </div>
            <div>
                <x-field name="pool_first" label="Handed out from" :value="$typed['pool_first']" :findings="$findings" code />
                <x-field name="pool_last" label="to" :value="$typed['pool_last']" :findings="$findings" code />
                <x-field name="wan" label="Address outside" :value="$typed['wan'] ?? ''" :findings="$findings" code />
                <x-field name="country" label="Country of the radios" :value="$typed['country'] ?? ''" :findings="$findings" code maxlength="2"
                    hint="Two capital letters (ISO 3166); it decides the channels, by law." />
                <x-field name="contact" label="Whom to tell" :value="$typed['contact'] ?? ''" :findings="$findings" maxlength="160" placeholder="whoever keeps the house, and how they are reached"
                    hint="Shown to everybody under “Is it on?”, and on the paper of each box." />
                <x-field name="ssids" label="Wi-Fi networks, one a line" :value="$typed['ssids'] ?? ''" :findings="$findings" area code
                    hint="Their names only. A card that spells one differently is found before it costs an evening." />
            </div>
        </div>
        <div class="row"><button class="act" data-done>Keep</button></div>
        <details class="after" @if ($findings->forField('dns')->blocks() || $findings->forField('ipv6')->blocks() || $findings->forField('ranges')->blocks()) open @endif>
            <summary><b>Name servers, IPv6, scheme of addresses</b></summary>
            <x-field name="dns" label="Name servers handed out" :value="$typed['dns'] ?? ''" :findings="$findings" code placeholder="172.22.8.10"
            hint="As the router tells them to machines, IPv4 and IPv6, with blanks between; empty while nobody looked." />
            <x-field name="ipv6" label="IPv6 of the house" :value="$typed['ipv6'] ?? ''" :findings="$findings" code :placeholder="$uniqueLocal"
            hint="A unique-local prefix, if there is one. For a new one take what stands here in grey; it was drawn just now (RFC 4193)." />
            <x-field name="ranges" label="Scheme of addresses, one range a line" :value="$typed['ranges'] ?? ''" :findings="$findings" area code :placeholder="$scheme"
            hint="Name, first and last address. What stands outside of its range is said in Addresses; in grey is what fits this network." />
        </details>
    </form>
    <section class="sheet">
        <h2>Further networks</h2>
        <p>One for things that are not trusted, for guests, in another building: <a href="{{ route('networks') }}">the networks of the house</a></p>
    </section>
    <section class="sheet">
        <h2>Desk computers</h2>
        <p>The computers at which cards are written, with what they have and lack. <a href="{{ route('desks') }}">Describe them</a></p>
    </section>
    @if (auth()->user()->isKeeper())
        <section class="sheet">
            <h2>Telling</h2>
            <p>By mail, by a hook, as a calendar, as figures for another program: <a href="{{ route('telling') }}">whom the house tells</a></p>
        </section>
        <section class="sheet">
            <h2>The household as a file</h2>
            <p>All that is in the record as one JSON, without its logins, under a schema that ships: <a href="{{ route('household') }}">fetch it</a>. Another copy takes it with <code>./burrow import FILE</code>, looks it over first and backs up what is there.
                What brings this copy back as it was is <code>./burrow backup FILE</code> and <code>./burrow restore FILE</code>; one is made each night under <code>var/backup</code>.</p>
            <ol class="plain-steps">
                <li>To move to another machine: <code>./burrow backup household.tar.gz</code> here.</li>
                <li>There: fetch the program, <code>./burrow up</code>, then <code>./burrow restore household.tar.gz</code>; logins come along.</li>
                <li>Open its page there and look whether boxes answer; only then <code>./burrow down</code> here. Two copies that ask the same boxes do no harm, and tell you everything twice.</li>
                <li>Give it the old one’s name (<code>BURROW_HOSTS</code>) or address, so that links go on leading there.</li>
            </ol>
        </section>
    @endif
    <form class="sheet" method="post" action="{{ route('logout') }}">@csrf<p>Logged in as <b>{{ auth()->user()->name }}</b>,
            {{ auth()->user()->isKeeper() ? 'keeper' : 'guest, read only' }}.</p>
        <div class="row"><button class="ghost">Log out</button> <a class="ghost" href="{{ route('logins') }}">{{ auth()->user()->isKeeper() ? 'Logins and passwords' : 'Your password' }}</a></div>
    </form>
</x-page>
