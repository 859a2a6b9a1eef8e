@php($r = $told?->report)
@php($bytes = fn(?int $count): string => $count === null ? 'not told' : Burrow\Quantity\Bytes::of($count)->decimal())
@php($or = fn(mixed $value, string $words): string => $value === null ? 'not told' : $words)
<x-page :title="'How ' . $box->called() . ' is'" place="boxes">
    <x-slot:say>
        @if ($told === null)
            <b>{{ ucfirst($box->called()) }} has not told how it is yet.</b> One script, run by whoever may log in; it changes nothing.
        @else
            <b>{{ $open === [] ? 'It is as the record has it.' : (count($open) === 1 ? 'One thing is not as the record has it.' : count($open) . ' things are not as the record has it.') }}</b>
            Told @ago($told->at){{ abs($off) > $clock ? '; its clock is off by ' . Burrow\Quantity\Duration::seconds(abs($off)) : '' }}.
        @endif
    </x-slot:say>
    @if ($open !== [])
        <section class="sheet" id="differences" aria-labelledby="differences-title">
            <h2 id="differences-title">Not as the record has it</h2>
            @foreach ($open as $one)
                <form class="difference" method="post" action="{{ route('box.report.answer', $box) }}">
                    @csrf
                    <input type="hidden" name="difference" value="{{ $one->key }}">
                    <p>@mark($one->severity->value) <strong>{{ $one->found }}</strong><br><span class="soft">To put it right: {{ $one->right }}</span></p>
                    <div class="row tight">
                        @if ($one->record !== '')
                            <button class="ghost small" name="answer" value="record" aria-label="Record it: {{ $one->found }}">Record it</button> <span class="soft advice">{{ $one->record }}</span>
                        @endif
                        <button class="ghost small" name="answer" value="later" aria-label="Leave it for a month: {{ $one->found }}">Leave it for a month</button>
                    </div>
                </form>
            @endforeach
        </section>
    @endif
    @if ($r !== null)
        <div class="two spaced">
            <section class="sheet" aria-labelledby="facts-title">
                <h2 id="facts-title">What it told</h2>
                <dl class="pairs">
                    <dt>System</dt><dd>{{ $r->release ?? 'not told' }}</dd>
                    <dt>Kernel</dt><dd class="mono">{{ $r->kernel ?? 'not told' }}</dd>
                    <dt>Up for</dt><dd>{{ $or($r->uptimeSeconds, (string) Burrow\Quantity\Duration::seconds($r->uptimeSeconds ?? 0)) }}{{ $r->restart === true ? ', and wants to be started again' : '' }}</dd>
                    <dt>Updates</dt><dd>@if ($r->pending === null)not told @else @mark($r->security !== [] ? 'warn' : ($r->pending !== [] || $r->isUpToDate() ? 'fine' : 'note')) {{ $r->pending === [] ? 'none wait' : count($r->pending) . ' wait, ' . count($r->security ?? []) . ' mend holes' }}{{ $r->listDays() === null ? '; how old its lists are it did not tell' : ($r->listDays() > 2 ? ', by lists of ' . $r->listDays() . ' days ago: sudo apt-get update' : '') }}@endif</dd>
                    <dt>Clock</dt><dd>{{ $or($r->synchronised, $r->synchronised ? 'kept by a time server' : 'by itself') }}</dd>
                    <dt>Memory</dt><dd>{{ $r->memoryBytes === null ? 'not told' : $bytes($r->availableBytes) . ' free of ' . $bytes($r->memoryBytes) }}</dd>
                    <dt>Warm</dt><dd>{{ $or($r->celsius, round($r->celsius ?? 0, 1) . ' °C') }}</dd>
                    <dt>Voltage</dt><dd>{{ $or($r->undervoltage, $r->undervoltage ? 'was too low' : 'was enough') }}{{ $r->throttled ? ', and it was slowed down' : '' }}</dd>
                    <dt>Failed</dt><dd>{{ $or($r->failed, $r->failed === [] ? 'nothing' : implode(', ', array_slice($r->failed ?? [], 0, 6))) }}</dd>
                    <dt>Containers</dt><dd>{{ $or($r->containers, $r->containers === [] ? 'none run' : implode(', ', array_slice($r->containers ?? [], 0, 12))) }}</dd>
                </dl>
            </section>
            <section class="sheet" aria-labelledby="disks-title">
                <h2 id="disks-title">Disks and doors</h2>
                <dl class="pairs">
                    @foreach (array_slice($r->fills ?? [], 0, 8) as [$mount, $size, $used])
                        <dt class="mono">{{ $mount }}</dt><dd>{{ $size > 0 ? round(100 * $used / $size) : 0 }} % of {{ $bytes($size) }}</dd>
                    @endforeach
                    <dt>Addresses</dt><dd class="mono">{{ $or($r->addresses, implode(' ', array_slice($r->addresses ?? [], 0, 8))) }}</dd>
                    <dt>Listens at</dt><dd class="mono">{{ $or($r->listening, implode(' ', array_slice(array_unique(array_map(fn($one) => $one[2] . '/' . $one[0], $r->listening ?? [])), 0, 24))) }}</dd>
                    <dt>May log in</dt><dd>{{ $or($r->accounts, implode(', ', array_slice($r->accounts ?? [], 0, 12))) }}</dd>
                    <dt>Keys</dt><dd>{{ $or($r->keys, count($r->keys ?? []) === 1 ? 'one' : (string) count($r->keys ?? [])) }}</dd>
                </dl>
                <p class="hint">It came {{ ['pasted' => 'pasted', 'file' => 'as a file', 'pushed' => 'by itself', 'pulled' => 'fetched'][$last?->came] ?? '' }}.</p>
            </section>
        </div>
    @endif
    <section class="sheet" aria-labelledby="tell-title">
        <h2 id="tell-title">Let it tell</h2>
        <p><a class="ghost small" href="{{ route('report.script') }}">The script</a> needs no right, changes nothing, and runs on the smallest shell. Lay it at <span class="mono">{{ Burrow\Upkeep\Report\ReportUnits::SCRIPT }}</span>, with the right to run.</p>
        <form method="post" action="{{ url()->current() }}" enctype="multipart/form-data">
            @csrf
            <x-field name="report" label="Paste what it prints" :value="is_string(old('report')) ? old('report') : ''" :findings="$judged" area code />
            <div class="field-set"><label for="report_file">or as a file</label><input type="file" id="report_file" name="report_file"></div>
            <div class="row"><button class="act">Read it</button> <a class="ghost" href="{{ route('box', $box) }}">Back to {{ $box->called() }}</a></div>
        </form>
    </section>
    <section class="sheet" id="by-itself" aria-labelledby="itself-title">
        <h2 id="itself-title">By itself, every day</h2>
        @if ($token !== null)
            <p>@mark('warn') <strong>This is shown once.</strong> Only its sum is kept here.</p>
            <x-command id="token-file" :text="'printf \'Authorization: Bearer %s\n\' \'' . $token . '\' | sudo tee ' . Burrow\Upkeep\Report\ReportUnits::TOKEN . ' >/dev/null; sudo chown ' . ($box->user ?: 'root') . ' ' . Burrow\Upkeep\Report\ReportUnits::TOKEN . '; sudo chmod 400 ' . Burrow\Upkeep\Report\ReportUnits::TOKEN"><x-slot:where>on {{ $box->called() }}</x-slot:where></x-command>
        @endif
        <form method="post" action="{{ route('box.report.token', $box) }}" class="row">
            @csrf
            <button class="ghost">{{ $box->report_token === null ? 'Give it a token' : 'Give it another token' }}</button>
            @if ($box->report_token !== null)
                <button class="ghost" name="away" value="1">Take the token back</button> <span class="soft">It has one @ago($box->report_token_at).</span>
            @endif
        </form>
        <details class="more" @if ($token !== null) open @endif>
            <summary>Its two units</summary>
            <x-command id="report-service" :text="$service"><x-slot:where>/etc/systemd/system/burrow-report.service</x-slot:where></x-command>
            <x-command id="report-timer" :text="$timer"><x-slot:where>/etc/systemd/system/burrow-report.timer</x-slot:where></x-command>
            <x-command id="report-enable" text="sudo systemctl daemon-reload && sudo systemctl start burrow-report && sudo systemctl enable --now burrow-report.timer"><x-slot:where>on {{ $box->called() }}</x-slot:where></x-command>
            <p class="hint">It wants curl, and the way to this page open from {{ $box->called() }}: by the name under which this application is reached in the house.</p>
        </details>
    </section>
    <section class="sheet" id="fetched" aria-labelledby="fetched-title">
        <h2 id="fetched-title">Or fetched, every day</h2>
        <p>With a key of this application that may run the script there and nothing else; what it opens is written in its line. Before anything is sent the box has to show the host key that is known{{ $box->host_key === null ? ', and none is known yet' : '' }}.</p>
        <x-command id="report-key" :text="'echo ' . Burrow\Text\ShellWord::quoted($key) . ' >> ~/.ssh/authorized_keys'"><x-slot:where>on {{ $box->called() }}, as {{ $box->user ?: 'root' }}</x-slot:where></x-command>
        @if ($box->fetch_wrong !== null)
            <p>@mark('warn') <strong>{{ $box->fetch_wrong }}</strong></p>
        @endif
        <form method="post" action="{{ route('box.report.fetch', $box) }}" class="row">
            @csrf
            <button class="ghost">{{ $box->fetched_at === null ? 'Fetch it now, and every day' : 'Fetch it now' }}</button>
            @if ($box->fetched_at !== null)
                <button class="ghost" name="away" value="1">Fetch it no more</button> <span class="soft">Fetched @ago($box->fetched_at).</span>
            @endif
            @if ($box->on_bench)
                <button class="ghost" formaction="{{ route('box.report.bench', $box) }}">Type both on the bench board</button>
            @endif
        </form>
    </section>
</x-page>
