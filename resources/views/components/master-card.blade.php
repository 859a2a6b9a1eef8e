<details class="sheet working">
    <summary><span>A master card to be copied instead</span></summary>
    <p>It is left bare, last of all before it is shut down:</p>
    <table class="list">
        <tbody>
            @foreach (\Burrow\Card\Write\MasterCard::leaveBare() as $step)
                <tr>
                    <td>{{ $step->where }}: {{ $step->value }}<br><span class="mono">{{ $step->command }}</span></td>
                </tr>
            @endforeach
        </tbody>
    </table>
    <p>New on each copy: {{ implode(', ', \Burrow\Card\Write\MasterCard::newOnEachCopy()) }}. Two boxes with one host key are told apart by nobody.</p>
</details>
