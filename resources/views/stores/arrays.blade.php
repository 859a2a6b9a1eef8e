<x-page title="Several disks" place="stores">
    <x-slot:say><b>A mirror or parity lets a box run on when a disk ends.</b> It is no backup: what is deleted is deleted on all of them.</x-slot:say>
    <form class="sheet port-form" method="get" action="{{ route('arrays') }}">
        <x-field name="disks" label="Disks, in TB" :value="$said" :findings="$findings" code autocomplete="off" hint="Decimal, as it stands on them: 4 TB are 3.64 TiB." />
        <x-field name="rate" label="MB/s that one writes" :value="(string) $rate" :findings="$findings" code inputmode="numeric" />
        <x-field name="bus" label="MB/s of a bus that all share" :value="$bus === 0 ? '' : (string) $bus" :findings="$findings" code inputmode="numeric" placeholder="none: each has its own" />
        <div class="row"><button class="act">Work it out</button> <a class="ghost" href="{{ route('stores') }}">Back to the stores</a></div>
    </form>
    <p class="legend"><span><i class="a use"></i>usable</span><span><i class="a all"></i>for running on without a disk</span><span><i class="a waste"></i>of larger disks, for nobody</span></p>
    @foreach ($arrangements as $level => $one)
        @php($is = Burrow\Stores\Arrays\Level::from($level))
        <section class="sheet" aria-labelledby="level-{{ $level }}">
            <div class="row tight"><h2 id="level-{{ $level }}">{{ ucfirst($is->label()) }}</h2>
                <span class="soft">{{ $one === null ? ($is === Burrow\Stores\Arrays\Level::Mirrors && $count >= 4 ? 'wants an even number of disks' : "wants at least {$is->least()} disks") : ($is->survives($count) === 0 ? 'a disk that ends takes what is on it' : ($is->survives($count) === 1 ? 'any one disk may end' : "any {$is->survives($count)} disks may end")) }}</span></div>
            @if ($one !== null)
                @php($width = fn(int $bytes): float => round(740 * $bytes / max(1, $most), 1))
                <svg class="copies" viewBox="0 0 760 40" role="img" aria-label="{{ $one->usable()->decimal() }} of {{ Burrow\Quantity\Bytes::of($most)->decimal() }} usable">
                    <rect class="c-all" x="10" y="8" width="740" height="24" rx="8" />
                    <rect class="c-use" x="10" y="8" width="{{ $width($one->usable()->count) }}" height="24" rx="8" />
                    @if ($one->wasted()->count > 0)
                        <rect class="c-waste" x="{{ 750 - $width($one->wasted()->count) }}" y="8" width="{{ $width($one->wasted()->count) }}" height="24" rx="8" />
                    @endif
                </svg>
                <p class="slim-text"><b>{{ $one->usable()->decimal() }}</b> usable{{ $one->wasted()->count > 0 ? ', ' . $one->wasted()->decimal() . ' of larger disks unused' : '' }}{{ $is === Burrow\Stores\Arrays\Level::Apart ? '' : '; a rebuild takes ' . $one->rebuild() . ' or more' . ($one->risk() > 0 ? ', with ' . number_format(100 * $one->risk(), 1) . ' % that a sector cannot be read meanwhile' : '') }}.</p>
                <x-working :working="$one->working()" />
            @endif
        </section>
    @endforeach
    <section class="sheet" aria-labelledby="snap-title"><h2 id="snap-title">Snapshots</h2>
        <p>A snapshot keeps the state of a moment on the same disks: it takes what changed since, saves from a wrong deletion, and goes with the disks. It is no copy. Room: changed on a day × days kept.</p></section>
</x-page>
