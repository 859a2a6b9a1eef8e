<x-page :title="$book->title()" place="boxes" :own="$run">
    <x-slot:say><b>{{ $book->sentence() }}</b>
        @if ($run->finished_at && $run->box->isInService())
            It stands in <a href="/">Ground</a>, in <a href="/ports">Ports</a> and in <a href="/upkeep">Upkeep</a>.
        @endif
    </x-slot:say>
    @if ($others > 0)
        <p class="told">{{ $others === 1 ? 'Another box is' : "{$others} other boxes are" }} being brought up too. <a href="{{ route('evening') }}">All of them in one timetable</a></p>
    @endif
    @if ($missing !== null)
        <x-finding :finding="$missing" />
    @endif
    @foreach ($book->schoolsGone() as $gone)
        <x-finding :finding="$gone" />
    @endforeach
    <div class="three">
        <div>
            @php($over = $run->steps->filter(fn($one) => $one->isFinished())->slice(0, -3))
            @if ($step !== null && $over->count() > 2)
                <details class="over">
                    <summary>{{ $over->count() }} steps are over</summary>
                    @include('bringup.steps', ['listed' => $over])
                </details>
            @endif
            @include('bringup.steps', ['listed' => $step !== null && $over->count() > 2 ? $run->steps->slice($over->count()) : $run->steps])
        </div>
        @if ($step !== null)
            @php($played = $book->step($step))
            @php($place = $played->place()->value)
            @php($values = $book->values($played))
            @php($countdown = $book->times()->countdown($step))
            @php($command = $played->command === '' ? '' : $values->fill($played->command))
            @php($findings = collect($step->findings ?? []))
            <section class="sheet step" aria-labelledby="step-title">
                <span class="kind"><x-icon :name="$played->place()->icon()" />
                    {{ $played->place()->label() }}{{ $played->waitTo !== null && $place !== 'wait' ? ', then a wait' : '' }}</span>
                <h2 id="step-title">{{ $played->title }}</h2>
                <p>{{ $values->fillText($played->text) }}</p>
                @if ($place === 'router' && $run->box->network->router_page)
                    <x-router-page :notes="$run->box->network->router_page" />
                @endif
                @if ($command !== '' && $shells['posix'])
                    <x-command id="command" :text="$command ?? 'A value is still missing; an earlier step was passed over.'">
                        <x-slot:where>
                            @if ($place === 'box')
                                On <b>{{ $run->box->name }}</b>, as <b>{{ $run->box->user }}</b>
                            @elseif ($place === 'page')
                                In the <b>browser's address line</b>
                            @elseif ($place === 'router')
                                On the <b>router's page</b>, under DHCP
                            @else
                                At the <b>desk computer</b>
                            @endif
                        </x-slot:where>
                    </x-command>
                @endif
                @php($power = $shells['powershell'] ? $values->fillForPowerShell($played->forPowerShell()) ?? 'A value is still missing; an earlier step was passed over.' : $command)
                @if ($shells['powershell'] && ($power !== $command || !$shells['posix']))
                    <x-command id="command-power" :text="$power">
                        <x-slot:where>At the <b>desk computer</b>, in PowerShell</x-slot:where>
                    </x-command>
                @endif
                @includeWhen($played->more->answers !== [], 'bringup.answers', ['answers' => $played->more->answers])
                @includeWhen($played->more->cards !== [], 'bringup.cards', ['cards' => $played->more->cards])
                @if ($played->more->lookIn !== '')
                    <x-command id="look-in" :text="$values->fill($played->more->lookIn) ?? 'A value is still missing; an earlier step was passed over.'">
                        <x-slot:where>To look in, on <b>{{ $run->box->name }}</b></x-slot:where>
                    </x-command>
                @endif
                @if ($played->expect !== '')
                    <p><b>You should see</b> {{ $values->fillText($played->expect) }}</p>
                @endif
                @if ($played->more->reset !== '')
                    <p><b>Lost?</b> It is set anew with <code>{{ $values->fill($played->more->reset) ?? $played->more->reset }}</code></p>
                @endif
                @if ($played->caution !== '')
                    <div class="finding">@mark('warn')<strong>Careful</strong>{{ $played->caution }}</div>
                @endif
                @if ($played->more->back !== '')
                    <p class="hint"><b>Way back from here{{ $played->more->backSeconds === null ? '' : ($played->more->backSeconds === 0 ? ', no time' : ', ' . \Burrow\Quantity\Duration::seconds($played->more->backSeconds)) }}:</b>
                        {{ $values->fillText($played->more->back) }}</p>
                @endif
                <div class="stack" aria-live="polite">
                    @foreach ($findings as $finding)
                        <div class="slim">@mark($finding['severity'])<span><span class="unseen">{{ $finding['severity'] }}: </span><b>{{ $finding['found'] }}</b>
                                {{ $finding['why'] }} {{ $finding['do'] }}</span></div>
                    @endforeach
                    @if ($findings->contains(fn($finding) => in_array($finding['severity'], ['warn', 'stop'], true)))
                        <p><a href="{{ route('box.diagnosis', $run->box) }}">Find out why</a></p>
                    @endif
                </div>
                @php($act = fn(string $action): string => route('run.act', [$run, $step, $action]))
                <form method="post" action="{{ $act('done') }}">
                    @csrf
                    <input type="hidden" name="version" value="{{ $step->version }}">
                    @foreach ($played->kind->takes($played, $run->box->on_bench) as $field)
                        @include('bringup.given', ['field' => $field, 'holds' => old($field->name) ?? $values->known($field), 'wrong' => $findings->contains('field', $field->name)])
                    @endforeach
                    <div class="row">
                        @if ($played->waitTo !== null && $step->state === 'open')
                            <button class="act" formaction="{{ $act('start') }}"
                                data-done>{{ ['wait' => 'The power is on', 'hand' => 'Done'][$place] ?? 'Typed it' }}: start the clock</button>
                        @elseif ($place === 'verify')
                            <button class="act" formaction="{{ $act('check') }}" data-done>{{ $findings->isEmpty() ? 'Look now' : 'Look again' }}</button>
                        @else
                            <button class="act" data-done>Done</button>
                        @endif
                        @if ($run->box->on_bench && $benchIsThere && ($help = $played->kind->bench()) !== null)
                            <button class="ghost" formaction="{{ $act($help->value) }}">{{ $help->label() }}</button>
                            @if ($played->more->lookIn !== '' && $help === Burrow\BringUp\Step\BenchHelp::Type)
                                <button class="ghost" formaction="{{ $act('look-in') }}">{{ Burrow\BringUp\Step\BenchHelp::LookIn->label() }}</button>
                            @endif
                        @endif
                    </div>
                    @if ($before !== null)
                        <p class="hint"><button class="plain" formaction="{{ route('run.act', [$run, $before, 'reopen']) }}" name="reopened"
                                value="{{ $before->version }}">Take back “{{ $book->step($before)->title }}”</button></p>
                    @endif
                </form>
                <details class="working">
                    <summary><span>Pass over this step</span></summary>
                    <form method="post" action="{{ $act('skip') }}">
                        @csrf
                        <input type="hidden" name="version" value="{{ $step->version }}">
                        <div class="field-set"><label for="reason">Because</label><input class="in" id="reason" name="reason" @longest('reason')></div>
                        <div class="field-set"><label for="again">To be looked at again on</label>
                            <p class="hint" id="again-why">It stands in Upkeep from then on; leave it empty when it never will be.</p>
                            <input class="in" id="again" name="again" type="date" min="{{ now()->format('Y-m-d') }}" value="{{ now()->addWeeks(2)->format('Y-m-d') }}" aria-describedby="again-why"></div>
                        <button class="ghost">Pass over, with this reason</button>
                    </form>
                </details>
                <details class="working">
                    <summary><span>It looked different here</span></summary>
                    <form method="post" action="{{ $act('doubt') }}">
                        @csrf
                        <p class="hint">{{ $played->more->releases === [] ? 'It is told for no certain release.' : 'It is known for release ' . implode(', ', $played->more->releases) . '.' }}
                            {{ $played->more->confirmed === '' ? '' : 'Last gone through in ' . $played->more->confirmed . '.' }} The step is marked as stale; the run goes on.</p>
                        <div class="field-set"><label for="saw">What you saw instead</label><input class="in" id="saw" name="saw" @longest('saw')></div>
                        <button class="ghost">Write it down</button>
                    </form>
                </details>
                @foreach ($doubts as $doubt)
                    <p class="hint">On {{ $doubt->created_at->format('Y-m-d') }} it looked different: {{ $doubt->saw }}</p>
                @endforeach
            </section>
        @else
            <section class="sheet step">
                <h2>{{ $run->box->name }} {{ $run->box->isInService() ? 'is in service' : 'stands there, and is not finished' }}</h2>
                <p>What was looked at on the way is in its record, with its time.
                    {{ $book->passedOver() > 0 ? 'What was passed over stays open on its page.' : '' }}</p>
                <div class="row"><a class="act" href="{{ route('box', $run->box) }}" data-done>See its page</a><a class="ghost" href="/">Ground</a>
                    @if ($way !== null)
                        <a class="ghost" href="{{ route('run.back', $run) }}">The way back</a>
                    @endif
                    @if ($book->passedOver() > 0)
                        <form method="post" action="{{ route('run.resume', $run) }}">@csrf<button class="ghost">Take up what was passed over</button></form>
                    @endif
                </div>
            </section>
        @endif
        <div class="stack">
            @if ($step !== null && $countdown !== null)
                <x-waiting :countdown="$countdown" />
                @if ($played->more->starts && $step->state === 'running')
                    @include('bringup.stages')
                @endif
                <button type="button" class="ghost" data-notify hidden>Tell me when it is over</button>
                @if ($played->meanwhile !== '')
                    <div class="sheet">
                        <h3>While you wait</h3>{{ $values->fillText($played->meanwhile) }}
                    </div>
                @endif
                <div class="sheet" data-when-over @if (!$countdown->isOver()) hidden @endif>
                    <h3>When it takes longer</h3>{{ $values->fillText($played->ifLonger) }}
                    <p><a href="{{ route('box.diagnosis', $run->box) }}">Find out why it does not answer</a></p>
                </div>
            @endif
            <div class="sheet">
                <h3>{{ $run->box->name }}</h3>
                <dl class="facts">
                    <dt>address</dt>
                    <dd class="mono">{{ $run->box->address }}</dd>
                    <dt>found at</dt>
                    <dd class="mono">{{ $run->learnedText('found') ?? '—' }}</dd>
                    <dt>hardware</dt>
                    <dd class="mono">{{ $run->box->mac ?? '—' }}</dd>
                    <dt>host key</dt>
                    <dd class="mono">{{ $run->box->host_key ? \Illuminate\Support\Str::limit($run->box->host_key, 16, '…') : '—' }}</dd>
                    <dt>login</dt>
                    <dd>{{ $run->box->login === 'key' ? 'key only' : 'password' }}</dd>
                </dl>
            </div>
            <p class="soft"><a href="{{ route('run.paper', $run) }}">All steps on paper</a></p>
            @if ($way !== null)
                <p class="soft"><a href="{{ route('run.back', $run) }}">Go back to {{ $run->learnedText('from_name') }}</a></p>
            @endif
            @if ($run->box->on_bench)
                <p class="soft">Its board stands on the <a href="/bench">bench</a>.</p>
            @endif
        </div>
    </div>
</x-page>
