@php($best = collect($waits)->filter(fn($one) => $one->verdict($years)->severity->value === 'fine')->sortByDesc(fn($one) => $one->saved())->first())
<x-page title="Let a disk rest" place="stores">
    <x-slot:say>
        @if ($waits === [])
            <b>Each start wears a disk, each hour of turning costs.</b> Say how often it is asked.
        @elseif ($best === null)
            <b>Let it turn.</b> Asked so often, it would start too often, or save nothing.
        @else
            <b>Let it stop after {{ $best->words() }}.</b> It rests {{ round($best->hoursADay(), 1) }} hours a day and starts {{ round($best->startsADay(), 1) }} times.
        @endif
    </x-slot:say>
    <form class="sheet port-form" method="get" action="{{ route('rest') }}">
        <x-field name="asked" label="Asked, times a day" :value="$typed['asked']" :findings="$findings" code inputmode="decimal" autocomplete="off" hint="What its own log of accesses says; a library that looks for new films counts, too." />
        <x-field name="rated" label="Starts its data sheet gives" :value="$typed['rated']" :findings="$findings" code inputmode="numeric" autocomplete="off" />
        <x-field name="turning" label="Watts while it turns" :value="$typed['turning']" :findings="$findings" code inputmode="decimal" autocomplete="off" />
        <x-field name="resting" label="Watts while it stands" :value="$typed['resting']" :findings="$findings" code inputmode="decimal" autocomplete="off" />
        <x-field name="years" label="Years it is to be used" :value="$typed['years']" :findings="$findings" code inputmode="decimal" autocomplete="off" />
        <div class="row"><button class="act">Work it out</button> <a class="ghost" href="{{ route('stores') }}">Back to the stores</a></div>
    </form>
    @if ($waits !== [])
        <section class="sheet scroll" tabindex="0" aria-labelledby="waits-title">
            <h2 id="waits-title">By how long it waits</h2>
            <x-list :heads="['After', 'Stands', 'Starts a day', 'Starts last', 'Saves a day', 'hdparm', 'Which says']">
                @foreach ($waits as $one)
                    @php($verdict = $one->verdict($years))
                    <tr>
                        <td class="whole"><b>{{ $one->words() }}</b></td>
                        <td class="whole"><svg class="rest" width="110" height="16" role="img" aria-label="{{ round($one->hoursADay(), 1) }} of 24 hours"><rect class="c-all" width="110" height="16" rx="4" /><rect class="c-use" width="{{ round(110 * $one->rests(), 1) }}" height="16" rx="4" /></svg> {{ round($one->hoursADay(), 1) }} h</td>
                        <td class="mono">{{ round($one->startsADay(), 1) }}</td>
                        <td class="whole">{{ $one->years() === null ? 'for ever' : ($one->years() > 99 ? 'over 99 years' : round($one->years(), 1) . ' years') }}</td>
                        <td class="whole">{{ round($one->saved(), 1) }} Wh</td>
                        <td class="mono whole">-S {{ $one->setting() }}</td>
                        <td>@mark($verdict->severity->value) {{ $verdict->found }}</td>
                    </tr>
                @endforeach
            </x-list>
            @if ($best !== null)
                <x-working :working="$best->working()" />
            @endif
            <p class="hint">Of a drive that holds no turning parts nothing has to rest. Some cases between the cable and the disk swallow the command: look with <code>hdparm -C</code> after the wait. For good it stands in /etc/hdparm.conf, by the disk’s name under /dev/disk/by-id. What looks after its health should ask with <code>-n standby</code>, or it wakes it.</p>
        </section>
    @endif
</x-page>
