@php($enough = collect($counted)->filter(fn($one) => $one->isEnough())->count())
<x-page title="Backups" place="stores">
    <x-slot:say><b>{{ $backups->isEmpty() ? 'Nothing is copied yet.' : ($backups->count() === 1 ? 'One backup.' : $backups->count() . ' backups.') }}</b>
        {{ $counted === [] ? 'Three copies, on two machines, one elsewhere, and one that was brought back.' : ($enough === count($counted) ? 'Each copied box has three copies, one of them elsewhere.' : (count($counted) - $enough === 1 ? 'One box has' : count($counted) - $enough . ' boxes have') . ' fewer than three copies, or none elsewhere.') }}</x-slot:say>
    @if (! $findings->isEmpty())
        <div class="stack said">
            @foreach (array_slice($findings->list, 0, 8) as $finding)
                <x-finding :finding="$finding" />
            @endforeach
        </div>
    @endif
    <p class="row spaced"><a class="act" href="{{ route('backups', ['add' => 1]) }}#backup-form">Write down a backup</a> <a class="ghost" href="{{ route('stores') }}">Back to the stores</a></p>
    @if ($form !== null)
        @include('stores.backup-form')
    @endif
    @foreach ($backups as $backup)
        @php($plan = $backup->plan())
        @php($drilled = is_scalar(old('drilled')) && (int) old('drilled') === $backup->id)
        @php($copying = $of[$backup->id] ?? null)
        <section class="sheet" id="backup-{{ $backup->id }}" aria-labelledby="backup-title-{{ $backup->id }}">
            <div class="row tight"><h2 id="backup-title-{{ $backup->id }}"><span class="mono">{{ $backup->name }}</span> of {{ $backup->box->called() }}</h2>
                <span class="soft">{{ isset($counted[$backup->box->name]) ? $counted[$backup->box->name]->words() : '' }}</span></div>
            <svg class="copies" viewBox="0 0 760 64" role="img" aria-label="From {{ $backup->box->called() }} to {{ $copying?->to }}{{ $backup->elsewhere ? ', elsewhere' : '' }}">
                <rect class="c-box" x="4" y="8" width="190" height="48" rx="22" /><text class="c-name" x="99" y="37" text-anchor="middle">{{ $backup->box->called() }}</text>
                <path class="{{ $backup->ran_at === null ? 'c-way never' : 'c-way' }}" d="M198 32 H556" />
                <text class="c-say" x="377" y="24" text-anchor="middle">{{ $backup->ran_at === null ? 'never seen to run' : 'went well ' . $backup->ran_at->diffForHumans() }}</text>
                <text class="c-say" x="377" y="52" text-anchor="middle">{{ $backup->school === 'archive' ? 'one encrypted archive a time' : 'folders; what did not change is held once' }}</text>
                <rect class="c-box {{ $backup->elsewhere ? 'out' : '' }}" x="560" y="8" width="196" height="48" rx="22" /><text class="c-name" x="658" y="37" text-anchor="middle">{{ \Illuminate\Support\Str::limit((string) $copying?->to, 22, '…') }}</text>
            </svg>
            <dl class="pairs">
                <dt>What</dt><dd class="mono">{{ implode('  ', $backup->paths) }}{{ $backup->database === 'none' ? '' : ', and the database, dumped first' }}</dd>
                <dt>To</dt><dd class="mono">{{ $backup->target_account . '@' . ($plan->host ?? $backup->target_host) . ':' . $backup->target_folder }}</dd>
                <dt>When</dt><dd>every day at {{ $backup->runs_at }}; kept are {{ $backup->keep_daily }} days, {{ $backup->keep_weekly }} weeks, {{ $backup->keep_monthly }} months{{ $backup->keep_yearly > 0 ? ", {$backup->keep_yearly} years" : '' }}</dd>
                <dt>Brought back</dt><dd>@if ($backup->drills->isEmpty())<span class="soft">never</span>@else @mark($backup->drills[0]->worked ? 'fine' : 'stop') @ago($backup->drills[0]->tried_at), {{ $backup->drills[0]->minutes }} min: {{ $backup->drills[0]->what }}@endif</dd>
                @if ($backup->school === 'archive')
                    <dt>Its passphrase</dt><dd>in <span class="mono">{{ $plan?->passphraseFile() }}</span> on the box, and {{ $backup->key_kept_at ?? 'nowhere else, as far as is known' }}</dd>
                @endif
            </dl>
            @if ($backup->full_bytes !== null && $backup->changed_bytes !== null)
                <x-working :working="$backup->keep()->roomWorking(Burrow\Quantity\Bytes::of($backup->full_bytes), Burrow\Quantity\Bytes::of($backup->changed_bytes))" />
            @endif
            @php($window = $backup->full_bytes === null || $backup->changed_bytes === null ? null : Burrow\Stores\Backup\CopyWindow::ofAll(Burrow\Quantity\Bytes::of($backup->full_bytes), Burrow\Quantity\Bytes::of($backup->changed_bytes), (int) $backup->seconds))
            @if ($window !== null)
                <x-working :working="$window" />
            @endif
            @if ($plan !== null)
                <details class="more">
                    <summary>Set it up on {{ $backup->box->called() }}</summary>
                    <ol class="steps-plain">
                        <li>A login of its own: <x-command :id="'key-' . $backup->id" :text="'sudo ssh-keygen -t ed25519 -N \'\' -f /root/.ssh/id_backup; sudo ssh-copy-id -p ' . $plan->port . ' -i /root/.ssh/id_backup.pub ' . $plan->account . '@' . $plan->host"><x-slot:where>on {{ $backup->box->called() }}</x-slot:where></x-command></li>
                        @if ($plan->isEncrypted())
                            <li>A passphrase of its own, and a copy of it in another house: <x-command :id="'pass-' . $backup->id" :text="'sudo sh -c \'umask 077; head -c 30 /dev/urandom | base64 >' . $plan->passphraseFile() . '\'; sudo cat ' . $plan->passphraseFile()"><x-slot:where>on {{ $backup->box->called() }}</x-slot:where></x-command></li>
                        @endif
                        <li>The scripts to <span class="mono">/usr/local/sbin/</span>, with the right to run: <a href="{{ route('backups.file', [$backup, 'script']) }}">backup-{{ $backup->name }}</a>, <a href="{{ route('backups.file', [$backup, 'restore']) }}">restore-{{ $backup->name }}</a></li>
                        <li>The units to <span class="mono">/etc/systemd/system/</span>: <a href="{{ route('backups.file', [$backup, 'service']) }}">service</a>, <a href="{{ route('backups.file', [$backup, 'timer']) }}">timer</a></li>
                        <li>Once by hand, then by itself: <x-command :id="'run-' . $backup->id" :text="'sudo /usr/local/sbin/backup-' . $backup->name . ' && sudo systemctl enable --now backup-' . $backup->name . '.timer'"><x-slot:where>on {{ $backup->box->called() }}</x-slot:where></x-command></li>
                    </ol>
                </details>
            @endif
            <details class="more" id="drill-{{ $backup->id }}" @if ($drilled) open @endif>
                <summary>Bring it back once, to see whether it can be</summary>
                <x-command :id="'back-' . $backup->id" :text="'sudo /usr/local/sbin/restore-' . $backup->name . ' /srv/tried'"><x-slot:where>on {{ $backup->box->called() }}, beside what is there</x-slot:where></x-command>
                <form method="post" action="{{ route('backups.drill', $backup) }}">
                    @csrf
                    <input type="hidden" name="drilled" value="{{ $backup->id }}">
                    @php($was = fn(string $field): string => $drilled && is_string(old($field)) ? old($field) : '')
                    <div class="field-set"><label for="what-{{ $backup->id }}">What was brought back and opened</label><input class="in" id="what-{{ $backup->id }}" name="what" value="{{ $was('what') }}" @longest('what')></div>
                    <div class="field-set"><label for="minutes-{{ $backup->id }}">Minutes it took</label><input class="in code" id="minutes-{{ $backup->id }}" name="minutes" inputmode="numeric" value="{{ $was('minutes') }}" @longest('minutes')></div>
                    <div class="row"><button class="act" name="worked" value="1">It was whole</button><button class="ghost" name="worked" value="0">It was not</button></div>
                </form>
            </details>
            <div class="row"><a href="{{ route('backups', ['edit' => $backup->id]) }}#backup-form">Change</a>
                <form method="post" action="{{ route('backups.away', $backup) }}">@csrf<button class="link">Take it out of the record</button></form></div>
        </section>
    @endforeach
    <div class="two below">
        <section class="sheet" id="said" aria-labelledby="said-title">
            <h2 id="said-title">What the scripts said</h2>
            <x-command id="said-command" text="journalctl --no-pager --output cat --unit 'backup-*' | grep '^backup '"><x-slot:where>on each box</x-slot:where></x-command>
            <form method="post" action="{{ route('backups.said') }}">
                @csrf
                <div class="field-set"><label for="pasted">Paste it</label><textarea class="in code" id="pasted" name="pasted" rows="3">{{ is_string(old('pasted')) ? old('pasted') : '' }}</textarea></div>
                <div class="row"><button class="act">Note it</button></div>
            </form>
        </section>
        <section class="sheet" aria-labelledby="wants-title">
            <h2 id="wants-title">What has to be kept, by job</h2>
            <ul class="plain-links">
                @foreach ($wants as $name => $what)
                    <li><b>{{ $name }}</b>{{ isset($counted[$name]) ? '' : ' (not copied)' }}: {{ implode('; ', $what) }}</li>
                @endforeach
            </ul>
        </section>
    </div>
</x-page>
