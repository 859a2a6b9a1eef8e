@if (($answer->plan->supply->outputs > 1 || $answer->plan->along !== []) && $household->hosts() !== [])
    <div class="sheet">
        <h2>Also on this supply</h2>
        <div class="ticks">
            @foreach ($household->hosts() as $other)
                <label><input type="checkbox" form="plan" name="along[]" value="{{ $other->name }}" @checked(collect($answer->plan->along)->contains(fn($feed) => $feed->name === $other->name))> {{ $other->name }} <span
                        class="soft">{{ \Burrow\Plan\Power\SupplyFit::of($other->plan)->peak() }}</span></label>
            @endforeach
        </div>
    </div>
@endif
