{{-- How each kind of client gets at the service. --}}
<div class="clients">
    @foreach ($cards as $card)
        <div>
            <h3>{{ $card->client }}</h3>
            @if ($card->type !== '')
                <code>{{ $values->fillText($card->type) }}</code>
            @endif
            <p>{{ $values->fillText($card->text) }}</p>
        </div>
    @endforeach
</div>
