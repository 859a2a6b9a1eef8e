<x-page title="Name and address" place="boxes">
    <x-way at="name" />
    <form method="post" action="{{ route('box.name.update', $box) }}">
        @csrf
        <div class="two">
            <section class="sheet">
                <div class="field-set">
                    <label for="name">Host name</label>
                    <input class="in code" id="name" name="name" value="{{ $name }}" autocomplete="off" autocapitalize="none" spellcheck="false" autofocus
                        aria-describedby="checks" hx-get="{{ route('box.name', $box) }}" hx-trigger="input changed delay:200ms" hx-include="#address" hx-target="#checks"
                        hx-swap="outerHTML">
                    <p class="hint">One short word. It is found as <code>name.{{ $network->domain }}</code>.</p>
                </div>
                <div class="field-set">
                    <label for="address">Address</label>
                    <input class="in code" id="address" name="address" value="{{ $address }}" autocomplete="off" inputmode="decimal" aria-describedby="checks"
                        hx-get="{{ route('box.name', $box) }}" hx-trigger="input changed delay:200ms" hx-include="#name" hx-target="#checks" hx-swap="outerHTML">
                    <p class="hint">Proposed: the lowest free one that the router does not hand out to others.</p>
                </div>
                <div class="row"><button class="act" data-done>Keep both, write the card</button></div>
            </section>
            @fragment('checks')
                <section class="sheet" id="checks" aria-live="polite">
                    <h2>{{ $nameFindings->blocks() || $addressFindings->blocks() ? 'Not like this' : 'What speaks against it' }}</h2>
                    @forelse ($nameFindings->and($addressFindings) as $finding)
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
