<div class="sheet">
    @php($ladder = \Burrow\Plan\Draw\VoltageLadder::of($answer->plan))
    <h2>Memory{{ $ladder === null ? '' : ', voltage' }}{{ $answer->copy === null ? '' : ' and the way of a file' }}</h2>
    <x-memory :picture="\Burrow\Plan\Draw\MemoryPicture::of($answer->plan)" />
    @if ($ladder !== null)
        <x-voltage :ladder="$ladder" />
    @endif
    @if ($answer->copy !== null)
        <div class="chain"><x-chain :copy="$answer->copy" /></div>
        @php($times = new \Burrow\Plan\Time\CopyTime($answer->copy, $answer->plan->circumstances))
        <p class="uses"><span>{{ $answer->plan->circumstances->copy->decimal() }} in {{ $times->time() }}.</span>
            @foreach ($times->uses() as $use => $good)
                <span>@mark($good ? 'fine' : 'note') {{ $good ? $use : "too slow for {$use}" }}</span>
            @endforeach
        </p>
    @endif
    @foreach ($answer->workings() as $working)
        <x-working :working="$working" />
    @endforeach
</div>
