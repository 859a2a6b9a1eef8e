<x-page title="Name and address" place="boxes">
    <x-way at="name" />
    <form method="post" action="{{ route('box.name.update', $box) }}">
        @csrf
        <div class="two">
            <section class="sheet">
                <div class="field-set">
                    <label for="name">Host name</label>
                    <input class="in code" id="name" name="name" value="{{ $name }}" autocomplete="off" autocapitalize="none" spellcheck="false" autofocus
                        aria-describedby="checks" hx-get="{{ route('box.name', $box) }}" hx-trigger="input changed delay:200ms" hx-include="closest form" hx-target="#checks"
                        hx-swap="outerHTML">
                    <p class="hint">One short word. It is found as <code>name.{{ $network->domain }}</code>.</p>
                </div>
                <div class="field-set">
                    <label for="address">Address</label>
                    <input class="in code" id="address" name="address" value="{{ $address }}" autocomplete="off" inputmode="decimal" aria-describedby="checks"
                        hx-get="{{ route('box.name', $box) }}" hx-trigger="input changed delay:200ms" hx-include="closest form" hx-target="#checks" hx-swap="outerHTML">
                    <p class="hint">Proposed: the lowest free one that the router does not hand out to others.</p>
                    @foreach ($elsewhere as $where => $free)
                        <p class="hint">In {{ $where }}: <a class="mono" href="{{ route('box.name', ['box' => $box, 'name' => $name, 'address' => $free]) }}">{{ $free }}</a></p>
                    @endforeach
                </div>
                @foreach ($ports as $id => $port)
                    <div class="field-set">
                        <label for="ports_{{ $id }}">Port of its page{{ count($ports) > 1 ? ', ' . $box->jobs->firstWhere('id', $id)?->called() : '' }}</label>
                        <input class="in code" id="ports_{{ $id }}" name="ports[{{ $id }}]" value="{{ $port }}" autocomplete="off" inputmode="numeric" aria-describedby="checks"
                            hx-get="{{ route('box.name', $box) }}" hx-trigger="input changed delay:200ms" hx-include="closest form" hx-target="#checks" hx-swap="outerHTML">
                        <p class="hint">Proposed: one that nothing else in this house listens on.</p>
                    </div>
                @endforeach
                <div class="row"><button class="act" data-done>Keep both, write the card</button></div>
            </section>
            @fragment('checks')
                <section class="sheet" id="checks" aria-live="polite">
                    <h2>{{ $nameFindings->and($addressFindings)->and($portFindings)->blocks() ? 'Not like this' : 'What speaks against it' }}</h2>
                    @forelse ($nameFindings->and($addressFindings)->and($portFindings) as $finding)
                        <x-slim :finding="$finding" />
                    @empty
                        <p>Nothing so far.</p>
                    @endforelse
                    @if ($working !== null)
                        <x-working :working="$working" />
                    @endif
                </section>
            @endfragment
        </div>
    </form>
</x-page>
