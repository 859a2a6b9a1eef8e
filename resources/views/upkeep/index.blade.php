<x-page title="Upkeep" place="upkeep">
    <x-slot:say><b>{{ !$told ? 'Which box waits for an update is told to keepers only.' : ($late === 0 ? 'Nothing is overdue.' : ($late === 1 ? 'One update is overdue.' : "{$late} updates are overdue.")) }}</b> Each job has its own cadence; a
        box follows the shortest of its jobs.</x-slot:say>
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
