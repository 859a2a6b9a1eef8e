@php($clock = fn(int $at): string => Carbon\Carbon::createFromTimestamp($at, $zone)->format('D H:i'))
@php($plan = $page?->plan)
<x-page title="Upkeep" place="upkeep">
    <x-slot:say><b>{{ !$told ? 'Which box waits for an update is told to keepers only.' : ($late === 0 ? 'Nothing is overdue.' : ($late === 1 ? 'One update is overdue.' : "{$late} updates are overdue.")) }}</b>
        @if ($plan !== null && $plan->doings !== [])
            {{ count($plan->doings) === 1 ? 'One fits' : ucfirst(Burrow\Text\Words::number(count($plan->doings))) . ' fit' }} from {{ $clock($plan->doings[0]->start) }} on; all is over by {{ $clock((int) $plan->finish()) }}{{ $plan->left === [] ? '' : ', and ' . count($plan->left) . (count($plan->left) === 1 ? ' does' : ' do') . ' not fit' }}.
        @else
            Each job has its own cadence; a box follows the shortest of its jobs.
        @endif
    </x-slot:say>
    @if ($plan !== null && $page->picture !== null)
        @php($picture = $page->picture)
        <div class="aside">
            <div>
                <div class="picture week" tabindex="0" aria-label="Picture of the week, may be scrolled">@include('upkeep.week')</div>
                <p class="legend"><span><i class="u do"></i>update</span><span><i class="u dark"></i>restart, away</span>@foreach ($picture->textures as $i => $what)<span><svg width="18" height="14" aria-hidden="true"><rect width="18" height="14" rx="3" class="u-soil" /><rect width="18" height="14" rx="3" class="u-tex t{{ $i }}" /></svg>{{ $what }}</span>@endforeach</p>
                <details class="working"><summary><span>The same as a table</span></summary>
                    <div class="scroll"><x-list :heads="['Box', 'From', 'Away from', 'Over', 'Because']">
                        @foreach ($plan->doings as $one)
                            <tr><td>{{ $one->box->name }}</td><td class="whole">{{ $clock($one->start) }}</td><td class="whole">{{ $one->box->restart > 0 ? $clock($one->restarts()) : 'it stays' }}</td><td class="whole">{{ $clock($one->end()) }}</td><td>{{ $page->because[$one->box->name] ?: 'as early as its hours let it' }}</td></tr>
                        @endforeach
                        @foreach ($plan->left as $one)
                            <tr><td>{{ $one['box'] }}</td><td colspan="4">does not fit: {{ $one['why'] }}</td></tr>
                        @endforeach
                    </x-list></div>
                </details>
            </div>
            <div class="stack">
                <section class="sheet" aria-labelledby="plan-title">
                    <h2 id="plan-title">{{ $plan->doings === [] ? 'Nothing fits' : 'In this order' }}</h2>
                    <ol class="order">
                        @foreach (array_slice($plan->doings, 0, 12) as $one)
                            <li><b>{{ $one->box->name }}</b> <span class="mono push">{{ $clock($one->start) }} · {{ (int) ceil($one->box->seconds() / 60) }} min</span>
                                @if ($page->because[$one->box->name] !== '')<span class="soft advice">{{ $page->because[$one->box->name] }}</span>@endif</li>
                        @endforeach
                    </ol>
                    <form method="get" action="{{ route('upkeep') }}" class="row">
                        <label for="through" class="unseen">Box that you work through</label>
                        <select id="through" name="through" class="in"><option value="">I work through none of them</option>@foreach ($names as $name)<option @selected($name === $through)>{{ $name }}</option>@endforeach</select>
                        <button class="ghost small">Plan again</button>
                    </form>
                    @if ($round)
                        <div class="row"><a class="act" href="{{ route('upkeep.round') }}" data-done>The round is under way</a></div>
                    @elseif ($plan->doings !== [])
                        <form method="post" action="{{ route('round.start') }}" class="row">@csrf<input type="hidden" name="through" value="{{ $through }}"><button class="act" data-done>Go through them</button></form>
                    @endif
                    <div class="row"><a class="ghost small" href="{{ route('upkeep.calendar', array_filter(['through' => $through])) }}">As a calendar file</a></div>
                    <p class="hint">10 minutes an update and 2 to look afterwards are common practice; the restart is its board’s.</p>
                </section>
                @foreach (array_slice($plan->findings->list, 0, 4) as $finding)
                    <x-finding :finding="$finding" />
                @endforeach
                @php($urgent = collect($plan->boxes)->sortByDesc(fn($one) => $one->risk->score())->first())
                @if ($urgent !== null)
                    <x-working :working="$urgent->risk->working($urgent->name)" />
                @endif
            </div>
        </div>
    @endif
    @if ($told)
        <section class="sheet below scroll" id="care" tabindex="0" aria-labelledby="care-title">
            <h2 id="care-title">Due beside updates</h2>
            @if ($page->cares === [])
                <p class="soft">Nothing has its day. A fan’s filter, a battery, a look at the rack: write it down, and it comes back by itself.</p>
            @else
                <x-list :heads="['When', 'What', 'Box', 'From', '']">
                    @foreach ($page->cares as $one)
                        <tr><td class="whole">@if ($one->daysLeft < 0)@mark('warn')@endif {{ $one->daysLeft < 0 ? -$one->daysLeft . ($one->daysLeft === -1 ? ' day late' : ' days late') : ($one->daysLeft === 0 ? 'today' : $one->date->format('j M Y')) }}</td><td>{{ ucfirst($one->what) }}</td><td>{{ $one->box }}</td><td class="soft">{{ $one->evidence }}</td>
                            <td class="whole">@if ($one->id > 0)<form class="inline" method="post" action="{{ route('care.done') }}">@csrf<button class="ghost small" name="care" value="{{ $one->id }}" aria-label="Done today: {{ $one->what }}">Done today</button></form> <form class="inline" method="post" action="{{ route('care.away') }}">@csrf<button class="link" name="care" value="{{ $one->id }}" aria-label="Take it out: {{ $one->what }}">Take it out</button></form>@endif</td></tr>
                    @endforeach
                </x-list>
            @endif
            @php($c = fn(string $field): string => is_string(old($field)) ? old($field) : '')
            <details class="more" @if ($careJudged->blocks()) open @endif>
                <summary>Write something down that comes back</summary>
                <form method="post" action="{{ route('care.add') }}" class="port-form">
                    @csrf
                    <x-field name="care_what" label="What is done" :value="$c('care_what')" :findings="$careJudged" autocomplete="off" placeholder="clean the fan’s filter" />
                    <x-choice name="care_box" label="Box" :options="['' => 'of none'] + array_combine($names, $names)" :chosen="$c('care_box')" :findings="$careJudged" />
                    <x-field name="care_every" label="Every … days" :value="$c('care_every')" :findings="$careJudged" code inputmode="numeric" autocomplete="off" />
                    <x-field name="care_done" label="Done last on" :value="$c('care_done')" :findings="$careJudged" code autocomplete="off" placeholder="2026-11-01" />
                    <div class="row"><button class="act">Write it down</button></div>
                </form>
            </details>
        </section>
        <section class="sheet below" id="hours" aria-labelledby="hours-title">
            <h2 id="hours-title">The rhythm of the house</h2>
            @if ($page->hours !== [])
                <ul class="plain-links">
                    @foreach ($page->hours as $one)
                        <li>{{ $one->kind === 'busy' ? 'In use' : 'Work may be done' }}: <b>{{ $one->what }}</b>, {{ $one->days === [] ? 'every day' : implode(', ', array_map(ucfirst(...), $one->days)) }} {{ $one->from }}–{{ $one->to }}, {{ $one->boxes === [] ? 'all boxes' : implode(', ', $one->boxes) }}
                            <form method="post" action="{{ route('upkeep.no-hours', $one->id) }}" class="inline">@csrf<button class="link" aria-label="Take it out: {{ $one->what }}">Take it out</button></form></li>
                    @endforeach
                </ul>
            @else
                <p class="soft">Nobody said yet when boxes are in use, so any hour will do.</p>
            @endif
            @php($o = fn(string $field): string => is_string(old($field)) ? old($field) : '')
            @php($l = fn(string $field): array => is_array(old($field)) ? old($field) : [])
            <details class="more" @if ($judged->blocks()) open @endif>
                <summary>Say when</summary>
                <form method="post" action="{{ route('upkeep.hours') }}" class="port-form">
                    @csrf
                    <x-choice name="hours_kind" label="In these hours" :options="['busy' => 'boxes are in use: keep out', 'window' => 'work may be done: keep to them']" :chosen="$o('hours_kind')" />
                    <x-field name="hours_what" label="What happens" :value="$o('hours_what')" :findings="$judged" placeholder="film evening" />
                    <x-field name="hours_from" label="From" :value="$o('hours_from')" :findings="$judged" code placeholder="19:00" />
                    <x-field name="hours_to" label="To" :value="$o('hours_to')" :findings="$judged" code placeholder="21:30" />
                    <fieldset class="ticks"><legend>Days (none: every day)</legend>@foreach (Burrow\Household\Hours::DAYS as $day)<label><input type="checkbox" name="hours_days[]" value="{{ $day }}" @checked(in_array($day, $l('hours_days'), true))> {{ ucfirst($day) }}</label> @endforeach</fieldset>
                    <fieldset class="ticks"><legend>Boxes (none: all)</legend>@foreach (array_slice($names, 0, 40) as $name)<label><input type="checkbox" name="hours_boxes[]" value="{{ $name }}" @checked(in_array($name, $l('hours_boxes'), true))> {{ $name }}</label> @endforeach</fieldset>
                    <div class="row"><button class="act">Write it down</button></div>
                </form>
            </details>
        </section>
    @endif
    @if ($again !== [])
        <section class="sheet below">
            <h2>Steps with a day</h2>
            @foreach ($again as [$step, $title])
                <form class="row" method="post" action="{{ route('step.again', $step) }}">@csrf<time class="mono" datetime="{{ $step->due_on->format('Y-m-d') }}">{{ $step->due_on->format('D Y-m-d') }}</time>
                    <span><a href="{{ route('run', $step->run_id) }}" data-stop>{{ $step->run->box->called() }}</a>: {{ $title }}. {{ ucfirst((string) $step->outcome) }}.
                        <b>{{ $step->due_on->isPast() ? 'Its day has come.' : '' }}</b></span>
                    <button class="ghost">Looked after</button></form>
            @endforeach
        </section>
    @endif
    @if ($doubts->isNotEmpty())
        <section class="sheet below">
            <h2>Steps that looked different</h2>
            @foreach ($doubts as $doubt)
                <form class="row" method="post" action="{{ route('doubt.answered', $doubt) }}">@csrf<span><b>{{ $doubt->title }}</b>
                        {{ $doubt->box === null ? '' : 'on ' . $doubt->box->called() }}, {{ $doubt->created_at->format('Y-m-d') }}: {{ $doubt->saw }}</span>
                    <button class="ghost" data-stop>Looked after</button></form>
            @endforeach
        </section>
    @endif
    @if ($told && $dues->isEmpty() && $again === [] && $doubts->isEmpty())
        <x-empty title="Nothing to look after yet" href="/plan" link="New box">Due dates appear with the first box in service.</x-empty>
    @else
        <div class="stack">
            @foreach ($dues as $id => $due)
                <section class="sheet">
                    <div class="row">
                        <h2><a href="{{ route('box', $id) }}" data-stop>{{ $due->box }}</a></h2> <time datetime="{{ $due->date->format('Y-m-d') }}"
                            class="mono">{{ $due->date->format('D Y-m-d') }}</time>
                    </div>
                    <x-slim :finding="$due->finding()" />
                    <x-working :working="$due->working()" />
                    @if ($due->isOverdue() || $due->isSoon())
                        <x-command :id="'upgrade-' . $id" text="sudo apt-get update && sudo apt-get --yes full-upgrade"><x-slot:where>On <b>{{ $due->box }}</b>, as
                                <b>{{ $users[$id] }}</b></x-slot:where></x-command>
                        <form class="row" method="post" action="{{ route('box.updated', $id) }}">@csrf<button class="ghost">Updated it today</button></form>
                    @endif
                </section>
            @endforeach
            <x-pages :of="$dues" />
        </div>
    @endif
</x-page>
