@php($o = fn(string $field): string => is_string(old($field)) ? old($field) : '')
@php($keeper = auth()->user()->isKeeper())
<x-page title="Logins" place="settings">
    <x-slot:say><b>You are {{ auth()->user()->name }}, a {{ $keeper ? 'keeper: you may change things' : 'guest: you may look' }}.</b>
        @if ($keeper)
            {{ count($users) === 1 ? 'Nobody else can log in.' : count($users) . ' can log in.' }}
        @endif
    </x-slot:say>
    <div class="two">
        <form class="sheet" id="own" method="post" action="{{ route('password') }}" autocomplete="off">
            @csrf
            <h2>Your own password</h2>
            <x-field name="password_now" label="The one you have" type="password" :findings="$findings" autocomplete="current-password" />
            <x-field name="password_new" label="The new one" type="password" :findings="$findings" autocomplete="new-password" data-show />
            <x-field name="password_again" label="The new one once more" type="password" :findings="$findings" autocomplete="new-password" />
            <div class="row"><button class="act">Change it</button> <a class="ghost" href="{{ route('settings') }}">Back to the settings</a></div>
        </form>
        @if ($keeper)
            <section class="sheet" id="logins" aria-labelledby="logins-title">
                <h2 id="logins-title">Who may log in</h2>
                <x-list :heads="['Login', 'May', 'Since', '']">
                    @foreach ($users as $one)
                        <tr>
                            <td><b>{{ $one->name }}</b></td>
                            <td>{{ $one->isKeeper() ? 'change things' : 'look' }}</td>
                            <td class="whole">@if ($one->created_at !== null)@ago($one->created_at)@endif</td>
                            <td class="whole">
                                @unless ($one->is(auth()->user()))
                                    <form class="inline" method="post" action="{{ route('logins.drop', $one) }}">@csrf @method('delete')<button class="link" aria-label="Take it away: {{ $one->name }}">Take it away</button></form>
                                @endunless
                            </td>
                        </tr>
                    @endforeach
                </x-list>
                <form method="post" action="{{ route('logins.store') }}" autocomplete="off">
                    @csrf
                    <h3>One more, or a new password for one of them</h3>
                    <x-field name="login_name" label="Login" :value="$o('login_name')" :findings="$findings" code hint="A role rather than a person: desk, kitchen." />
                    <x-choice name="login_role" label="May" :options="['guest' => 'look: is it on, whom to ask', 'keeper' => 'change things']" :chosen="$o('login_role') ?: 'guest'" :findings="$findings" />
                    <x-field name="login_password" label="Password" type="password" :findings="$findings" autocomplete="new-password" data-show />
                    <div class="row"><button class="act">Keep</button></div>
                </form>
            </section>
        @endif
    </div>
</x-page>
