@php($f = $form->fields)
@php($says = $form->findings)
<section class="sheet" id="backup-form" aria-labelledby="backup-form-title">
    <h2 id="backup-form-title">{{ $form->backup === null ? 'A backup' : "Change {$form->backup->name}" }}</h2>
    <form method="post" action="{{ $form->backup === null ? route('backups.add') : route('backups.change', $form->backup) }}" class="port-form">
        @csrf
        <input type="hidden" name="revision" value="{{ $form->backup->revision ?? 0 }}">
        <x-choice name="backup_box" label="Whose files" :options="['' => 'choose'] + $boxes" :chosen="$f['backup_box']" :findings="$says" />
        <x-field name="backup_name" label="What it is called" :value="$f['backup_name']" :findings="$says" code autocomplete="off" placeholder="seed-scans" />
        <x-field name="paths" label="What is copied, one folder a line" :value="$f['paths']" :findings="$says" area code placeholder="/srv/store" />
        <x-choice name="database" label="A database that is dumped first" :options="['none' => 'none', 'mariadb' => 'MariaDB, all of it', 'postgresql' => 'PostgreSQL, all of it', 'sqlite' => 'one in a file (SQLite)']" :chosen="$f['database']" />
        <x-field name="database_file" label="Its file, if it is one" :value="$f['database_file']" :findings="$says" code autocomplete="off" />
        <x-choice name="school" label="How" :options="['folders' => 'folders: what did not change is held once', 'archive' => 'one encrypted archive a time']" :chosen="$f['school']" />
        <x-choice name="target_box" label="To a box of the house" :options="['' => 'none of these'] + $boxes" :chosen="$f['target_box']" :findings="$says" />
        <x-field name="target_host" label="or to a machine, by name or address" :value="$f['target_host']" :findings="$says" code autocomplete="off" placeholder="copies.example.net" />
        <div class="ticks one"><label><input type="checkbox" name="elsewhere" value="1" @checked(old('elsewhere', $form->backup?->elsewhere ? '1' : '') === '1')> that machine is in another house</label></div>
        <x-field name="target_account" label="Account there" :value="$f['target_account']" :findings="$says" code autocomplete="off" placeholder="copies" />
        <x-field name="target_port" label="Port of its login" :value="$f['target_port']" :findings="$says" code inputmode="numeric" />
        <x-field name="target_folder" label="Folder there, for this alone" :value="$f['target_folder']" :findings="$says" code autocomplete="off" placeholder="/srv/copies/larder" />
        <x-field name="key_kept_at" label="Where the passphrase is kept besides" :value="$f['key_kept_at']" :findings="$says" placeholder="the password manager, entry larder; paper at the warden’s" />
        <x-field name="runs_at" label="Every day at" :value="$f['runs_at']" :findings="$says" code />
        <x-field name="keep_daily" label="Days kept" :value="$f['keep_daily']" :findings="$says" code inputmode="numeric" />
        <x-field name="keep_weekly" label="Weeks kept" :value="$f['keep_weekly']" :findings="$says" code inputmode="numeric" />
        <x-field name="keep_monthly" label="Months kept" :value="$f['keep_monthly']" :findings="$says" code inputmode="numeric" />
        <x-field name="keep_yearly" label="Years kept" :value="$f['keep_yearly']" :findings="$says" code inputmode="numeric" />
        <div class="row"><button class="act" data-done>Keep it</button><a class="ghost" href="{{ route('backups') }}">Leave it as it was</a></div>
    </form>
</section>
