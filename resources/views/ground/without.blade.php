<x-page title="What if it were off?" place="ground" script="ground">
    <x-slot:say><b>{{ $without->sentence() }}</b> Nothing is changed by asking.</x-slot:say>
    <div class="aside">
        <div>
            <div class="picture" tabindex="0" aria-label="Cross-section, may be scrolled" data-narrow="{{ request()->fullUrlWithQuery(['narrow' => 1]) }}">
                <x-ground :picture="$picture" :ids="$ids" :network="$network" :off="$without->off" :lost="array_column($without->lose, 'box')" />
            </div>
            @if ($without->off !== [])
                <p class="legend"><span><i class="u off"></i>off</span><span><i class="u lost"></i>loses what it needs</span></p>
            @endif
        </div>
        <div class="stack">
            <form class="sheet" method="get" action="{{ route('without') }}">
                <x-choice name="off" label="Take a box out" :options="['' => 'none'] + array_combine($boxes, $boxes)" :chosen="$box" />
                @if ($switches !== [])
                    <x-choice name="switch" label="or what hangs on" :options="['' => 'no switch or supply'] + array_combine($switches, $switches)" :chosen="$switch" />
                @endif
                <div class="row"><button class="act" data-done>Look</button> <a class="ghost" href="/">Ground</a></div>
            </form>
            @if ($without->off !== [])
                <section class="sheet" aria-label="What it would mean">
                    @if ($without->house !== [])
                        <p class="slim">@mark('stop') <span><b>The whole house loses {{ implode(' and ', $without->house) }}.</b> <a href="{{ route('filter.lights-out') }}">By hand, without it</a></span></p>
                    @endif
                    @foreach ($without->lose as $one)
                        <p class="slim" data-stop tabindex="-1">@mark('warn') <span><b>{{ $one['box'] }}</b> loses {{ $one['what'] }}{{ $one['far'] > 1 ? ', because ' . $one['on'] . ' cannot do its work' : ' with ' . $one['on'] }}.</span></p>
                    @endforeach
                    @foreach ($without->ways as $one)
                        <p class="slim">@mark('warn') <span>Nobody comes in by {{ $one['way'] }} to {{ $one['box'] }}.</span></p>
                    @endforeach
                    @foreach ($without->stays as $one)
                        <p class="slim">@mark('fine') <span>{{ ucfirst($one['what']) }} stays: <b>{{ $one['by'] }}</b> does it as well, for whoever asks it.</span></p>
                    @endforeach
                    <p class="slim">@mark('fine') <span>{{ $without->works === [] ? 'Nothing else goes on.' : (count($without->works) === 1 ? 'Goes on: ' : 'Go on: ') . implode(', ', array_slice($without->works, 0, 30)) . (count($without->works) > 30 ? ' and more' : '') . '.' }}</span></p>
                    @if ($without->silent !== [])
                        <p class="slim">@mark('note') <span>{{ count($without->silent) === 1 ? 'Silent already: ' : 'Silent already, as last asked: ' }}{{ implode(', ', array_slice($without->silent, 0, 30)) }}.</span></p>
                    @endif
                </section>
                @if (count($order) > 1)
                    <section class="sheet" aria-labelledby="order-title">
                        <h2 id="order-title">Before it is switched off</h2>
                        <p>Shut down in this order: {{ implode(', then ', $order) }}. Started in the other direction.</p>
                    </section>
                @endif
                @if ($box !== '' && isset($ids[$box]) && auth()->user()->isKeeper())
                    <p><a href="{{ route('box.lost', $ids[$box]) }}">If {{ $box }} died tonight</a></p>
                @endif
            @endif
        </div>
    </div>
</x-page>
