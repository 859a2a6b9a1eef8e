@props(['heads'])
<table class="list">
    <thead>
        <tr>
            @foreach ($heads as $head)
                <th scope="col">{{ $head }}</th>
            @endforeach
        </tr>
    </thead>
    <tbody>
        {{ $slot }}
    </tbody>
</table>
