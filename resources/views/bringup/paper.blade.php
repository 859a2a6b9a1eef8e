<x-page :title="'Steps for ' . $run->box->called()" place="boxes">
    <x-slot:say><b>{{ $book->sentence() }}</b></x-slot:say>
    <p class="row below unprinted"><button class="act" type="button" data-print>Print it</button>
        <a class="ghost" href="{{ route('run.take', [$run, 'md']) }}">As Markdown</a>
        <a class="ghost" href="{{ route('run.take', [$run, 'sh']) }}">As a shell script</a>
        <a class="ghost" href="{{ route('run', $run) }}">Back to the run</a></p>
    @php($over = $book->finished())
    @foreach ($book->filled()->steps as $number => $filled)
        @php($step = $filled->step)
        <section class="sheet paper-step">
            <h2>{{ in_array($step->id, $over, true) ? '☑' : '☐' }} {{ $number + 1 }}. {{ $filled->told($step->title) }} <small>{{ $step->place()->label() }}</small></h2>
            <p>{{ $filled->told($step->text) }}</p>
            @foreach ($step->more->asks as $asked)
                <p>{{ $asked->label }}: ____________________</p>
            @endforeach
            @foreach ($step->more->answers as $answer)
                <p>{{ $filled->told($answer->question) }}: <b>{{ $filled->told($answer->answer) }}</b></p>
            @endforeach
            @foreach ($step->more->cards as $card)
                <p>{{ $card->client }}: <code>{{ $filled->told($card->type) }}</code> {{ $filled->told($card->text) }}</p>
            @endforeach
            @if ($step->command !== '')
                <pre tabindex="0">{{ $filled->commandAsFarAsKnown() }}</pre>
            @endif
            @foreach (['You should see' => $step->expect, 'If not' => $step->more->no, 'Careful' => $step->caution] as $label => $text)
                @if ($text !== '')
                    <p><b>{{ $label }}</b> {{ $filled->told($text) }}</p>
                @endif
            @endforeach
        </section>
    @endforeach
</x-page>
