<x-page title="Image and disk" place="boxes">
    <x-slot:say><b>{{ $target->sentence() }}</b>
        Writing erases everything on it and cannot be undone.</x-slot:say>
    <div class="two">
        <div>
            @foreach ($target->commands as $i => $command)
                <section class="sheet">
                    <h2>{{ $i + 1 }}. {{ $command->title }}</h2><x-command :text="$command->command" :id="'write-' . $i"><x-slot:where>at the desk computer, in the folder of the
                            image</x-slot:where></x-command>
                    <p class="hint">{{ $command->expect }}</p>
                </section>
            @endforeach
            @if ($target->medium !== null && $target->commands !== [])
                <form class="sheet" method="post" action="{{ route('media.took', $target->medium) }}">@csrf<h2>How long did it write?</h2>
                    <div class="row">
                        <div class="field-set"><label for="minutes">Minutes</label><input class="in num" id="minutes" name="minutes" inputmode="decimal"></div><input
                            type="hidden" name="bytes" value="{{ $target->size->count }}"><button class="ghost">Keep for the next time</button>
                    </div>
                </form>
            @endif
            @if ($target->capacity !== null)
                <details class="sheet working">
                    <summary><span>Is the card as large as it says?</span><span
                            class="mono">{{ $target->time()->capacityTest($target->guard?->target?->size ?? $target->card->capacity) }}</span></summary>
                    <p>Counterfeits report more than they hold. This fills all of it and reads it back.</p><x-command :text="$target->capacity->command" id="capacity"><x-slot:where>at the
                            desk computer</x-slot:where></x-command>
                    <p class="hint">{{ $target->capacity->expect }}</p>
                </details>
            @endif
            @if ($target->commands !== [])
                <x-boot-partition />
            @endif
            <form class="sheet" method="post" action="{{ route('target.judge') }}" @inPlace(route('target.judge'))>
                @csrf
                @if ($box !== null)
                    <input type="hidden" name="box" value="{{ $box->id }}">
                @endif
                <div class="trio">
                    <x-choice name="desk" label="Desk computer" :options="$desks->mapWithKeys(fn($desk) => [$desk->name => $desk->name])->all() ?: ['' => 'one that lists its disks with lsblk']" :chosen="$target->typed['desk']" />
                    <x-choice name="image" label="Image" :options="['' => $target->image->label] + $images->mapWithKeys(fn($image) => [$image->id => $image->label])->all()" :chosen="(string) ($target->record?->id ?? '')" />
                    <x-choice name="card" label="Card" :options="array_map(fn($card) => $card->label, $cards)" :chosen="$target->card->id" />
                </div>
                <div class="ticks one"><label><input type="checkbox" name="drive" value="1" @checked($target->typed['drive'] !== '')> it is a drive on an adapter, not a card</label>
                </div>
                <x-command :text="\Burrow\Card\Target\WriteCommands::listing($target->system)" id="list-disks"><x-slot:where>at the desk computer, once without the card and once with it</x-slot:where></x-command>
                <x-field name="before" label="The list without the card" :value="$target->typed['before']" :findings="$target->findings" area code class="paste"
                    hint="Two lists beat any name: a card often shows under its reader's." />
                <x-field name="after" label="The list with the card plugged in" :value="$target->typed['after']" :findings="$target->findings" area code class="paste" />
                @if ($target->guard?->target !== null)
                    @foreach ($target->guard->findings as $finding)
                        <x-slim :finding="$finding" />
                    @endforeach
                    <p>Its name: <code class="name">{{ \Burrow\Card\Target\WriteCommands::nameOf($target->guard->target) }}</code></p>
                    <x-field name="typed_name" label="Type it here, letter by letter" :value="$target->typed['typed_name']" :findings="$target->findings" code autocomplete="off" />
                    <x-field name="file" label="File name of the image" :value="$target->typed['file']" :findings="$target->findings" code />
                @elseif ($target->guard !== null)
                    @foreach ($target->guard->findings as $finding)
                        <x-slim :finding="$finding" />
                    @endforeach
                @endif
                <div class="row"><button class="act" data-done>{{ $target->guard?->target === null ? 'Which one is it?' : 'Show the commands' }}</button></div>
            </form>
        </div>
        <div>
            @if ($target->guard !== null)
                <section class="sheet scroll" tabindex="0" aria-labelledby="to-scale">
                    <h2 id="to-scale">Its disks, to one scale</h2><x-disk-bars :bars="\Burrow\Card\Draw\DiskBars::of($target->guard->disks)" :target="$target->guard->target" />
                </section>
            @endif
            <section class="sheet">
                <h2>How long it takes</h2><x-working :working="$target->time()->working($target->guard?->target?->size ?? $target->card->capacity)" />
            </section>
            <section class="sheet">
                <h2>{{ $target->record === null ? 'The image' : $target->record->label }}</h2>
                @if ($target->record !== null)
                    <dl class="facts">
                        <dt>kind</dt>
                        <dd>{{ $target->image->label }}</dd>
                        <dt>version</dt>
                        <dd>{{ $target->record->version ?: '—' }}</dd>
                        <dt>packed by</dt>
                        <dd>{{ \Burrow\Catalogue\Part\ImageOrigin::tryFrom($target->record->origin)?->label() ?? 'not known' }}{{ $target->record->because === '' ? '' : ', because ' . $target->record->because }}
                        </dd>
                        <dt>SHA-256</dt>
                        <dd class="mono">{{ $target->record->sha256 ?? 'none was published' }}</dd>
                        <dt>compared</dt>
                        <dd>@ago($target->record->checked_at)</dd>
                    </dl>
                    @if ($target->record->sha256 !== null)
                        <form method="post" action="{{ route('image.checksum', $target->record) }}">@csrf
                            <div class="field-set"><label for="printed">What the tool printed</label>
                                <textarea class="in code paste" id="printed" name="printed" rows="2" @error('printed') aria-invalid="true" aria-describedby="printed-says" @enderror>{{ "\n" . old('printed') }}</textarea>
                                @error('printed')
                                    <p class="hint" id="printed-says">{{ $message }}</p>
                                @enderror
                                <p class="hint">
                                    <span class="mono">sha256sum FILE</span>, <span class="mono">shasum -a 256 FILE</span>, <span class="mono">Get-FileHash FILE</span>, or
                                    <span class="mono">./burrow verify FILE SHA256</span>
                                </p>
                            </div>
                            <button class="ghost">Compare</button>
                        </form>
                    @endif
                    <form method="post" action="{{ route('image.drop', $target->record) }}">@csrf @method('delete')<div class="row"><button class="ghost">Take it off the
                                shelf</button></div>
                    </form>
                @endif
                <details class="working" @if ($errors->hasAny(['label', 'kind', 'origin', 'because', 'published', 'packed_gb', 'unpacked_gb'])) open @endif>
                    <summary><span>Put an image on the shelf</span></summary>
                    <form method="post" action="{{ route('image.keep') }}">@csrf
                        @if ($box !== null)
                            <input type="hidden" name="box" value="{{ $box->id }}">
                        @endif
                        @foreach (['label' => 'What it is called', 'version' => 'Version or date', 'packed_gb' => 'Packed, GB', 'unpacked_gb' => 'Unpacked, GB', 'published' => 'SHA-256 as its author published it'] as $name => $label)
                            <div class="field-set"><label for="{{ $name }}">{{ $label }}</label><input class="in" id="{{ $name }}"
                                    name="{{ $name }}" value="{{ old($name) }}"
                                    @error($name) aria-invalid="true" aria-describedby="{{ $name }}-says" @enderror>
                                @error($name)
                                    <p class="hint" id="{{ $name }}-says">{{ $message }}</p>
                                @enderror
                            </div>
                        @endforeach
                        <x-choice name="kind" label="Kind" :options="array_map(fn($kind) => $kind->label, $kinds)" :chosen="old('kind', 'server-64')" />
                        <x-choice name="origin" label="Packed by" :options="collect(\Burrow\Catalogue\Part\ImageOrigin::cases())->mapWithKeys(fn($origin) => [$origin->value => $origin->label()])->all()" :chosen="old('origin', 'author')" />
                        <div class="field-set"><label for="because">If by somebody else: why you use it all the same</label><input class="in" id="because"
                                name="because" maxlength="300" value="{{ old('because') }}" @error('because') aria-invalid="true" aria-describedby="because-says" @enderror>
                            @error('because')
                                <p class="hint" id="because-says">{{ $message }}</p>
                            @enderror
                        </div>
                        <button class="ghost">Keep</button>
                    </form>
                </details>
            </section>
            <p class="row"><a href="{{ route('media') }}">Register of cards and disks</a> <a href="{{ route('lint') }}">Look over a card's files</a>
                @if ($box !== null)
                    <a href="{{ route('box.card', $box) }}">Back to {{ $box->name }}'s card</a>
                @endif
            </p>
        </div>
    </div>
</x-page>
