@php($o = fn(string $field, string $else = ''): string => is_string(old($field)) ? old($field) : $else)
<x-page title="Listen blind" place="journal">
    <x-slot:say><b>{{ $open === null ? 'Do you hear it, or do you know it?' : "{$open->trials()} times, {$names[0]} (A) or {$names[1]} (B)." }}</b> One switches by a list, the other writes down what was heard and sees nothing of it.</x-slot:say>
    @if (session('blind_wrong'))
        <p class="slim" role="alert">@mark('stop') <span>{{ session('blind_wrong') }}</span></p>
    @endif
    <div class="two">
        @if ($open === null)
            <form class="sheet" method="post" action="{{ route('blind.begin') }}">
                @csrf
                <div class="field-set"><label for="thing_a">One is</label><input class="in" id="thing_a" name="thing_a" @longest('thing_a') value="{{ $o('thing_a') }}" placeholder="the new converter"></div>
                <div class="field-set"><label for="thing_b">the other is</label><input class="in" id="thing_b" name="thing_b" @longest('thing_b') value="{{ $o('thing_b') }}" placeholder="the built-in output"></div>
                <div class="field-set"><label for="trials">How many times</label><input class="in num" id="trials" name="trials" inputmode="numeric" @longest('trials') value="{{ $o('trials', '16') }}"></div>
                <div class="row"><button class="act" data-done>Draw the list</button></div>
            </form>
            <section class="sheet" aria-labelledby="rules-title">
                <h2 id="rules-title">So that it counts</h2>
                <ul>
                    <li>The same piece, and the same loudness: 1 dB more sounds better to everybody. Set it with a meter.</li>
                    <li>Settle before how many times; whoever stops when it looks good has measured nothing.</li>
                    <li>The switching takes equally long each time, also when nothing is switched.</li>
                </ul>
                <x-list :heads="['Times', 'Right ones that are seldom chance']">
                    @foreach ([5, 8, 10, 12, 16, 20, 30] as $trials)
                        <tr><td class="mono">{{ $trials }}</td><td class="mono">{{ Burrow\Journal\Compare\Blind::needed($trials) }}</td></tr>
                    @endforeach
                </x-list>
            </section>
        @elseif ($helper)
            <section class="sheet" aria-labelledby="list-title">
                <h2 id="list-title">For whoever switches alone</h2>
                <ol class="blind-list">
                    @foreach (str_split($open->played) as $one)
                        <li><b class="mono">{{ $one }}</b> {{ $one === 'A' ? $names[0] : $names[1] }}</li>
                    @endforeach
                </ol>
                <p class="row"><a class="ghost" href="{{ route('journal.blind') }}">Hide the list</a></p>
            </section>
        @else
            <form class="sheet" method="post" action="{{ route('blind.judge') }}">
                @csrf
                <div class="field-set"><label for="heard">What was heard, one letter each time</label><input class="in code" id="heard" name="heard" @longest('heard') value="{{ $o('heard') }}" autocomplete="off" placeholder="{{ str_repeat('AB', intdiv($open->trials(), 2)) }}"></div>
                <div class="row"><button class="act" data-done>How many were right?</button></div>
            </form>
            <section class="sheet">
                <h2>For whoever switches</h2>
                <p>The listener looks away. The list is shown on this screen, or printed.</p>
                <p class="row"><a class="ghost" href="{{ route('journal.blind', ['helper' => 1]) }}">Show the list</a></p>
            </section>
        @endif
    </div>
</x-page>
