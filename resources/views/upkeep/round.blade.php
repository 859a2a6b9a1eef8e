@php($clock = fn(int $at): string => Carbon\Carbon::createFromTimestamp($at, $zone)->format('D H:i'))
@php($state = $current?->state)
<x-page title="Round of upkeep" place="upkeep">
    <x-slot:say>
        @if ($current === null)
            <b>All {{ count($round->stops) }} are finished.</b>
        @elseif ($state === Burrow\Upkeep\Round\StopState::Begun)
            <b>{{ $current->box }} is under way; nothing else is touched before it works again.</b>
        @else
            <b>{{ $current->box }} is next.</b> What it answers now is written down first, and held against it afterwards.
        @endif
    </x-slot:say>
    <div class="aside">
        <div class="stack">
            @foreach ($findings as $finding)
                <x-finding :finding="$finding" />
            @endforeach
            @if ($current === null)
                <section class="sheet">
                    <h2>Over</h2>
                    <p>What was left out falls due as it did, and the plan is made anew from it.</p>
                    <form method="post" action="{{ route('round.end') }}" class="row">@csrf<button class="act" data-done>Close the round</button></form>
                </section>
            @elseif ($box === null)
                <section class="sheet">
                    <h2>{{ $current->box }} is in the record no more</h2>
                    <form method="post" action="{{ route('round.leave') }}" class="row">@csrf<input type="hidden" name="stop" value="{{ $current->box }}"><input type="hidden" name="because" value="it is in the record no more"><button class="act" data-done>Go on</button></form>
                </section>
            @elseif ($state === Burrow\Upkeep\Round\StopState::Waiting)
                <section class="sheet" aria-labelledby="next-title">
                    <h2 id="next-title"><a href="{{ route('box', $box) }}">{{ $current->box }}</a></h2>
                    <p>Planned for {{ $clock($current->planned) }}.
                        @if ($current->planned > now()->getTimestamp() + 300)
                            <b>That is later than now:</b> hours in which it is in use, or in which work may be done, are why.
                        @endif
                        @if ($current->needs !== [])
                            It needs {{ implode(', ', $current->needs) }}.
                        @endif
                    </p>
                    @if ($missed)
                        <p class="slim">@mark('warn') <span><b>Its hours went by.</b> Other boxes may be due meanwhile, and these hours may be in use.</span></p>
                        <form method="post" action="{{ route('round.replan') }}" class="row">@csrf<button class="ghost">Plan what is left anew</button></form>
                    @endif
                    <form method="post" action="{{ route('round.begin') }}" class="row">@csrf<input type="hidden" name="stop" value="{{ $current->box }}"><button class="act" data-done>Look at it, and begin</button></form>
                </section>
            @else
                @foreach ($routes as $i => $route)
                    <section class="sheet" aria-label="{{ $route->what }}">
                        <h2>{{ $i + 1 }}. {{ ucfirst($route->what) }}</h2>
                        <p>{{ $route->text }}</p>
                        @if ($route->command !== '')
                            <x-command :id="'route-' . $i" :text="$route->command"><x-slot:where>On <b>{{ $current->box }}</b>, as <b>{{ $box->user }}</b></x-slot:where></x-command>
                        @endif
                        <p class="hint"><b>Way back:</b> {{ $route->back }}</p>
                    </section>
                @endforeach
                <form class="sheet" method="post" action="{{ route('round.look') }}">
                    @csrf
                    <input type="hidden" name="stop" value="{{ $current->box }}">
                    <h2>Does it work again?</h2>
                    @php($open = array_keys(array_filter($current->before, fn($door) => $door === Burrow\Household\DoorState::Open)))
                    <p>Before, {{ $open === [] ? 'nothing was open' : 'these answered: ' . implode(', ', $open) }}{{ $current->namesBefore ? ', and it answered names' : '' }}. All of them are asked again.</p>
                    <x-field name="pasted" label="What the update printed (may stay empty)" :value="is_string(old('pasted')) ? old('pasted') : ''" :findings="$findings" area code class="paste" hint="Read for errors and for the number of packages; without it the update is by your word." />
                    <div class="row"><button class="act" data-done>Look whether it works again</button></div>
                </form>
            @endif
            @if ($current !== null && $box !== null)
                <details class="sheet working">
                    <summary><span>Leave {{ $current->box }} out</span></summary>
                    <form method="post" action="{{ route('round.leave') }}">
                        @csrf
                        <input type="hidden" name="stop" value="{{ $current->box }}">
                        <div class="field-set"><label for="because">Because</label><input class="in" id="because" name="because" @longest('because') value="{{ is_string(old('because')) ? old('because') : '' }}"></div>
                        <button class="ghost">Leave it out, with this reason</button>
                    </form>
                </details>
            @endif
        </div>
        <div class="stack">
            <section class="sheet" aria-labelledby="order-title">
                <h2 id="order-title">In this order</h2>
                <ol class="order">
                    @foreach ($round->stops as $one)
                        <li @if ($one === $current) aria-current="step" @endif>
                            @if ($one->state === Burrow\Upkeep\Round\StopState::Over) @mark('fine') @elseif ($one->state === Burrow\Upkeep\Round\StopState::Left) @mark('warn') @endif
                            <b>{{ $one->box }}</b> <span class="mono push">{{ $one->ended === null ? $clock($one->planned) : $clock($one->ended) }}</span>
                            <span class="soft advice">{{ $one->state->label() }}{{ $one->words === '' ? '' : ': ' . $one->words }}{{ $one->ended !== null && $one->began !== null ? ', ' . Burrow\Quantity\Duration::seconds($one->ended - $one->began) : '' }}</span>
                        </li>
                    @endforeach
                </ol>
                @if ($current !== null)
                    <form method="post" action="{{ route('round.end') }}" class="row">@csrf<button class="ghost small">Break the round off</button></form>
                @endif
            </section>
        </div>
    </div>
</x-page>
