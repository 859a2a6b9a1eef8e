@php($was = fn(string $name, mixed $usual) => old($name, $edited?->{$name} ?? $usual))
<x-page title="Desk computers" place="settings">
    <x-slot:say><b>{{ $desks->isEmpty() ? 'No desk computer is described yet.' : ($desks->count() === 1 ? 'One desk computer.' : $desks->count() . ' desk computers.') }}</b>
        Cards are written there and boxes logged in to from there; a plan says what it lacks, and commands are given for its system.</x-slot:say>
    <div class="two">
        <div>
            @forelse ($desks as $desk)
                <section class="sheet">
                    <h2>{{ $desk->name }}</h2>
                    <dl class="facts">
                        <dt>system</dt>
                        <dd>{{ $desk->computer()->system->label() }}</dd>
                        <dt>sockets</dt>
                        <dd>{{ $desk->usb_plug }}</dd>
                        @foreach (\App\Http\Controllers\Settings\DeskController::TRAITS as $trait => $words)
                            <dt>{{ $desk->{$trait} ? 'yes' : 'no' }}</dt>
                            <dd>{{ $words }}</dd>
                        @endforeach
                        <dt>on</dt>
                        <dd>{{ $desk->hours }} h a day at {{ $desk->watts }} W</dd>
                    </dl>
                    <div class="row"><a class="ghost" href="{{ route('desks', ['edit' => $desk->id]) }}">Change</a>
                        <form method="post" action="{{ route('desks.drop', $desk) }}">@csrf @method('delete')<button class="ghost">Take it off the list</button></form>
                    </div>
                </section>
            @empty
                <x-empty title="Which computer do you sit at?" href="#name" link="Describe it">Forgetting one small adapter stops an evening; a profile finds that out
                    before.</x-empty>
            @endforelse
        </div>
        <form class="sheet tight" method="post" action="{{ route('desks.store') }}">
            @csrf
            <h2>{{ $edited === null ? 'Describe a desk computer' : 'Change ' . $edited->name }}</h2>
            @if ($edited !== null)
                <input type="hidden" name="id" value="{{ $edited->id }}">
            @endif
            <div class="field-set"><label for="name">What it is called</label><input class="in" id="name" name="name" maxlength="60" value="{{ $was('name', '') }}"
                    @error('name') aria-invalid="true" aria-describedby="name-says" @enderror>
                @error('name')
                    <p class="hint" id="name-says">{{ $message }}</p>
                @enderror
            </div>
            <div class="pair">
                <x-choice name="system" label="Its system" :options="collect(\Burrow\Catalogue\Part\DeskSystem::cases())->mapWithKeys(fn($system) => [$system->value => $system->label()])->all()" :chosen="$was('system', 'lsblk')" />
                <x-choice name="usb_plug" label="Its sockets" :options="['USB-A' => 'USB-A', 'USB-C' => 'USB-C']" :chosen="$was('usb_plug', 'USB-A')" />
            </div>
            <div class="ticks">
                @foreach (\App\Http\Controllers\Settings\DeskController::TRAITS as $trait => $words)
                    <label><input type="checkbox" name="{{ $trait }}" value="1" @checked(old('name') !== null ? old($trait) : $edited?->{$trait} ?? in_array($trait, ['login_client', 'file_copier', 'plain_editor', 'administrator'], true))> {{ $words }}</label>
                @endforeach
            </div>
            <div class="pair">
                @foreach (['hours' => ['Hours a day it is on', 8], 'watts' => ['Watts while idle', 30]] as $name => [$label, $usual])
                    <div class="field-set"><label for="{{ $name }}">{{ $label }}</label><input class="in num" id="{{ $name }}" name="{{ $name }}"
                            inputmode="decimal" value="{{ $was($name, $usual) }}" @error($name) aria-invalid="true" aria-describedby="{{ $name }}-says" @enderror>
                        @error($name)
                            <p class="hint" id="{{ $name }}-says">{{ $message }}</p>
                        @enderror
                    </div>
                @endforeach
            </div>
            <div class="row"><button class="act" data-done>Keep</button></div>
        </form>
    </div>
</x-page>
