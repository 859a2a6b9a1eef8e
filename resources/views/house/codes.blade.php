<x-page title="All codes" place="">
    <x-slot:say><b>{{ $of }} findings and workings, each with one text and one source.</b></x-slot:say>
    <form class="sheet row" method="get" action="{{ route('codes') }}"><div class="field-set"><label for="words">With these letters</label><input class="in code" id="words" name="words" @longest('words') value="{{ $sought }}"></div> <button class="act">Look</button></form>
    <section class="sheet scroll" tabindex="0" aria-label="Codes">
        @if ($codes === [])
            <p>No code has “{{ $sought }}” in it.</p>
        @else
            <x-list :heads="['Code', 'When', 'Source']">
                @foreach ($codes as $one)
                    <tr id="{{ $one['code'] }}"><td class="mono">{{ $one['code'] }}</td><td>{{ str_replace('`', '', $one['when']) }}</td><td>{{ str_replace('`', '', $one['source']) }}</td></tr>
                @endforeach
            </x-list>
        @endif
    </section>
</x-page>
