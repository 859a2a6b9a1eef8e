@php($values = $book->values())
<x-page :title="($run->finished_at ? 'Brought up: ' : 'Bringing up ') . $run->box->name" place="boxes">
    <x-slot:say><b>{{ $book->sentence() }}</b>
        @if ($run->finished_at && $run->box->isInService())
            It stands in <a href="/">Ground</a>, in <a href="/ports">Ports</a> and in <a href="/upkeep">Upkeep</a>.
        @endif
    </x-slot:say>
    @if ($missing !== null)
        <x-finding :finding="$missing" />
    @endif
    <div class="three">
        <ol class="steps" aria-label="Steps">
            @foreach ($run->steps as $listed)
                @php($t = $book->template($listed))
                <li class="{{ $listed->id === $step?->id ? 'now' : $listed->state }}" @if ($listed->id === $step?->id) aria-current="step" @endif data-stop tabindex="-1">
                    {{ $t->title }}<small>{{ $listed->outcome ?? $t->kind->label() }}</small></li>
            @endforeach
        </ol>
        @if ($step !== null)
            @php($template = $book->template($step))
            @php($countdown = $book->countdown($step))
            @php($command = $template->command === '' ? '' : $values->fill($template->command))
            @php($findings = collect($step->findings ?? []))
            <section class="sheet step" aria-labelledby="step-title">
                <span class="kind"><x-icon :name="$template->kind->value" />
                    {{ $template->kind->label() }}{{ $template->waitTo !== null && $template->kind->value !== 'wait' ? ', then a wait' : '' }}</span>
                <h2 id="step-title">{{ $template->title }}</h2>
                <p>{{ $values->fillText($template->text) }}</p>
                @if ($command !== '')
                    <x-command id="command" :text="$command ?? 'A value is still missing; an earlier step was passed over.'">
                        <x-slot:where>
                            @if ($template->kind->value === 'box')
                                On <b>{{ $run->box->name }}</b>, as <b>{{ $run->box->user }}</b>
                            @elseif ($template->id === 'reserve')
                                On the <b>router's page</b>, under DHCP
                            @else
                                At the <b>desk computer</b>
                            @endif
                        </x-slot:where>
                    </x-command>
                @endif
                @if ($template->expect !== '')
                    <p><b>You should see</b> {{ $values->fillText($template->expect) }}</p>
                @endif
                @if ($template->caution !== '')
                    <div class="finding"><x-mark severity="warn" /><strong>Careful</strong>{{ $template->caution }}</div>
                @endif
                <div class="stack" aria-live="polite">
                    @foreach ($findings as $finding)
                        <div class="slim"><x-mark :severity="$finding['severity']" /><span><span class="unseen">{{ $finding['severity'] }}: </span><b>{{ $finding['found'] }}</b>
                                {{ $finding['why'] }} {{ $finding['do'] }}</span></div>
                    @endforeach
                </div>
                @php($act = fn(string $action): string => route('run.act', [$run, $step, $action]))
                <form method="post" action="{{ $act('done') }}">
                    @csrf
                    <input type="hidden" name="version" value="{{ $step->version }}">
                    @if ($template->command !== '' && $template->kind->value !== 'hand' || ($template->probe === 'lease' && !$run->box->on_bench))
                        <div class="field-set">
                            <label for="pasted">{{ $template->probe === 'lease' ? 'The router\'s list' : ($template->reads === '' ? 'What you saw, if it looks otherwise' : 'What you saw') }}</label>
                            <textarea id="pasted" name="pasted" class="paste code" rows="4" placeholder="Paste it here." @if ($findings->contains('field', 'pasted')) aria-invalid="true" @endif>{{ old('pasted') ? "\n" . old('pasted') : '' }}</textarea>
                        </div>
                    @endif
                    @if ($template->reads === 'lsblk')
                        <div class="field-set">
                            <label for="typed_disk">Name of the disk that may be wiped</label>
                            <input class="in code" id="typed_disk" name="typed_disk" value="{{ old('typed_disk') }}" autocomplete="off" placeholder="as in the list"
                                @if ($findings->contains('field', 'typed_disk')) aria-invalid="true" @endif>
                        </div>
                    @endif
                    <div class="row">
                        @if ($template->waitTo !== null && $step->state === 'open')
                            <button class="act" formaction="{{ $act('start') }}"
                                data-done>{{ $template->kind->value === 'wait' ? 'The power is on: start the clock' : 'Typed it: start the clock' }}</button>
                        @elseif ($template->probe !== '')
                            <button class="act" formaction="{{ $act('check') }}" data-done>{{ $findings->isEmpty() ? 'Look now' : 'Look again' }}</button>
                        @else
                            <button class="act" data-done>Done</button>
                        @endif
                        @if ($template->kind->value === 'box' && $run->box->on_bench && $benchIsThere)
                            <button class="ghost" formaction="{{ $act('type') }}">Type it on the bench board</button>
                        @endif
                        @if ($template->id === 'cable' && $run->box->on_bench && $benchIsThere)
                            <input type="hidden" name="board" value="box-{{ $run->box->id }}"><input type="hidden" name="on" value="1">
                            <button class="ghost" formaction="{{ route('bench.power') }}">Power on the bench board</button>
                        @endif
                        @if ($template->id === 'reserve' && $run->box->on_bench && $benchIsThere)
                            <button class="ghost" formaction="{{ $act('reserve') }}">Enter it in the bench's router</button>
                        @endif
                    </div>
                    @if ($before !== null)
                        <p class="hint"><button class="plain" formaction="{{ route('run.act', [$run, $before, 'reopen']) }}" name="reopened"
                                value="{{ $before->version }}">Take back “{{ $book->template($before)->title }}”</button></p>
                    @endif
                </form>
                <details class="working">
                    <summary><span>Pass over this step</span></summary>
                    <form method="post" action="{{ $act('skip') }}">
                        @csrf
                        <input type="hidden" name="version" value="{{ $step->version }}">
                        <div class="field-set"><label for="reason">Because</label><input class="in" id="reason" name="reason" maxlength="150"></div>
                        <button class="ghost">Pass over, with this reason</button>
                    </form>
                </details>
            </section>
        @else
            <section class="sheet step">
                <h2>{{ $run->box->name }} {{ $run->box->isInService() ? 'is in service' : 'stands there, and is not finished' }}</h2>
                <p>What was looked at on the way is in its record, with its time.
                    {{ $book->passedOver() > 0 ? 'What was passed over stays open on its page.' : '' }}</p>
                <div class="row"><a class="act" href="{{ route('box', $run->box) }}" data-done>See its page</a><a class="ghost" href="/">Ground</a>
                    @if ($book->passedOver() > 0)
                        <form method="post" action="{{ route('run.resume', $run) }}">@csrf<button class="ghost">Take up what was passed over</button></form>
                    @endif
                </div>
            </section>
        @endif
        <div class="stack">
            @if ($step !== null && $countdown !== null)
                <x-waiting :countdown="$countdown" />
                @if ($template->meanwhile !== '')
                    <div class="sheet">
                        <h3>While you wait</h3>{{ $values->fillText($template->meanwhile) }}
                    </div>
                @endif
                <div class="sheet" data-when-over @if (!$countdown->isOver()) hidden @endif>
                    <h3>When it takes longer</h3>{{ $values->fillText($template->ifLonger) }}
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
            @if ($run->box->on_bench)
                <p class="soft">Its board stands on the <a href="/bench">bench</a>.</p>
            @endif
        </div>
    </div>
</x-page>
