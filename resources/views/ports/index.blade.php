<x-page title="Ports" place="ports">
    <x-slot:say><b>{{ $services->count() }} ports on {{ $services->pluck('box_id')->unique()->count() }} boxes.</b>
        {{ $findings->isEmpty() ? 'Nothing clashes.' : $findings->count() . ' to look at.' }}</x-slot:say>
    @foreach ($findings as $finding)
        <x-finding :finding="$finding" />
    @endforeach
    @if ($services->isEmpty())
        <x-empty title="No ports yet" href="/plan" link="New box">The ports of a job are written down by themselves when its box goes into service.</x-empty>
    @else
        <div class="sheet scroll">
            <x-list :heads="['Port', 'Box', 'For', 'Where', 'State', 'Looked']">
                @foreach ($services as $service)
                    <tr>
                        <td class="mono">{{ $service->port }}/{{ $service->protocol }}</td>
                        <td><a href="{{ route('box', $service->box_id) }}" data-stop>{{ $service->box->called() }}</a></td>
                        <td>{{ $service->purpose }}</td>
                        <td class="mono">{{ $service->box->address }}</td>
                        <td>
                            @if ($service->state)
                                <x-mark :severity="['open' => 'fine', 'refused' => 'warn', 'silent' => 'stop'][$service->state] ?? 'note'" /> {{ $service->state }}
                            @else
                                <span class="soft">not asked</span>
                            @endif
                        </td>
                        <td>
                            @if ($service->state)
                                <x-when :at="$service->looked_at" />
                            @else
                                —
                            @endif
                        </td>
                    </tr>
                @endforeach
            </x-list>
        </div>
    @endif
</x-page>
