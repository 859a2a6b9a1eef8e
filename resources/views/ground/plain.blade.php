<x-page title="Is it on?" place="ground">
    <x-slot:say><b>{{ $plain->sentence() }}</b> As of {{ $now->format('H:i') }}.</x-slot:say>
    <div class="two">
        <section class="sheet" aria-labelledby="things-title">
            <h2 id="things-title">What there is</h2>
            @forelse ($plain->things as $one)
                <p class="slim" data-stop tabindex="-1">@mark($one['on'] === null ? 'note' : ($one['on'] ? 'fine' : 'stop'))
                    <span><b>{{ $one['what'] }}</b> <span class="soft">({{ $one['box'] }})</span>: {{ $one['words'] }}.
                        @if ($one['on'] !== false && $one['tell'] !== '')
                            <span class="soft">You can tell: {{ $one['tell'] }}.</span>
                        @endif
                    </span></p>
            @empty
                <p>Nothing is set up yet.</p>
            @endforelse
        </section>
        <div class="stack">
            <section class="sheet" aria-labelledby="gone-title">
                <h2 id="gone-title">When the internet seems gone</h2>
                <ol class="steps-list">
                    @foreach ($plain->steps as $step)
                        <li><b>{{ $step['what'] }}{{ str_ends_with($step['what'], '?') ? '' : '.' }}</b> {{ $step['then'] }}</li>
                    @endforeach
                </ol>
                <p><a href="{{ route('filter.lights-out') }}">Lights out: names and internet by hand</a></p>
            </section>
            <section class="sheet" aria-labelledby="tell-title">
                <h2 id="tell-title">Whom to tell</h2>
                <p>{{ $contact === '' ? 'Nobody wrote down who looks after this.' : $contact }}
                    @if ($contact === '' && auth()->user()->isKeeper())
                        <a href="{{ route('settings') }}#contact">Write it into the settings</a>
                    @endif
                </p>
                <p class="soft">Say what you wanted to do, since when it does not work, and whether it is one machine or all of them.</p>
            </section>
        </div>
    </div>
</x-page>
