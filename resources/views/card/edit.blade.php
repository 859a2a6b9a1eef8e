<x-page :title="'Card for '.$box->name" place="boxes">
    <x-way at="card" />
    <form method="post" action="{{ route('box.card.make', $box) }}" autocomplete="off">
        @csrf
        <div class="two">
            <section class="sheet">
                <h2>Who may log in</h2>
                <x-field name="user" label="User" :value="$typed['user']" :findings="$findings" code hint="A role rather than a person: warden, desk." />
                <x-field name="public_key" label="Public key" :value="$typed['public_key']" :findings="$findings" area code hint="The whole line of your .pub file. With a key no password is needed, and guessing is pointless." />
                <x-field name="first_password" label="or a password" type="password" :findings="$findings" autocomplete="new-password" hint="Turned into a hash for the file and forgotten at once; it is kept nowhere here." />
            </section>
            <section class="sheet">
                <h2>Where it stands</h2>
                <x-field name="time_zone" label="Time zone" :value="$typed['time_zone']" :findings="$findings" list="zones" hint="Exact region and city, so that summer time is right." />
                <datalist id="zones">@foreach (\Burrow\Net\TimeZone::all() as $zone)<option value="{{ $zone }}">@endforeach</datalist>
                <x-field name="keyboard" label="Keyboard" :value="$typed['keyboard']" :findings="$findings" maxlength="2" hint="For the day you need a screen: gb, us, de …" />
                <dl class="facts"><dt>host name</dt><dd class="mono">{{ $box->name }}</dd><dt>address</dt><dd class="mono">{{ $box->address }}</dd><dt>school</dt><dd>declarative: user-data, meta-data, network-config</dd></dl>
                <div class="row"><button class="act" data-done>Make the files</button></div>
            </section>
        </div>
    </form>
</x-page>
