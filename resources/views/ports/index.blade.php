<x-page title="Ports" place="ports">
    <x-slot:say><b>{{ $services->total() }} ports on {{ $listening }} boxes.</b>
        {{ $findings->isEmpty() ? 'Nothing clashes.' : $findings->count() . ' to look at.' }}</x-slot:say>
    @foreach ($findings as $finding)
        <x-finding :finding="$finding" />
    @endforeach
    @if ($services->isEmpty())
        <x-empty title="No ports yet" href="/plan" link="New box">The ports of a job are written down by themselves when its box goes into service.</x-empty>
    @else
        <div class="sheet scroll">
            <x-list :heads="['Port', 'Box', 'State', 'For', 'Where', 'Looked']">
                @foreach ($services as $service)
                    <tr>
                        <td class="mono">{{ $service->port->number }}/{{ $service->protocol->value }}</td>
                        <td><a href="/boxes/{{ $boxes[$service->box]->id }}" data-stop>{{ $service->box }}</a></td>
                        @if ($service->state)
                            <td class="whole">@mark($service->state->mark()) {{ $service->state->value }}</td>
                        @else
                            <td><span class="soft">not asked</span></td>
                        @endif
                        <td>{{ $service->purpose }}</td>
                        <td class="mono">{{ $boxes[$service->box]->address }}</td>
                        <td class="whole">@if ($service->state)@ago($service->lookedAt)@else — @endif</td>
                    </tr>
                @endforeach
            </x-list>
        </div>
        <x-pages :of="$services" />
    @endif
</x-page>
