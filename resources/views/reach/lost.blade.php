<x-page :title="ucfirst($way->device) . ' is gone'" place="reach">
    <x-slot:say><b>Take back what it could open, in this order.</b> The first step closes the house; the others are for what lay on the device.</x-slot:say>
    <ol class="sheet steps-plain">
        @if ($way->kind !== 'tunnel')
            <li><b>Take it back where it was made, now</b>{{ $way->service ? ": {$way->service->purpose} on {$way->service->box->called()}" : '' }}. {{ $way->taken_back_by }}</li>
            <li><b>Take it out of the record.</b>
                <form method="post" action="{{ route('reach.back', $way) }}" class="row">@csrf<button class="act">Take the key back</button></form></li>
        @else
        <li><b>Forget its key at the endpoint, now.</b>
            <x-command id="forget" text="sudo wg set wg0 peer {{ $way->public_key }} remove"><x-slot:where>on the box with the tunnel</x-slot:where></x-command>
            It is gone at once. After the next start of the tunnel the file counts, so the new file goes there, too.</li>
        <li><b>Take it out of the record</b> and load the new endpoint file.
            <form method="post" action="{{ route('reach.back', $way) }}" class="row">@csrf<button class="act">Take the key back</button></form></li>
        @endif
        @foreach ($holds as $service)
            <li><b>{{ ucfirst($service->purpose) }} on {{ $service->box->called() }}</b>: it held {{ collect($service->clients)->first(fn($one) => mb_strtolower($one['client']) === mb_strtolower($way->device))['holds'] ?? 'its address' }}. Change that there, and end its open sessions.</li>
        @endforeach
        @if ($way->kind === 'tunnel')
        <li><b>Passwords that were kept in its browser</b>: change those of pages it opened at home, the ones without a second factor first.</li>
        <li><b>A login key of its own</b>: take its line out of <code>~/.ssh/authorized_keys</code> on each box it logged in to.</li>
        <li><b>Try it from outside</b> with the old profile: nothing may answer.</li>
        @else
            <li><b>Start {{ $way->device }} once more</b>: it must be refused now.</li>
        @endif
    </ol>
    <p><a href="{{ route('reach') }}">Back to all ways in</a></p>
</x-page>
