<x-page title="Stores" place="stores">
    <x-slot:say><b>{{ $stores->count() === 1 ? 'One disk keeps files.' : $stores->count() . ' disks keep files.' }}</b> Two disks are not a backup; a third copy belongs
        elsewhere.</x-slot:say>
    @if ($stores->isEmpty())
        <x-empty title="No store yet" href="/plan?job=file-store" link="Plan a file store">A store is a disk that a box keeps the household's files on.</x-empty>
    @else
        <div class="sheet scroll">
            <x-list :heads="['Box', 'Disk', 'Mounted at', 'Share', 'File system']">
                @foreach ($stores as $store)
                    <tr>
                        <td><a href="{{ route('box', $store->box_id) }}" data-stop>{{ $store->box->called() }}</a></td>
                        <td>{{ $store->bytes ? \Burrow\Quantity\Bytes::of($store->bytes)->decimal() . ' = ' . \Burrow\Quantity\Bytes::of($store->bytes)->binary() : '' }}<br><span
                                class="mono soft">{{ $store->serial }}</span></td>
                        <td class="mono">{{ $store->mount_point }}</td>
                        <td class="mono">{{ $store->share }}</td>
                        <td class="mono">{{ $store->uuid }}</td>
                    </tr>
                @endforeach
            </x-list>
        </div>
    @endif
    <p class="row"><a href="{{ route('media') }}">Register of cards and disks</a> <a href="{{ route('target') }}">Which disk an image goes on</a></p>
</x-page>
