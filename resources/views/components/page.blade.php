<!doctype html>
<html lang="en" @if ($theme !== '') data-theme="{{ $theme }}" @endif>

<head>
    <x-head :title="$title" />
    <meta name="htmx-config" content='{"includeIndicatorStyles":false,"allowEval":false,"selfRequestsOnly":true}'>
    <script src="/lib/htmx.min.js" defer></script>
    <script src="/js/burrow.js" defer></script>
    @if ($script !== '')
        <script src="/js/{{ $script }}.js" defer></script>
    @endif
</head>

<body @class(['guest' => !auth()->user()?->isKeeper()])>
    <a class="skip" href="#main">To the content</a>
    <x-rail :place="$place" />
    <div id="page">
        <header class="top">
            <h1>{{ $title }}</h1>
            <form class="find" action="/find" method="get" role="search">
                <label class="unseen" for="find">Find a box, port or address</label>
                <input id="find" name="q" type="search" @longest('q') placeholder="Find a box, port, address…" autocomplete="off" hx-get="/find"
                    hx-trigger="input changed delay:150ms" hx-target="#found" hx-swap="innerHTML">
                <kbd aria-hidden="true">/</kbd>
                <div id="found" class="found" aria-live="polite"></div>
            </form>
            @if ($run !== null)
                <a class="pill" href="{{ route('run', $run) }}" @if (request()->is("runs/{$run->id}")) aria-current="page" @endif>
                    @if ($countdown !== null && !$countdown->isOver())
                        <svg width="30" height="30" viewBox="0 0 30 30" aria-hidden="true">
                            <circle class="ring-back" cx="15" cy="15" r="12" />
                            <circle class="ring-front" cx="15" cy="15" r="12" stroke-dasharray="0 75.4" transform="rotate(-90 15 15)" />
                        </svg>
                        <span>{{ $run->box->name }}</span>
                        <b data-ends="{{ $countdown->end->getTimestamp() * 1000 }}"
                            data-length="{{ (int) ($countdown->expected->seconds * 1000) }}">{{ $countdown->remaining->clock() }}</b>
                    @else
                        <x-icon name="run" /> <span>{{ $run->box->name }}: step {{ $stepNumber }}</span>
                    @endif
                </a>
            @endif
            <form action="/theme" method="post" data-theme-switch>
                @csrf
                <input type="hidden" name="theme" value="{{ $theme === 'den' ? 'chalk' : 'den' }}">
                <button class="round" aria-label="Change between light and dark"><x-icon name="theme" /></button>
            </form>
            <a class="act" href="/plan">New box</a>
            @unless (auth()->user()?->isKeeper())
                <span class="pill">guest, read only</span>
            @endunless
        </header>
        @if ($tour !== null)
            <aside class="tour" aria-label="Tour">
                <p><b>{{ $tour->at + 1 }} of {{ count(App\House\Tour::STEPS) }}: {{ $tour->title() }}.</b> {{ $tour->text() }}</p>
                @unless (request()->is(ltrim(strtok($tour->where, '?'), '/') ?: '/'))
                    <a class="act small" href="{{ $tour->where }}">Go there</a>
                @endunless
                <form method="post" action="{{ route('tour.end') }}">@csrf<button class="ghost small">{{ $tour->isLast() ? 'Done' : 'End the tour' }}</button></form>
            </aside>
        @endif
        <main id="main">
            @isset($say)
                <p class="say">{{ $say }}</p>
            @endisset
            @if (session('told'))
                <p class="told" role="status">{{ session('told') }}</p>
            @endif
            {{ $slot }}
        </main>
    </div>
    <dialog id="keys" class="keys" aria-labelledby="keys-title">
        <h2 id="keys-title">Keys</h2>
        <dl class="facts">
            @foreach (['/' => 'find anything', 'n' => 'new box', 'g then a letter' => 'to a place: ' . collect($places)->map(fn($one) => "{$one->letter()} {$one->label()}")->implode(', '), 'j and k' => 'down and up through a list', 'x' => 'done, at a step', '0 to 9' => 'an answer, where one thing is asked', '?' => 'this list', 'Esc' => 'close, or leave a field'] as $key => $does)
                <dt><kbd>{{ $key }}</kbd></dt>
                <dd>{{ $does }}</dd>
            @endforeach
        </dl>
        <div class="row"><button class="ghost" data-close>Close</button></div>
    </dialog>
</body>

</html>
