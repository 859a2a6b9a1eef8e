<x-page :title="'Card for ' . $box->name" place="boxes" script="card">
    <x-way at="card" />
    <form method="post" action="{{ route('box.card.make', $box) }}" @inPlace(route('box.card.make', $box)) autocomplete="off" data-keep="card-{{ $box->id }}" @if ($findings->count() === 0) data-fresh @endif>
        @csrf
        <div class="two">
            <section class="sheet">
                <h2>Who may log in</h2>
                <x-field name="user" label="User" :value="$typed['user']" :findings="$findings" code hint="A role rather than a person: warden, desk." />
                <x-field name="public_key" label="Public key" :value="$typed['public_key']" :findings="$findings" area code
                    hint="The whole line of your .pub file. With a key no password is needed, and guessing is pointless." />
                <x-field name="first_password" label="or a password" type="password" :findings="$findings" autocomplete="new-password" data-show
                    hint="Turned into a hash for the file and forgotten at once; it is kept nowhere here." />
                <details class="working" @if ($typed['ssid_1'] !== '' || $findings->forField('ssid_1')->count() + $findings->forField('passphrase_1')->count() + $findings->forField('country')->count() > 0) open @endif>
                    <summary><span>Wi-Fi networks</span></summary>
                    @foreach (\App\Card\CardRequest::NETWORKS as $n)
                        @if ($n === 2)
                            <details class="working" @if ($typed['ssid_2'] . $typed['ssid_3'] !== '') open @endif>
                                <summary><span>More networks</span></summary>
                        @endif
                        <div class="trio top-aligned">
                            <x-field :name="'ssid_' . $n" :label="$n === 1 ? 'Network name' : 'another name'" :value="$typed['ssid_' . $n]" :findings="$findings" code list="ssids" autocomplete="off" />
                            <x-choice :name="'security_' . $n" label="kept by" :options="collect(\Burrow\Card\Write\WifiSecurity::cases())->mapWithKeys(fn($security) => [$security->value => $security->label()])->all()" :chosen="$typed['security_' . $n]" />
                            <x-field :name="'passphrase_' . $n" label="Passphrase" type="password" :findings="$findings" autocomplete="new-password" data-show />
                        </div>
                        <div class="ticks"><label><input type="checkbox" name="hidden_{{ $n }}" value="1" @checked($typed['hidden_' . $n] !== '')>
                                {{ $n === 1 ? 'it does not announce itself' : 'hidden, too' }}</label></div>
                    @endforeach
                </details>
                <datalist id="ssids">
                    @foreach ($network->ssids() as $ssid)
                        <option value="{{ $ssid }}">
                    @endforeach
                </datalist>
                <x-field name="country" label="Country of the radio" :value="$typed['country']" :findings="$findings" code maxlength="2"
                    hint="It decides the channels, by law. Passphrases become keys for the files and are forgotten." />
                </details>
            </section>
            <section class="sheet">
                <h2>Where it stands</h2>
                <x-field name="time_zone" label="Time zone" :value="$typed['time_zone']" :findings="$findings" list="zones" hint="Exact region and city, so that summer time is right." />
                <datalist id="zones">
                    @foreach (\Burrow\Net\TimeZone::all() as $zone)
                        <option value="{{ $zone }}">
                    @endforeach
                </datalist>
                <div class="pair">
                    <x-field name="keyboard" label="Keyboard" :value="$typed['keyboard']" :findings="$findings" maxlength="2" hint="gb, us, de …" />
                    <x-choice name="fixed" label="Its address" :options="['router' => 'from the router, by reservation', 'card' => 'on the card: ' . $box->address]" :chosen="$typed['fixed']" />
                </div>
                <h3>How it gets these settings</h3>
                @php([$best, $why] = \Burrow\Card\Write\CardSet::recommended($image, $typed['public_key'] !== '' || $findings->count() === 0))
                <p class="hint">{{ $image->label }} understands these. Recommended: {{ lcfirst($best->label()) }}. {{ $why }}</p>
                <div class="ticks one">
                    @foreach ($image->schools as $school)
                        <label><input type="checkbox" name="schools[]" value="{{ $school->value }}" @checked(in_array($school->value, $schools, true))> {{ $school->label() }}</label>
                    @endforeach
                </div>
                @foreach ($findings->forField('schools') as $finding)
                    <x-slim :finding="$finding" />
                @endforeach
                @if ($image->markers !== [])
                    <x-choice name="marker" label="What is to start" :options="array_combine($image->markers, $image->markers)" :chosen="$typed['marker']" />
                @endif
                <details class="working" @if ($typed['user_data'] . $typed['kernel_line'] . $typed['firmware'] !== '' || $findings->forField('kernel_line')->count() > 0) open @endif>
                    <summary><span>What lies on the card already</span></summary>
                    {{-- It may hold hashes and keys. --}}
                    <div data-secret><x-field name="user_data" label="user-data that another tool wrote" :value="$typed['user_data']" :findings="$findings" area code
                        hint="It is kept, and completed with the settings here." /></div>
                    <x-field name="kernel_line" label="cmdline.txt" :value="$typed['kernel_line']" :findings="$findings" area code
                        hint="Its one line names the root partition; ours is added to it." />
                    <x-field name="firmware" label="config.txt" :value="$typed['firmware']" :findings="$findings" area code />
                </details>
                <details class="working" @if ((int) $typed['series_count'] > 1) open @endif>
                    <summary><span>Several cards of this kind</span></summary>
                    <div class="trio top-aligned">
                        <x-field name="series_count" label="How many" :value="$typed['series_count']" :findings="$findings" inputmode="numeric" />
                        <x-field name="series_base" label="Names begin with" :value="$typed['series_base']" :findings="$findings" code :placeholder="$box->name" />
                        <x-field name="series_first" label="First address" :value="$typed['series_first']" :findings="$findings" code />
                    </div>
                    <p class="hint">Boxes with the same parts and jobs, from {{ $box->name }}-1 on; what is taken or handed out is stepped over.</p>
                </details>
                <div class="row"><button class="act" data-done>Make the files</button> <a href="{{ route('target', ['box' => $box->id]) }}">Image and disk first</a></div>
            </section>
        </div>
    </form>
</x-page>
