<x-page title="Reach" place="reach">
    <x-slot:say><b>{{ $openings->isEmpty() ? 'Nothing can be reached from outside.' : ($openings->count() === 1 ? 'One way in from outside.' : $openings->count() . ' ways in from outside.') }}</b>
        Outside, the house is {{ auth()->user()->isKeeper() ? $network->wan ?? 'not known by any address' : 'known by an address that guests are not shown' }}.</x-slot:say>
    @if ($openings->isEmpty())
        <x-empty title="No opening">An opening is a port of the router that leads to a box. Each one has a reason and a day to look at it again.</x-empty>
    @else
        <div class="sheet scroll">
            <x-list :heads="['Outside', 'Leads to', 'For', 'Because', 'Look again on']">
                @foreach ($openings as $opening)
                    <tr>
                        <td class="mono">{{ $opening->outside_port }}/{{ $opening->protocol }}</td>
                        <td><a href="{{ route('box', $opening->box_id) }}" data-stop>{{ $opening->box->called() }}</a> <span class="mono">{{ $opening->inside_port }}</span>
                        </td>
                        <td>{{ $opening->purpose }}</td>
                        <td>{{ $opening->reason }}</td>
                        <td>{{ $opening->review_on->format('Y-m-d') }}</td>
                    </tr>
                @endforeach
            </x-list>
        </div>
    @endif
</x-page>
