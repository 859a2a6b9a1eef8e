{{-- Questions in the order asked, with what this box answers. --}}
<ol class="answers">
    @foreach ($answers as $answer)
        <li><span>{{ $values->fillText($answer->question) }}</span> <b class="mono">{{ $values->fillText($answer->answer) }}</b>
            <small>{{ $values->fillText($answer->why) }} Enter alone: {{ $values->fillText($answer->enter) }}.</small></li>
    @endforeach
</ol>
