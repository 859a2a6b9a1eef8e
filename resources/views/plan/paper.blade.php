<x-page title="Shopping list" place="boxes">
    <x-slot:say><b>{{ ucfirst(implode(' and ', array_map(fn($job) => $job->label, $answer->plan->jobs))) }} on a {{ $answer->plan->board->label }}.</b>
        {{ $answer->sentence() }}</x-slot:say>
    <p class="row below unprinted"><button class="act" type="button" data-print>Print it</button> <a class="ghost" href="{{ route('plan', $choices->toArray()) }}">Back to the
            plan</a></p>
    <div class="sheet">
        <h2>{{ $answer->price() }}{{ $currency }} together{{ $drawer === [] ? '' : ', ' . $answer->parts->toBuy($drawer) . ' to buy' }}</h2>
        <table class="list ticked">
            <thead>
                <tr>
                    <th scope="col"><span class="unseen">Bought</span></th>
                    <th scope="col">Part</th>
                    <th scope="col">Why</th>
                    <th scope="col">Price</th>
                </tr>
            </thead>
            <tbody>
                @foreach ($answer->parts->parts as $part)
                    @php($have = in_array($part->label, $drawer, true))<tr>
                        <td>{{ $have ? '☑' : '☐' }}</td>
                        <td>{{ $part->label }}</td>
                        <td>{{ $have ? 'in the drawer' : $part->because }}</td>
                        <td class="mono whole">{{ $part->price }}</td>
                    </tr>
                @endforeach
            </tbody>
        </table>
        @if ($answer->plan->board->market->priced !== '')
            <p class="source">Prices of {{ $answer->plan->board->market->priced }}.</p>
        @endif
    </div>
    @php($minding = array_filter($answer->findings->list, fn($finding) => $finding->severity->value !== 'fine'))
    @if ($minding !== [])
        <div class="sheet">
            <h2>To bear in mind</h2>
            @foreach ($minding as $finding)
                <x-slim :finding="$finding" />
            @endforeach
        </div>
    @endif
    @php($cautions = array_unique(array_merge(...array_map(fn($job) => $job->cautions, $answer->plan->jobs))))
    @if ($cautions !== [])
        <div class="sheet">
            <h2>Cautions</h2>
            <ul>
                @foreach ($cautions as $caution)
                    <li>{{ $caution }}</li>
                @endforeach
            </ul>
        </div>
    @endif
</x-page>
