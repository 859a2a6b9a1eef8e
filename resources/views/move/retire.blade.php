@php($old = fn(string $field, string $else = ''): string => is_string(old($field)) ? old($field) : $else)
<x-page title="Take {{ $box->called() }} out of service" place="boxes">
    <x-slot:say><b>{{ $retirement->findings->blocks() ? 'Not yet.' : 'It may go.' }}</b> Its record stays, its name with it; its address becomes free, and its card is kept for a while as the way back.</x-slot:say>
    <div class="two">
        <div class="stack" id="against">
            @foreach ($retirement->findings as $finding)
                <x-finding :finding="$finding" />
            @endforeach
        </div>
        <div class="stack">
            <section class="sheet" aria-labelledby="steps-title">
                <h2 id="steps-title">In this order</h2>
                <ol class="steps-list">
                    @foreach ($retirement->steps as $step)
                        <li><b>{{ $step['what'] }}.</b> {{ $step['how'] }}</li>
                    @endforeach
                </ol>
            </section>
            <section class="sheet" aria-labelledby="form-title">
                <h2 id="form-title">Out of service</h2>
                <form method="post" action="{{ route('box.retire', $box) }}">
                    @csrf
                    <x-field name="wipe_on" label="Its card is kept until" :value="$old('wipe_on', $until)" :findings="$judged" code autocomplete="off" />
                    <x-field name="retire_name" label="Type its name: {{ $box->name }}" :value="$old('retire_name')" :findings="$judged" code autocomplete="off" />
                    <div class="row"><button class="act">Take it out of service</button> <a class="ghost" href="{{ route('box', $box) }}">Leave it as it is</a></div>
                </form>
            </section>
        </div>
    </div>
</x-page>
