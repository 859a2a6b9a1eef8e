<!doctype html>
<html lang="en" @if (in_array(request()->cookie('theme'), ['chalk', 'den'], true)) data-theme="{{ request()->cookie('theme') }}" @endif>

<head>
    <x-head title="Log in" />
</head>

<body>
    <main class="login">
        <form class="sheet" method="post" action="/login">
            @csrf
            <h1 class="brand"><svg width="40" height="34" viewBox="0 0 40 34" aria-hidden="true">
                    <path class="arch" d="M4 28 a16 14 0 0 1 32 0" />
                    <circle class="light" cx="20" cy="26" r="5" />
                </svg>Keen Burrow</h1>
            <div class="field-set">
                <label for="name">Name</label>
                <input class="in" id="name" name="name" value="{{ old('name') }}" autocomplete="username" autofocus
                    @error('name') aria-invalid="true" aria-describedby="name-says" @enderror>
                @error('name')
                    <p class="hint" id="name-says">{{ $message }}</p>
                @enderror
            </div>
            <div class="field-set">
                <label for="password">Password</label>
                <input class="in" id="password" name="password" type="password" autocomplete="current-password"
                    @error('password') aria-invalid="true" aria-describedby="password-says" @enderror>
                @error('password')
                    <p class="hint" id="password-says">{{ $message }}</p>
                @enderror
            </div>
            <button class="act">Log in</button>
            @if ($demo)
                <p class="hint soft">Demo: <code>warden</code> with <code>thistledown-demo</code>, or <code>desk</code> with <code>reading-room-demo</code> to look only.</p>
            @endif
        </form>
    </main>
</body>

</html>
