@php($number = fn(int|float $n): string => number_format($n, 0, '.', ' '))
@php($old = fn(string $field): string => is_string(old($field)) ? old($field) : '')
<x-page title="Filter workbench" place="addresses">
    <x-slot:say>
        @if ($result !== null && $result['queries'] > 0)
            <b>{{ $number($result['refused']) }} of {{ $number($result['queries']) }} questions would be refused, {{ $result['share'] }} %.</b>
            {{ $result['smallest'] === [] ? '' : (count($result['smallest']) > 3 ? count($result['smallest']) . ' lists' : implode(' and ', $result['smallest'])) . (count($result['smallest']) === 1 ? ' does' : ' do') . ' 95 % of it' . (count($result['smallest']) < count($result['order']) ? ', the others hardly anything.' : '.') }}
        @else
            <b>Choose lists by what your house asked.</b> {{ $hasLog ? 'The log is there; add a list.' : 'Bring a log of your resolver and some lists; nothing of it leaves this machine.' }}
        @endif
    </x-slot:say>
    @if (is_int($at) && $at >= 0)
        <form method="post" action="{{ route('filter.compare') }}" class="sheet row">@csrf<p>Being worked out: {{ $number($at) }} lines of the log so far.</p><button class="ghost small" name="end" value="1">End it</button> <a class="ghost small" href="{{ route('filter') }}">Look again</a></form>
    @endif
    <div class="aside">
        <div>
            @if ($result !== null && $result['hours'] !== [])
                @php($picture = Burrow\Filter\Draw\DayPicture::of($result['hours']))
                <div class="picture" tabindex="0" aria-label="Questions over the day, may be scrolled">
                    <svg viewBox="0 0 {{ $picture::WIDTH }} {{ $picture::HEIGHT }}" role="img" aria-label="Questions by hour: answered above the turf, refused below">
                        <rect class="g-sky" width="{{ $picture::WIDTH }}" height="{{ $picture->turf }}" />
                        <rect class="w-tunnel" y="{{ $picture->turf }}" width="{{ $picture::WIDTH }}" height="{{ $picture::HEIGHT - $picture->turf }}" />
                        @foreach ($picture->bars as $bar)
                            <rect class="q-yes" x="{{ $bar['x'] }}" y="{{ $picture->turf - $bar['up'] }}" width="18" height="{{ $bar['up'] }}" rx="3" />
                            <rect class="q-no" x="{{ $bar['x'] }}" y="{{ $picture->turf }}" width="18" height="{{ $bar['down'] }}" rx="3" />
                        @endforeach
                        <path class="q-turf" d="M0 {{ $picture->turf }} H{{ $picture::WIDTH }}" />
                        @foreach ([0, 3, 6, 9, 12, 15, 18, 21] as $hour)
                            <text class="q-hour" x="{{ $picture::x($hour) }}" y="206">{{ sprintf('%02d', $hour) }}</text>
                        @endforeach
                        <text class="q-hour" x="12" y="206">hour</text>
                    </svg>
                </div>
                @if (! $findings->isEmpty())
                    <div class="stack said">
                        @foreach ($findings as $finding)
                            <x-finding :finding="$finding" />
                        @endforeach
                    </div>
                @endif
                <p class="legend"><span><i class="q yes"></i>answered {{ $number($result['queries'] - $result['refused']) }}</span><span><i class="q no"></i>refused {{ $number($result['refused']) }}</span></p>
            @endif
            @if ($result !== null && ($result['clients'] ?? []) !== [])
                <details class="sheet more"><summary>By client and by hour</summary>
                    <div class="two">
                        <table class="list"><thead><tr><th scope="col">Client</th><th scope="col">asked</th><th scope="col">refused</th><th scope="col">%</th></tr></thead><tbody>
                            @foreach (array_slice($result['clients'], 0, 20) as $one)
                                <tr><td class="mono">{{ $one['client'] }}</td><td class="mono">{{ $number($one['total']) }}</td><td class="mono">{{ $number($one['refused']) }}</td><td class="mono">{{ round(100 * $one['refused'] / max(1, $one['total']), 1) }}</td></tr>
                            @endforeach
                        </tbody></table>
                        <table class="list"><thead><tr><th scope="col">Hour</th><th scope="col">asked</th><th scope="col">refused</th><th scope="col">%</th></tr></thead><tbody>
                            @foreach ($result['hours'] as $one)
                                <tr><td class="mono">{{ sprintf('%02d', $one['hour']) }}</td><td class="mono">{{ $number($one['total']) }}</td><td class="mono">{{ $number($one['refused']) }}</td><td class="mono">{{ round(100 * $one['refused'] / max(1, $one['total']), 1) }}</td></tr>
                            @endforeach
                        </tbody></table>
                    </div>
                </details>
            @endif
            <section class="sheet scroll" id="lists" aria-labelledby="lists-title">
                <h2 id="lists-title">Lists, from the one that adds most</h2>
                @if ($result !== null && $result['order'] !== [])
                    @php($most = max(1, ...array_map(fn($o) => $o['sum'], $result['order'])))
                    <table class="list filters">
                        <thead><tr><th scope="col">List</th><th scope="col">Share of the questions</th><th scope="col">alone %</th><th scope="col">adds %</th><th scope="col">sum %</th><th scope="col"></th></tr></thead>
                        <tbody>
                            @foreach ($result['order'] as $one)
                                @php($list = $lists[$one['name']] ?? null)
                                @php($bar = Burrow\Filter\Draw\ShareBar::of($one, $most))
                                <tr>
                                    <td><b>{{ $one['name'] }}</b> <span class="soft advice">{{ $number($one['names']) }} names{{ $one['invalid'] > 0 ? ", {$one['invalid']} " . ($one['invalid'] === 1 ? 'line' : 'lines') . ' not read' : '' }}{{ $list?->because ? "; {$list->because}" : '' }}{{ $list?->names_before && abs($list->names - $list->names_before) * 2 > $list->names_before ? '; was ' . $number($list->names_before) : '' }}</span></td>
                                    <td><svg width="270" height="22" role="img" aria-label="alone {{ $one['alone'] }} percent, adds {{ $one['adds'] }}"><rect class="q-again" x="{{ $bar->again }}" y="3" width="{{ $bar->againWide }}" height="16" /><rect class="q-adds" x="{{ $bar->adds }}" y="3" width="{{ $bar->addsWide }}" height="16" /></svg></td>
                                    <td class="mono">{{ $one['alone'] }}</td><td class="mono"><b>+{{ $one['adds'] }}</b></td><td class="mono">{{ $one['sum'] }}</td>
                                    <td class="whole">@if ($list !== null)<form class="inline" method="post" action="{{ route('filter.choose', $list) }}">@csrf<button class="link" aria-label="{{ $list->chosen ? 'In the file' : 'Not in it' }}: {{ $list->name }}">{{ $list->chosen ? 'In the file' : 'Not in it' }}</button></form> <form class="inline" method="post" action="{{ route('filter.away', $list) }}">@csrf<button class="link" aria-label="Away: {{ $list->name }}">Away</button></form>@endif</td>
                                </tr>
                            @endforeach
                        </tbody>
                    </table>
                    <p class="legend"><span><i class="q adds"></i>adds to those above</span><span><i class="q again"></i>refused above already</span></p>
                    @if ($filters->isNotEmpty() && $memory['rpz']->count > 0)
                        <p class="hint">In the memory of {{ $filters->map(fn($box) => $box->called())->implode(' and ') }} they would take {{ $memory['dnsmasq']->decimal() }} under dnsmasq, {{ $memory['hosts']->decimal() }} as hosts, {{ $memory['unbound']->decimal() }} under unbound, {{ $memory['rpz']->decimal() }} as a policy of named (measured at 64 bits).</p>
                    @endif
                    <div class="row"><span class="soft">What is in the file, without what is answered all the same:</span>@foreach (['rpz', 'unbound', 'dnsmasq', 'hosts'] as $kind)<a class="ghost small" href="{{ route('filter.file', $kind) }}">{{ $kind }}</a>@endforeach</div>
                @elseif ($lists->isNotEmpty())
                    <ul class="plain-links">@foreach ($lists as $list)<li>{{ $list->name }}</li>@endforeach</ul>
                @endif
                <form method="post" action="{{ route('filter.add') }}" enctype="multipart/form-data" class="port-form">
                    @csrf
                    <x-field name="list_name" label="Another list" :value="$old('list_name')" :findings="$judged" autocomplete="off" />
                    <x-field name="list_because" label="Why, for whom" :value="$old('list_because')" :findings="$judged" autocomplete="off" />
                    <x-field name="list_origin" label="Where it comes from" :value="$old('list_origin')" :findings="$judged" autocomplete="off" />
                    <div class="field-set"><label for="list_file">Its file</label><input type="file" id="list_file" name="list_file" aria-describedby="list_file-says">@include("filter.says", ["name" => "list_file"])</div>
                    <div class="ticks one"><label><input type="checkbox" name="list_try" value="1"> only see what it would have done; it stays out of the file</label></div>
                    <div class="row"><button class="act">Add it</button></div>
                    <p class="hint">Hosts, plain names, dnsmasq, unbound, response policies, rules of blockers, up to 64 MB. One of a name that is there takes its place.</p>
                </form>
            </section>
        </div>
        <div class="stack">
            <nav class="row tight" aria-label="More of the filter"><a class="ghost small" href="{{ route('filter.proof') }}">Proof</a> <a class="ghost small" href="{{ route('filter.rollout') }}">Roll-out</a> <a class="ghost small" href="{{ route('filter.upstream') }}">Whom it asks</a> <a class="ghost small" href="{{ route('filter.lights-out') }}">Lights-out sheet</a></nav>
            <section class="sheet" id="breaks" aria-labelledby="breaks-title">
                <h2 id="breaks-title">Names that would break</h2>
                @forelse (array_slice($result['breaks'] ?? [], 0, 5) as $one)
                    <form method="post" action="{{ route('filter.exception') }}" class="breaks">@csrf<input type="hidden" name="exception" value="{{ $one['name'] }}">@mark('warn') <b class="mono">{{ $one['name'] }}</b> <span class="soft advice">asked {{ $one['times'] }} times; {{ implode(', ', array_slice($one['lists'], 0, 3)) }}</span><button class="ghost small" aria-label="Keep answering {{ $one['name'] }}">Keep answering</button></form>
                @empty
                    <p class="soft">{{ $result === null ? 'Nothing was held against a log yet.' : 'None that was answered and in use.' }}</p>
                @endforelse
            </section>
            <section class="sheet" id="why" aria-labelledby="why-title">
                <h2 id="why-title">Why is this name refused?</h2>
                <form method="post" action="{{ route('filter.why') }}">@csrf<x-field name="why_name" label="Name" :value="$old('why_name')" :findings="$judged" code autocomplete="off" /><div class="row"><button class="ghost">Ask</button></div></form>
                @if ($why !== null)
                    @if (is_string($why['let'] ?? null))<p class="slim">@mark('fine') It is answered all the same: {{ $why['let'] }} is an exception.</p>@endif
                    @forelse ($why['found'] as $one)
                        <p class="slim">@mark('note') <span><b>{{ $one['list'] }}</b>, line {{ $one['line'] }}: <code>{{ $one['entry'] }}</code></span></p>
                    @empty
                        <p class="slim">@mark('fine') No list here refuses {{ $why['name'] }}.</p>
                    @endforelse
                @endif
            </section>
            <section class="sheet" id="exceptions" aria-labelledby="exceptions-title">
                <h2 id="exceptions-title">Answered all the same</h2>
                @foreach ($exceptions as $one)
                    <form class="breaks" method="post" action="{{ route('filter.no-exception', $one) }}">@csrf<span class="mono">{{ $one->name }}</span> <button class="link" aria-label="By the lists again: {{ $one->name }}">By the lists again</button>@if ($one->because) <span class="soft advice">{{ $one->because }}</span>@endif</form>
                @endforeach
                <form method="post" action="{{ route('filter.exception') }}">@csrf
                    <x-field name="exception" label="Name" :value="$old('exception')" :findings="$judged" code autocomplete="off" />
                    <x-field name="exception_because" label="Why, and who asked" :value="$old('exception_because')" :findings="$judged" autocomplete="off" />
                    <div class="row"><button class="ghost">Answer it</button></div></form>
            </section>
            <section class="sheet" id="log" aria-labelledby="log-title">
                <h2 id="log-title">What was asked</h2>
                <p class="soft">The log of dnsmasq, unbound or bind, or a CSV. The household should know that it is kept, and for how long.</p>
                <form method="post" action="{{ route('filter.told') }}">@csrf<x-choice name="log_told" label="The household was told" :options="['' => 'nobody said yet'] + collect(Burrow\Filter\LogTold::cases())->mapWithKeys(fn($one) => [$one->value => $one->label()])->all()" :chosen="$told?->value ?? ''" /><div class="row"><button class="ghost small">Keep</button></div></form>
                <form method="post" action="{{ route('filter.log') }}" enctype="multipart/form-data">@csrf<label for="log_file" class="unseen">Log</label><input type="file" id="log_file" name="log_file" aria-describedby="log_file-says">@include("filter.says", ["name" => "log_file"])<div class="row"><button class="ghost">{{ $hasLog ? 'Take this one instead' : 'Read it' }}</button></div></form>
                @if ($hasLog)<form method="post" action="{{ route('filter.compare') }}">@csrf<button class="ghost small">Work it out again</button></form>@endif
            </section>
        </div>
    </div>
</x-page>
