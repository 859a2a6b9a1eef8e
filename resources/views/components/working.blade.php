@props(['working'])
<details class="working">
    <summary><span>{{ $working->title }}</span><span class="mono">{{ $working->result }}</span></summary>
    <table class="lines">
        <tbody>
            @foreach ($working->lines as $line)
                <tr>
                    <th scope="row">{{ $line->name }}</th>
                    <td>{{ $line->formula !== '' ? $line->formula : $line->source }}</td>
                    <td>{{ $line->result }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
    <p class="source">From: {{ $working->source->label }}</p>
</details>
