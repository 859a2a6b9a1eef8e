<x-page title="Find" place="">
    <div class="finds">
        @fragment('found')
            @if ($sought !== '')
                @if ($boxes->isEmpty() && $services->isEmpty() && $media->isEmpty() && $entries->isEmpty() && $rooms === [] && $codes === [] && $steps === [])
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
                @if ($rooms !== [])
                    <h2>Pages</h2>
                @endif
                @foreach ($rooms as $room)
                    <a href="{{ $room['url'] }}"><span>{{ $room['title'] }}</span></a>
                @endforeach
                @if ($steps !== [])
                    <h2>Steps</h2>
                @endif
                @foreach ($steps as $step)
                    <a href="{{ route('run', $step['run']) }}"><span>{{ $step['title'] }}</span><span>{{ $step['box'] }}</span></a>
                @endforeach
                @if ($codes !== [])
                    <h2>Codes</h2>
                @endif
                @foreach ($codes as $code)
                    <a href="{{ route('codes', ['words' => $code['code']]) }}"><span class="mono">{{ $code['code'] }}</span><span>{{ str_replace('`', '', $code['when']) }}</span></a>
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
