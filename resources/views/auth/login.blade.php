<!doctype html>
<html lang="en" @if (in_array(request()->cookie('theme'), ['chalk', 'den'], true)) data-theme="{{ request()->cookie('theme') }}" @endif>

<head>
    <x-head title="Log in" />
</head>

<body>
    <main class="login">
        <form class="sheet" method="post" action="/login">
            <input type="hidden" name="to" value="{{ $to }}">
            <h1 class="brand"><svg width="40" height="34" viewBox="0 0 40 34" aria-hidden="true">
                    <path class="arch" d="M4 28 a16 14 0 0 1 32 0" />
                    <circle class="light" cx="20" cy="26" r="5" />
                </svg>Keen Burrow</h1>
            <div class="field-set">
                <label for="name">Name</label>
                <input class="in" id="name" name="name" value="{{ $name }}" autocomplete="username" autofocus
                    @isset($wrong['name']) aria-invalid="true" aria-describedby="name-says" @endisset>
                @isset($wrong['name'])
                    <p class="hint" id="name-says" role="alert">{{ $wrong['name'] }}</p>
                @endisset
            </div>
            <div class="field-set">
                <label for="password">Password</label>
                <input class="in" id="password" name="password" type="password" autocomplete="current-password"
                    @isset($wrong['password']) aria-invalid="true" aria-describedby="password-says" @endisset>
                @isset($wrong['password'])
                    <p class="hint" id="password-says" role="alert">{{ $wrong['password'] }}</p>
                @endisset
            </div>
            <button class="act">Log in</button>
            @if ($demo)
                <p class="hint soft">Demo: <code>warden</code> with <code>thistledown-demo</code>, or <code>desk</code> with <code>reading-room-demo</code> to look only.</p>
            @endif
        </form>
    </main>
</body>

</html>
