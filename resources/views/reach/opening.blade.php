@php($f = App\Reach\OpeningForm::shown($edit))
@php($says = old('outside_port') === null ? Burrow\Judgement\Findings::of() : $judged)
<section class="sheet" id="opening-form" aria-labelledby="opening-title">
    <h2 id="opening-title">{{ $edit === null ? 'A way in' : "{$edit->outside_port} {$edit->protocol}" }}</h2>
    <form method="post" action="{{ $edit === null ? route('reach.open') : route('reach.change', $edit) }}" class="port-form">
        @csrf
        <input type="hidden" name="revision" value="{{ $edit->revision ?? 0 }}">
        <x-field name="outside_port" label="Port outside, at the router" :value="$f['outside_port']" :findings="$says" code inputmode="numeric" autocomplete="off" />
        <x-choice name="protocol" label="Protocol" :options="['udp' => 'UDP', 'tcp' => 'TCP']" :chosen="$f['protocol']" />
        @foreach ([...$says->forField('protocol'), ...$says->forField('box')] as $finding)
            <x-slim :finding="$finding" />
        @endforeach
        <x-choice name="box" label="Leads to" :options="$boxes" :chosen="$f['box']" />
        <x-field name="inside_port" label="Port inside, at the box" :value="$f['inside_port']" :findings="$says" code inputmode="numeric" autocomplete="off" />
        <x-field name="purpose" label="What it is for" :value="$f['purpose']" :findings="$says" />
        <x-field name="owner" label="Who answers for it" :value="$f['owner']" :findings="$says" />
        <x-field name="review_on" label="Look again on" :value="$f['review_on']" :findings="$says" type="date" />
        <x-field name="sources" label="Only from" :value="$f['sources']" :findings="$says" code placeholder="anybody" />
        <x-field name="reason" label="Because" :value="$f['reason']" :findings="$says" area />
        <div class="row"><button class="act" data-done>Keep it</button><a class="ghost" href="{{ route('reach') }}">Leave it as it was</a></div>
    </form>
</section>
