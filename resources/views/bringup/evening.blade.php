@php($first = $evening->first())
@php($breaks = $evening->breaks())
<x-page :title="count($desk->pages) <= 1 ? 'This evening' : 'Bringing up ' . count($desk->pages) . ' boxes'" place="boxes">
    <x-slot:say>
        @if ($desk->pages === [])
            <b>Nothing is being brought up.</b> Plan a box, write its card and begin; two or three together take much less than one after another.
        @else
            <b>All over by {{ $evening->finish()->format('H:i') }}{{ $evening->finish()->format('Y-m-d') === $evening->now->format('Y-m-d') ? '' : ' on ' . $evening->finish()->format('j F') }}{{ $evening->lateFinish() > $evening->finish()->modify('+1 minute') ? ', nine times in ten by ' . $evening->lateFinish()->format('H:i') : '' }}.</b>
            {{ Burrow\Quantity\Duration::seconds($evening->timetable->hands()) }} of your hands;
            @if (count($desk->pages) > 1)
                one after another it would take until {{ $evening->at($evening->timetable->oneAfterAnother())->format('H:i') }}.
            @endif
            @if ($breaks !== [])
                Your hands are free from {{ $evening->at($breaks[0][0])->format('H:i') }} to {{ $evening->at($breaks[0][1])->format('H:i') }}.
            @endif
        @endif
    </x-slot:say>
    @if ($desk->pages === [])
        <x-empty title="No run is open" href="/plan" link="New box">Runs that are begun stand here together, with one pair of hands.</x-empty>
    @else
        <div class="aside">
            <div>
                <div class="picture evening" tabindex="0" aria-label="Timetable, may be scrolled">
                    <svg viewBox="0 0 {{ $picture::WIDTH }} {{ $picture->height }}" role="img" aria-label="Timetable of {{ implode(', ', $desk->names()) }}; the same stands in the table below">
                        <defs>
                            <pattern id="by-itself" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><rect width="2.500" height="7" class="e-hatch" /></pattern>
                        </defs>
                        @foreach ($picture->marks as $mark)
                            <path class="e-mark" d="M{{ round($mark['x'], 1) }} 26V{{ $picture->height }}" />
                            <text class="e-time" x="{{ round($mark['x'], 1) }}" y="18" text-anchor="middle">{{ $mark['label'] }}</text>
                        @endforeach
                        @foreach ($picture->lanes as $lane)
                            <rect class="e-lane {{ $loop->first ? 'hands' : '' }}" x="124" y="{{ $lane['y'] + 4 }}" width="772" height="{{ $picture::LANE - 10 }}" rx="12" />
                            <text class="e-name" x="4" y="{{ $lane['y'] + 25 }}">{{ $lane['name'] }}</text>
                            <text class="e-under" x="4" y="{{ $lane['y'] + 42 }}">{{ $lane['under'] }}</text>
                            @foreach ($lane['bars'] as $bar)
                                <rect class="e-bar {{ $bar->kind }}" x="{{ round($bar->x, 1) }}" y="{{ $lane['y'] + 11 }}" width="{{ round($bar->width, 1) }}" height="32" rx="{{ $bar->width > 10 ? 4 : 1 }}"><title>{{ $bar->told }}</title></rect>
                                @if ($bar->label !== '')
                                    <text class="e-label {{ $bar->kind }}" x="{{ round($bar->x + $bar->width / 2, 1) }}" y="{{ $lane['y'] + 32 }}" text-anchor="middle">{{ $bar->label }}</text>
                                @endif
                            @endforeach
                        @endforeach
                        <path class="e-now" d="M132 8V{{ $picture->height }}" />
                        <text class="e-time now" x="128" y="18" text-anchor="end">now {{ $evening->now->format('H:i') }}</text>
                    </svg>
                </div>
                <p class="legend"><span><i class="run e-solid"></i>your hands</span><span><i class="run e-striped"></i>goes on by itself</span><span><i class="run e-free"></i>hands free</span></p>
                <details class="working">
                    <summary><span>The same as a table</span></summary>
                    <div class="scroll">
                        <x-list :heads="['From', 'To', 'Box', 'Step', '']">
                            @foreach ($evening->timetable->slots as $slot)
                                <tr>
                                    <td class="mono">{{ $evening->at($slot->start)->format('H:i') }}</td>
                                    <td class="mono">{{ $evening->at($slot->end())->format('H:i') }}</td>
                                    <td><a href="{{ $desk->pages[$slot->run] }}">{{ $slot->run }}</a></td>
                                    <td>{{ $desk->title($slot) }}</td>
                                    <td>{{ $slot->task->hands > 0 ? Burrow\Quantity\Duration::seconds($slot->task->hands) . ' by hand' : 'by itself' }}</td>
                                </tr>
                            @endforeach
                        </x-list>
                    </div>
                </details>
            </div>
            <div class="stack">
                @if ($first !== null)
                    <section class="sheet now-hands" aria-labelledby="now-title">
                        <span class="kind"><x-icon name="hand" /> {{ $first->start < 30 ? 'now, for your hands' : 'your hands next, at ' . $evening->at($first->start)->format('H:i') }}</span>
                        <h2 id="now-title">{{ $first->run }}: {{ lcfirst($desk->title($first)) }}</h2>
                        <p>About {{ Burrow\Quantity\Duration::seconds($first->task->hands) }}.
                            @if ($evening->then() !== null)
                                Then {{ $evening->then()->run }}, {{ lcfirst($desk->title($evening->then())) }}, at {{ $evening->at($evening->then()->start)->format('H:i') }}.
                            @endif
                        </p>
                        <div class="row"><a class="act" href="{{ $desk->pages[$first->run] }}" data-done>Go to this step</a></div>
                    </section>
                @endif
                @if ($evening->waits() !== [])
                    <section class="sheet" aria-labelledby="meanwhile">
                        <h2 id="meanwhile">Meanwhile, without you</h2>
                        @foreach ($evening->waits() as $slot)
                            <p class="row spread"><span><b>{{ $slot->run }}</b>, {{ lcfirst($desk->title($slot)) }}</span>
                                <b class="mono" data-ends="{{ $evening->at($slot->end())->getTimestamp() * 1000 }}" data-length="{{ (int) ($slot->task->wait * 1000) }}">{{ Burrow\Quantity\Duration::seconds($slot->task->wait)->clock() }}</b></p>
                        @endforeach
                    </section>
                @endif
                @if ($desk->waits() !== [])
                    <section class="sheet" id="longer" aria-labelledby="longer-title">
                        <h2 id="longer-title">If a wait takes longer</h2>
                        <form method="get" action="{{ route('evening') }}#longer">
                            <div class="field-set"><label for="longer-wait">Which</label>
                                <select class="in" id="longer-wait" name="longer">@foreach ($desk->waits() as $value => $words)<option value="{{ $value }}" @selected($value === $wait)>{{ $words }}</option>@endforeach</select></div>
                            <div class="row"><div class="field-set grow"><label for="minutes">by minutes</label><input class="in code" id="minutes" name="minutes" value="{{ $minutes }}" @longest('minutes') inputmode="numeric"></div>
                                <button class="ghost">Work it out</button></div>
                        </form>
                        @if ($longer !== null)
                            <p class="after"><b>{{ $longer->later < 60 ? 'Still over by ' . $evening->finish()->format('H:i') . '.' : 'Over by ' . $evening->at($evening->timetable->finish() + $longer->later)->format('H:i') . ', ' . Burrow\Quantity\Duration::seconds($longer->later) . ' later.' }}</b>
                                {{ $longer->spare === null ? 'The end does not move within the hour.' : ($longer->spare === 0 ? 'Every minute of it counts.' : 'From ' . ($longer->spare + 1) . ' min on the end moves too.') }}
                                @php($next = (new Burrow\BringUp\Evening\Evening($longer->then, $evening->now))->breaks())
                                {{ $next === [] ? 'Your hands are never free for long then.' : 'Your hands are free from ' . $evening->at($next[0][0])->format('H:i') . ' to ' . $evening->at($next[0][1])->format('H:i') . ' then.' }}</p>
                        @elseif ($wait !== '')
                            <p class="hint">That wait is over, or was none.</p>
                        @endif
                    </section>
                @endif
                <section class="sheet" aria-labelledby="by-title">
                    <h2 id="by-title">Done by</h2>
                    <form method="get" action="{{ route('evening') }}" class="row">
                        <div class="field-set grow"><label for="by">All is to be over at</label><input class="in code" id="by" name="by" @longest('by') value="{{ $by }}" placeholder="22:30" inputmode="numeric" autocomplete="off" aria-describedby="by-said"></div>
                        <button class="ghost">When to begin</button>
                    </form>
                    <p id="by-said">
                        @if ($latest !== null)
                            {{ $latest < $evening->now ? 'That cannot be reached any more: to be over by ' . $by . ' it had to begin at ' . $latest->format('H:i') . '.' : 'Begin at ' . $latest->format('H:i') . ' at the latest, without a minute to spare.' }}
                        @elseif ($by !== '')
                            “{{ $by }}” is no time of the clock. Write it as 22:30.
                        @endif
                    </p>
                    @if (auth()->user()->isKeeper())
                        <form method="post" action="{{ route('evening.walk') }}" class="row">
                            @csrf
                            <div class="field-set grow"><label for="walk">Minutes from the desk to a box</label><input class="in code" id="walk" name="walk" value="{{ $desk->walk }}" @longest('walk') inputmode="numeric" autocomplete="off"></div>
                            <button class="ghost">Keep</button>
                        </form>
                        <p class="hint">Boxes on one strip or switch stand together; fewer ways are walked.</p>
                    @endif
                    <p><a href="{{ route('evening.calendar') }}">When you are needed, as a calendar file</a></p>
                </section>
            </div>
        </div>
    @endif
</x-page>
