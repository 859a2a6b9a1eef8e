<x-page title="Upkeep" place="upkeep">
    <x-slot:say><b>{{ !$told ? 'Which box waits for an update is told to keepers only.' : ($late === 0 ? 'Nothing is overdue.' : ($late === 1 ? 'One update is overdue.' : "{$late} updates are overdue.")) }}</b> Each job has its own cadence; a
        box follows the shortest of its jobs.</x-slot:say>
    @if ($told && $dues->isEmpty())
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
