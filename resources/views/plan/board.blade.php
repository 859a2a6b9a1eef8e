<div class="sheet">
    @php($board = $answer->plan->board)
    <h2>Inside the {{ $board->label }}</h2>
    <dl class="facts">
        <dt>processor</dt>
        <dd>{{ $board->processor->cores }} {{ $board->processor->cores === 1 ? 'core' : 'cores' }}, {{ $board->processor->bits }}-bit, speed
            {{ $board->speed }} (single-core board: 1)</dd>
        <dt>network</dt>
        <dd>{{ $board->wiredMegabits === null ? 'no socket' : "socket at {$board->wiredMegabits} Mb/s" }},
            {{ $board->wirelessMegabits === null ? 'no Wi-Fi' : "Wi-Fi at {$board->wirelessMegabits} Mb/s on the air" }}</dd>
        @foreach ($board->buses as $bus)
            <dt>{{ $bus->name }}</dt>
            <dd>carries
                {{ implode(' and ', array_map(fn($link) => ['disk' => 'disks and USB devices', 'wired' => 'the network socket', 'wireless' => 'Wi-Fi'][$link], $bus->links)) }};
                {{ $bus->payload }}{{ $bus->current === null ? '' : ", {$bus->current} for all its sockets" }}</dd>
        @endforeach
        <dt>sockets</dt>
        <dd>{{ $board->usbCount }} × {{ $board->usbSocket }}, {{ $board->videoSocket === 'none' ? 'no video' : "{$board->videoSocket} video" }},
            {{ $board->headerPins === 0 ? 'no header' : "{$board->headerPins}-pin header" }}, power by
            {{ $board->powerInlet }}{{ $board->poeType === null ? '' : " or over the network cable (type {$board->poeType})" }}</dd>
        <dt>power</dt>
        <dd>{{ $board->idle }} idle, {{ $board->busy }} busy</dd>
        <dt>lights</dt>
        <dd>{{ $board->lights }}</dd>
    </dl>
    @php($fits = \Burrow\Plan\Fit\ImageFit::each($answer->plan, $shelf->images))
    <details class="working">
        <summary>
            <span id="starts">Images that start it{{ $fits[0]->plugged() === [] ? '' : ', and know what is plugged in' }}</span>
            <span class="mono">{{ count(array_filter($fits, fn($fit) => $fit->stops() === [] && $fit->unknown() === [])) }} of {{ count($fits) }}</span>
        </summary>
        <div class="scroll" tabindex="0" role="region" aria-labelledby="starts">
            <table class="list">
                <thead>
                    <tr>
                        <th scope="col">Image</th>
                        <th scope="col">Board</th>
                        @foreach ($fits[0]->plugged() as $what)
                            <th scope="col">{{ ucfirst($what) }}</th>
                        @endforeach
                    </tr>
                </thead>
                <tbody>
                    @foreach ($fits as $fit)
                        <tr>
                            <td>{{ $fit->image()->label }}<br><span class="soft">of {{ $fit->image()->year }}, {{ $fit->image()->unpacked->decimal() }}</span></td>
                            <td>@mark($fit->stops() === [] ? 'fine' : 'stop') {{ $fit->stops() === [] ? 'starts it' : $fit->stops()[0]->found }}</td>
                            @foreach ($fit->plugged() as $what)
                                @php($known = !in_array($what, $fit->unknown(), true))
                                <td>@mark($known ? 'fine' : 'warn') {{ $known ? 'known' : 'not known' }}</td>
                            @endforeach
                        </tr>
                    @endforeach
                </tbody>
            </table>
        </div>
        <p class="source">The board is of {{ $board->year }} and starts from: {{ implode(', ', $board->bootsFrom) }}.</p>
    </details>
</div>
