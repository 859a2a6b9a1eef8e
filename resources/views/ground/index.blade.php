<x-page :title="$network->name" place="ground" script="ground">
    <x-slot:say><b>{{ $page->lead }}</b> {{ $page->rest }}</x-slot:say>
    <div class="aside">
        <div>
            <div class="picture" tabindex="0" aria-label="Cross-section, may be scrolled" data-narrow="{{ request()->fullUrlWithQuery(['narrow' => 1]) }}">
                <x-ground :picture="$page->picture" :ids="$page->ids" :network="$network" :networks="$page->networks" />
            </div>
            @if ($page->all > 8 || $page->networks > 1)
                <form class="row choose" method="get" action="/">
                    <label for="show" class="unseen">Which boxes</label>
                    <select class="in" id="show" name="show">@foreach ($page->options as $value => $words)<option value="{{ $value }}" @selected($value === $choice->show)>{{ $words }}</option>@endforeach</select>
                    <label for="order" class="unseen">In which order</label>
                    <select class="in" id="order" name="order">@foreach (['' => 'as in the record', 'job' => 'like jobs together', 'power' => 'by their power', ...($page->networks > 1 ? ['network' => 'by their network'] : [])] as $value => $words)<option value="{{ $value }}" @selected($value === $choice->by)>{{ $words }}</option>@endforeach</select>
                    <button class="ghost small">Show</button>
                    @unless ($choice->isAll())
                        <span class="soft">{{ $page->of }} of {{ $page->all }}</span>
                    @endunless
                </form>
            @endif
            <details class="working">
                <summary><span>The same as a table</span></summary>
                <div class="scroll">
                    <x-list :heads="['Box', $page->networks > 1 ? 'Network and address' : 'Address', 'State', 'Job', 'Reached from outside', 'Depends on']">
                        @foreach ($boxes as $one)
                            <tr>
                                <td><a href="/boxes/{{ $page->ids[$one->name] }}">{{ $one->name }}</a></td>
                                <td>{{ $one->network }} <span class="mono">{{ $one->address }}</span></td>
                                <td>{{ $one->state->value }}</td>
                                <td>{{ $one->note }}</td>
                                <td>{{ implode(', ', $one->openings) ?: 'no' }}</td>
                                <td>{{ implode(', ', array_map(fn($name, $what) => "{$name} for {$what}", array_keys($one->dependsOn), $one->dependsOn)) ?: '—' }}</td>
                            </tr>
                        @endforeach
                    </x-list>
                </div>
                <x-pages :of="$boxes" />
            </details>
        </div>
        <section class="stack" aria-labelledby="needs">
            <p class="row"><a class="ghost small" href="{{ route('plain') }}">Is it on?</a> <a class="ghost small" href="{{ route('without') }}">What if one were off?</a>@if (auth()->user()->isKeeper()) <a class="ghost small" href="{{ route('then') }}">Back then</a>@endif</p>
            @if ($page->all === 0 && auth()->user()->isKeeper())
                <p>Three ways to begin:</p>
                <ul class="plain-links">
                    <li><a class="act" href="/plan" data-done>Plan a box</a> before you buy it</li>
                    <li><a class="ghost" href="{{ route('addresses.find') }}">Take in what stands there already</a></li>
                    <li><a class="ghost" href="{{ route('tour') }}">Look round on the bench, ten minutes</a></li>
                </ul>
            @endif
            <h2 id="needs">What needs you</h2>
            @forelse ($needs as $finding)
                {{-- The first word of what is said of a silent box is its name. --}}
                @php($of = $finding->code === 'upkeep.silent' ? $page->silent[lcfirst(strtok($finding->found, ' '))] ?? null : null)
                <x-finding :finding="$finding" data-stop tabindex="-1" :href="$of === null ? null : route('box.diagnosis', $of)" link="Find out why" />
            @empty
                <p class="soft">Nothing. Have a cup of tea.</p>
            @endforelse
            <x-pages :of="$needs" back="Graver ones" on="And what is less grave" />
        </section>
    </div>
</x-page>
