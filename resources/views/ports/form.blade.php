@php($f = $form->fields)
@php($says = $form->findings)
<tr id="port-form" class="row-form">
    <td colspan="8">
        <form method="post" action="{{ $form->service === null ? route('ports.add', $form->boxId) : route('ports.change', $form->service) }}" class="port-form">
            @csrf
            <input type="hidden" name="revision" value="{{ $form->service->revision ?? 0 }}">
            <x-field name="port" label="Port" :value="$f['port']" :findings="$says" code inputmode="numeric" autocomplete="off" autofocus />
            <x-choice name="protocol" label="Protocol" :options="['tcp' => 'TCP', 'udp' => 'UDP']" :chosen="$f['protocol']" />
            <x-field name="purpose" label="What it is for" :value="$f['purpose']" :findings="$says" />
            <x-choice name="reach" label="Who may reach it" :options="collect(Burrow\Household\WhoReaches::cases())->mapWithKeys(fn($one) => [$one->value => $one->label()])->all()" :chosen="$f['reach']" />
            <x-field name="sources" label="If only some: which addresses" :value="$f['sources']" :findings="$says" code autocomplete="off" placeholder="172.22.8.20 172.22.8.32/28" />
            <x-choice name="access" label="What stands before it" :options="['' => 'not known'] + collect(Burrow\Household\Access::cases())->mapWithKeys(fn($one) => [$one->value => $one->label()])->all()" :chosen="$f['access']" />
            <x-field name="bound" label="Bound to" :value="$f['bound']" :findings="$says" code placeholder="every address" autocomplete="off" />
            <x-choice name="scheme" label="Opened as" :options="Burrow\Ports\TypedPort::SCHEMES" :chosen="$f['scheme']" />
            <x-field name="path" label="Path of the page" :value="$f['path']" :findings="$says" code placeholder="/" autocomplete="off" />
            <x-field name="inner_port" label="Port inside its container" :value="$f['inner_port']" :findings="$says" code inputmode="numeric" autocomplete="off" />
            <x-field name="codes_kept" label="Where its recovery codes are" :value="$f['codes_kept']" :findings="$says" />
            <x-field name="sends_home" label="What it sends to its makers" :value="$f['sends_home']" :findings="$says" />
            <x-field name="clients" label="Who holds its address, name or key" :value="$f['clients']" :findings="$says" area placeholder="reading-desk: a drive letter" hint="One a line; they break when it changes." />
            <div class="row"><button class="act" data-done>Keep it</button><a class="ghost" href="{{ route('ports', ['box' => $form->box]) }}">Leave it as it was</a></div>
        </form>
        @if ($form->service !== null)
            <form method="post" action="{{ route('ports.away', $form->service) }}">@csrf<button class="link">Take it out of the record</button></form>
        @endif
    </td>
</tr>
