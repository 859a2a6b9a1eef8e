<div class="sheet">
    <h2>Parts, {{ $answer->price() }}{{ $currency }} together{{ $drawer === [] ? '' : ', ' . $answer->parts->toBuy($drawer) . ' to buy' }}</h2>
    <table class="list">
        <tbody>
            @foreach ($answer->parts->parts as $part)
                @php($have = in_array($part->label, $drawer, true))
                <tr>
                    <td @class(['soft' => $have])>{{ $part->label }}@if ($part->because !== '')
                            <br><span class="soft">{{ $part->because }}</span>
                        @endif
                    </td>
                    <td class="mono whole">{{ $part->price }}</td>
                    <td class="whole"><button class="plain" form="drawer" name="part"
                            value="{{ $part->label }}">{{ $have ? 'in the drawer: take out' : 'have it' }}</button></td>
                </tr>
            @endforeach
        </tbody>
    </table>
    @if ($kits !== [])
        <h3>Kits against singles</h3>
        @foreach ($kits as $kit)
            <p class="slim">@mark($kit->cents() < 0 ? 'fine' : 'note')<span>{{ $kit->sentence() }}</span></p>
        @endforeach
    @endif
    <p class="row"><a href="{{ route('plan.parts', $choices->toArray()) }}">as CSV</a> <a href="{{ route('plan.paper', $choices->toArray()) }}">on
            paper</a> <a href="{{ route('plan.yaml', $choices->toArray()) }}">the plan as YAML</a>
        @if ($answer->plan->board->market->priced !== '')
            <span class="soft push">prices of {{ $answer->plan->board->market->priced }}</span>
        @endif
    </p>
</div>
