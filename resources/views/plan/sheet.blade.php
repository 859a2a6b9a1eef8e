<x-page title="Plan a new box" place="boxes">
    <x-way at="plan" />
    <form id="plan" method="get" action="/plan" hx-get="/plan" hx-target="#answer" hx-swap="outerHTML" hx-trigger="change" hx-push-url="true">
        <div class="two">
            <section class="sheet" aria-labelledby="choices">
                <h2 id="choices">What it is to do, and with what</h2>
                <x-choice name="role" label="Job" :options="array_map(fn ($role) => $role->label, $catalogue->roles())" :chosen="$choices->role" />
                <x-choice name="board" label="Board" :options="array_map(fn ($board) => $board->label.': '.$board->summary, $catalogue->boards())" :chosen="$choices->board" />
                <div class="two">
                    <x-choice name="supply" label="Supply" :options="array_map(fn ($supply) => $supply->label, $catalogue->supplies())" :chosen="$choices->supply" />
                    <x-choice name="cable" label="Supply cable" :options="array_map(fn ($cable) => $cable->label, $catalogue->cables())" :chosen="$choices->cable" />
                </div>
                <x-choice name="drive" label="Disk" :options="array_map(fn ($drive) => $drive->label, $catalogue->drives()) + ['none' => 'no disk']" :chosen="$choices->drive ?? 'none'" />
                <x-choice name="link" label="Network" :options="['wired' => 'network cable', 'wireless' => 'Wi-Fi']" :chosen="$choices->link->value" />
                <noscript><button class="ghost">Answer</button></noscript>
            </section>
            @fragment('answer')
            <section id="answer" aria-live="polite">
                <div class="sheet">
                    <p class="say"><b>{{ $answer->sentence() }}</b></p>
                    @foreach ($answer->findings as $finding)<x-slim :finding="$finding" />@endforeach
                    @if ($answer->copy !== null)
                        <div class="chain"><x-chain :copy="$answer->copy" /></div>
                    @endif
                </div>
                <div class="sheet">
                    <h2>Working</h2>
                    @foreach ($answer->workings() as $working)<x-working :working="$working" />@endforeach
                    <p class="source">Parts together: {{ $answer->price }}, prices from the catalogue.</p>
                </div>
                <div class="row">
                    @unless ($answer->fits())
                        <div class="field-set">
                            <label for="overrule">Go on all the same, because</label>
                            <input class="in" id="overrule" name="overrule" form="keep" maxlength="500" @error('overrule') aria-invalid="true" aria-describedby="overrule-says" @enderror>
                            @error('overrule')<p class="hint" id="overrule-says">{{ $message }}</p>@enderror
                        </div>
                    @endunless
                    @foreach ($choices->toArray() as $name => $value)<input type="hidden" name="{{ $name }}" value="{{ $value }}" form="keep">@endforeach
                    <button class="act" form="keep" data-done>Keep this plan, choose a name</button>
                </div>
            </section>
            @endfragment
        </div>
    </form>
    <form id="keep" method="post" action="/plan">@csrf</form>
</x-page>
