<x-page :title="$box->called() . ' on paper'" place="boxes">
    <x-slot:say><b>For whoever stands before it.</b> <span class="unprinted">Print it and lay it beside the box; nothing on it lets anybody in.</span></x-slot:say>
    <p class="row below unprinted"><button class="act" type="button" data-print>Print it</button> <a class="ghost" href="{{ route('box', $box) }}">Back to {{ $box->called() }}</a></p>
    <section class="sheet paper-card" aria-labelledby="card-title">
        <div class="paper-head">
            <div>
                <h2 id="card-title">{{ $box->called() }}</h2>
                @foreach ($card->does as $does)
                    <p>{{ $does }}</p>
                @endforeach
                <dl class="pairs">
                    <dt>Address</dt><dd class="mono">{{ $box->address ?? 'none' }}</dd>
                    <dt>Hardware address</dt><dd class="mono">{{ $box->mac ?? 'not known' }}</dd>
                    @if ($card->pages !== [])
                        <dt>Its page</dt><dd class="mono">{{ implode('  ', $card->pages) }}</dd>
                    @endif
                    <dt>Power from</dt><dd>{{ $box->fed_by ?: '______________' }}</dd>
                    <dt>Ask</dt><dd>{{ \App\Models\Network::contact() ?: '______________________________' }}</dd>
                </dl>
            </div>
            <figure><div class="qr" data-qr-text="{{ $card->pages[0] ?? $page }}"></div><figcaption>{{ $card->pages === [] ? 'what is known of it' : 'its page' }}</figcaption></figure>
        </div>
        @if ($card->missed !== [])
            <h3>Who misses it</h3>
            @foreach ($card->missed as $one)
                <p>{{ $one }}</p>
            @endforeach
        @endif
        <h3>When it does nothing</h3>
        <ol class="steps-plain">
            @foreach ($card->steps as [$do, $then])
                <li><b>{{ $do }}</b><br>{{ $then }}</li>
            @endforeach
        </ol>
        <h3>Careful</h3>
        @foreach ($card->careful as $one)
            <p>{{ $one }}</p>
        @endforeach
    </section>
    <script src="/lib/qrcode.js" defer></script>
    <script src="/js/paper.js" defer></script>
</x-page>
