@props(['box'])
@if ($box->stage->stands())
    @php($hearing = $box->hearing())
    <x-mark :severity="$hearing->state->mark()" /> {{ $hearing->words() }}@if (!$box->isInService()), not finished @endif
@else
    <x-mark severity="note" /> being set up
@endif
