<div id="stages" class="sheet" aria-live="polite" hx-get="{{ route('run', $run) }}" hx-trigger="every 3s" hx-swap="outerHTML">
    <h2>What it answers</h2>
    @forelse ($step->stages ?? [] as $stage => $seconds)
        <p class="slim-text">@mark('fine') after {{ Burrow\Quantity\Duration::seconds($seconds) }}: {{ Burrow\BringUp\StartStage::tryFrom($stage)?->words() ?? $stage }}</p>
    @empty
        <p class="soft">Nothing yet; it is asked every few seconds.</p>
    @endforelse
    @isset($step->stages['login'])
        <p><b>It is up.</b> You can go on.</p>
    @endisset
</div>
