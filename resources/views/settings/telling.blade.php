<x-page title="Whom the house tells" place="settings">
    <x-slot:say><b>{{ $network->mail_to === null && $network->hook === null ? 'Nobody is told yet.' : 'One message a day at most, and one when a box falls silent.' }}</b> Nothing leaves the house but by your own mail server.</x-slot:say>
    @if ($network->told_wrong !== null)
        <div class="stack said"><div class="finding">@mark('warn') <strong>{{ $network->told_wrong }}</strong> It is tried again with the next message.</div></div>
    @endif
    <form class="sheet port-form" method="post" action="{{ route('telling.update') }}">
        @csrf
        <x-field name="mail_to" label="By mail to" :value="$typed['mail_to']" :findings="$findings" code autocomplete="off" />
        <x-field name="mail_server" label="Mail server of the house" :value="$typed['mail_server']" :findings="$findings" code autocomplete="off" placeholder="127.0.0.1:25" hint="Its address and port. Without a login: one that takes mail from the house." />
        <x-field name="hook" label="By a hook" :value="$typed['hook']" :findings="$findings" code autocomplete="off" placeholder="http://172.22.8.13:8082/hook" hint="It is sent what needs somebody, as JSON, to an address of the house." />
        <div class="row"><button class="act">Keep</button></div>
    </form>
    <form class="sheet row" method="post" action="{{ route('telling.now') }}">@csrf<button class="ghost">Tell now what there is</button> <span class="soft">@if ($network->told_at === null)Nothing was told yet.@else Told @ago($network->told_at).@endif</span></form>
    <section class="sheet" id="tokens" aria-labelledby="tokens-title">
        <h2 id="tokens-title">Who fetches by themselves</h2>
        @if ($given !== null)
            <p>@mark('warn') <strong>This is shown once.</strong> Only its sum is kept here.</p>
            @if ($given['kind'] === 'feed')
                <x-command id="given" :text="route('feed', $given['token'])"><x-slot:where>an address to subscribe to in a calendar</x-slot:where></x-command>
            @else
                <x-command id="given" :text="'curl -H \'Authorization: Bearer ' . $given['token'] . '\' ' . route('metrics')"><x-slot:where>for the program that gathers figures (OpenMetrics)</x-slot:where></x-command>
            @endif
        @endif
        @if ($tokens->isNotEmpty())
            <x-list :heads="['For', 'What', 'Given', 'Used last', '']">
                @foreach ($tokens as $one)
                    <tr><td>{{ $one->holder }}</td><td>{{ $one->kind === 'feed' ? 'the calendar of upkeep' : 'the figures' }}</td><td>@ago($one->created_at)</td><td>@if ($one->used_at === null)<span class="soft">never</span>@else @ago($one->used_at)@endif</td><td class="whole"><form method="post" action="{{ route('tokens.away', $one) }}">@csrf @method('delete')<button class="link" aria-label="Take it back from {{ $one->holder }}">take it back</button></form></td></tr>
                @endforeach
            </x-list>
        @endif
        <form class="port-form" method="post" action="{{ route('tokens.give') }}">
            @csrf
            <div class="field-set"><label for="holder">For whom</label><input class="in" id="holder" name="holder" maxlength="60" value="{{ is_string(old('holder')) ? old('holder') : '' }}"></div>
            <x-choice name="token_kind" label="What" :options="['feed' => 'the calendar of upkeep', 'metrics' => 'the figures']" chosen="feed" />
            <div class="row"><button class="act">Give a token</button> <a class="ghost" href="{{ route('settings') }}">Back to the settings</a></div>
        </form>
    </section>
</x-page>
