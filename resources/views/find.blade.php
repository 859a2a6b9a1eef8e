<x-page title="Find" place="">
    <div class="finds">
        @fragment('found')
            @if ($sought !== '')
                @if ($boxes->isEmpty() && $services->isEmpty() && $media->isEmpty() && $entries->isEmpty())
                    <p class="soft">Nothing called “{{ $sought }}”.</p>
                @endif
                @if ($boxes->isNotEmpty())
                    <h2>Boxes</h2>
                @endif
                @foreach ($boxes as $box)
                    <a href="{{ route('box', $box) }}"><b>{{ $box->called() }}</b><span class="mono">{{ $box->address }}</span></a>
                @endforeach
                @if ($services->isNotEmpty())
                    <h2>Ports</h2>
                @endif
                @foreach ($services as $service)
                    <a href="{{ route('box', $service->box_id) }}"><span>{{ $service->purpose }} on {{ $service->box->called() }}</span><span
                            class="mono">{{ $service->port }}/{{ $service->protocol }}</span></a>
                @endforeach
                @if ($media->isNotEmpty())
                    <h2>Cards and disks</h2>
                @endif
                @foreach ($media as $medium)
                    <a href="{{ route('media') }}"><span>{{ $medium->label }}</span><span class="mono">{{ $medium->serial }}</span></a>
                @endforeach
                @if ($entries->isNotEmpty())
                    <h2>Journal</h2>
                @endif
                @foreach ($entries as $entry)
                    <a href="{{ $entry->box_id ? route('box', $entry->box_id) : route('journal') }}"><span>{{ $entry->text }}</span></a>
                @endforeach
            @endif
        @endfragment
    </div>
</x-page>
