<x-page :title="'Back to ' . $run->learnedText('from_name')" place="boxes">
    <x-slot:say><b>{{ $run->learnedText('from_name') }} gets its address, its name and what hung on it again.</b> {{ $run->box->called() }} keeps what it had before.</x-slot:say>
    <section class="sheet" aria-labelledby="steps-title">
        <h2 id="steps-title">In this order</h2>
        <ol class="steps-list">
            <li><b>Shut {{ $run->box->called() }} down.</b> It is asked from here before anything is written: never two at one address.</li>
            <li><b>Change the record.</b> The button below.</li>
            <li><b>Give the reservation back.</b> {{ $from?->mac ?? 'The old hardware address' }} → {{ $run->learnedText('new_address') }} in the router.</li>
            <li><b>Put the old card in</b>, with what was plugged in, and give {{ $run->learnedText('from_name') }} its power.</li>
            <li><b>Forget the new one's key</b> on each desk: <code>ssh-keygen -R {{ $run->learnedText('new_address') }}</code></li>
        </ol>
        <p>What came in on {{ $run->box->called() }} since the move is on its own card and nowhere else.</p>
        <form method="post" action="{{ route('run.back', $run) }}" class="row">
            @csrf
            <button class="act">It is off: change the record back</button>
            <a class="ghost" href="{{ route('run', $run) }}">Leave it as it is</a>
        </form>
    </section>
</x-page>
