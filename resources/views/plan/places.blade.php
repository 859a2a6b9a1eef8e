<div class="sheet scroll">
    <h2>Where it could run</h2>
    <table class="list">
        <thead>
            <tr>
                <th scope="col">Place</th>
                <th scope="col" class="whole">To buy</th>
                <th scope="col" class="whole">More a year</th>
                <th scope="col">What speaks against it</th>
            </tr>
        </thead>
        <tbody>
            @foreach (collect($seats)->sortBy(fn($one) => [$one->kind === 'own' ? 0 : 1, $one->worst()->rank()])->take(7) as $one)
                <tr @class(['chosen' => $one === $seat])>
                    <td>
                        @if ($one->kind === 'bought' || $one === $seat)
                            {{ $one->label }}
                        @else
                            <a
                                href="{{ route('plan',['seat' => match ($one->kind) {'own', 'desk' => $one->kind,default => '@' . $one->label}] + $choices->toArray()) }}">{{ $one->kind === 'box' ? 'with ' . $one->label : $one->label }}</a>
                        @endif
                    </td>
                    <td class="mono whole">{{ $one->price }}</td>
                    <td class="mono whole">{{ $one->perYear }}</td>
                    <td>@mark($one->worst()->value) {{ $one->kind === 'bought' ? $one->findings->list[0]->found : $one->verdict() }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
</div>
