@props(['box', 'kind' => 'act'])
@if ($box->stage->value === 'bringing-up' && $box->run)
    <a class="{{ $kind }}" href="{{ route('run', $box->run) }}">Go on bringing it up</a>
@elseif ($box->stage->value === 'named' && $box->card_written_at !== null)
    <form method="post" action="{{ route('run.begin', $box) }}">@csrf<button class="{{ $kind }}" id="begin-{{ $box->id }}">Bring it up</button></form>
@elseif ($box->stage->value === 'named')
    <a class="{{ $kind }}" href="{{ route('box.card', $box) }}">Write its card</a>
@elseif ($box->stage->value === 'planned')
    <a class="{{ $kind }}" href="{{ route('box.name', $box) }}">Name it</a>
@endif
