@props(['bars', 'target'])
<svg class="disks" viewBox="0 0 {{ \Burrow\Card\Draw\DiskBars::WIDTH }} {{ $bars->height }}" role="img" aria-label="Disks of the desk computer to one scale">
    @foreach ($bars->rows as $row)
        <rect x="0" y="{{ $row['y'] + 20 }}" width="{{ number_format($row['width'], 1, '.', '') }}" height="9" rx="3"
            class="{{ $target !== null && $row['judged']->disk->name === $target->name ? 'd-target' : ($row['judged']->stays === null ? 'd-may' : 'd-stays') }}" />
        <text x="0" y="{{ $row['y'] + 14 }}">{{ $row['judged']->disk->name }} ·
            {{ $row['judged']->disk->size->decimal() }}{{ $row['judged']->disk->model === null ? '' : ' · ' . $row['judged']->disk->model }}</text>
    @endforeach
</svg>
<x-list :heads="['Disk', 'On it', 'Verdict']">
    @foreach ($bars->rows as $row)
        <tr>
            <td class="mono">{{ $row['judged']->disk->name }}<br><span class="soft">{{ $row['judged']->disk->serial }}</span></td>
            <td>{{ implode(', ', $row['judged']->disk->fileSystems) ?: 'nothing found' }}</td>
            <td>@mark($target !== null && $row['judged']->disk->name === $target->name ? 'fine' : ($row['judged']->stays === null ? 'warn' : 'stop'))
                {{ $target !== null && $row['judged']->disk->name === $target->name ? 'This one.' : ($row['judged']->stays === null ? 'Could be it.' : 'Must not be touched: ' . lcfirst($row['judged']->stays)) }}
            </td>
        </tr>
    @endforeach
</x-list>
