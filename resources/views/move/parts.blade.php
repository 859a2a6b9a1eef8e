<x-page :title="'Other parts for ' . $box->called()" place="boxes">
    <x-slot:say>
        @if ($swap->isEmpty())
            <b>Choose what is to be another one.</b> Whether it does the job is worked out before anything is unscrewed.
        @elseif (! $known)
            <b>Not enough is known of {{ $box->called() }} to judge it.</b> Its supply, cable and board have to be in the record.
        @elseif ($comes === [])
            <b>Nothing new speaks against it{{ $gone === [] ? '' : ', and ' . (count($gone) === 1 ? 'one thing' : count($gone) . ' things') . ' no longer ' . (count($gone) === 1 ? 'does' : 'do') }}.</b> {{ $stays === 0 ? '' : ($stays === 1 ? 'One thing stays as it is.' : $stays . ' things stay as they are.') }}
        @else
            <b>{{ count($comes) === 1 ? 'One thing' : count($comes) . ' things' }} would speak against it that {{ count($comes) === 1 ? 'does' : 'do' }} not now.</b>
        @endif
    </x-slot:say>
    <form class="sheet port-form" method="get" action="{{ route('box.parts', $box) }}">
        @foreach ($options as $part => $labels)
            @php($has = (string) $new->getAttribute($part))
            <x-choice :name="$part" :label="ucfirst(Burrow\Move\PartSwap::PARTS[$part])" :options="(isset($labels[$has]) ? [] : [$has => $has === '' ? 'not known' : $has]) + $labels" :chosen="$has" />
        @endforeach
        <x-choice name="alike" label="Another one of the same kind" :options="['' => 'none'] + $alikes" :chosen="$alike" />
        <div class="row"><button class="act">Look whether it does</button> <a class="ghost" href="{{ route('box', $box) }}">Back to {{ $box->called() }}</a></div>
    </form>
    @if (! $swap->isEmpty())
        <div class="two spaced">
            <div class="stack">
                @foreach ($comes as $finding)
                    <x-finding :finding="$finding" />
                @endforeach
                @foreach ($gone as $finding)
                    <p class="slim">@mark('fine') <span>No longer: {{ $finding->found }}</span></p>
                @endforeach
                @if ($comes === [] && $gone === [])
                    <p class="slim">@mark('fine') <span>The planner says the same of it as before.</span></p>
                @endif
                <form class="sheet" method="post" action="{{ route('box.parts.keep', $box) }}">
                    @csrf
                    <input type="hidden" name="alike" value="{{ $alike }}">
                    @foreach (array_keys($options) as $part)
                        <input type="hidden" name="{{ $part }}" value="{{ $new->getAttribute($part) }}">
                    @endforeach
                    @if ($stores->count() > 1)
                        <x-choice name="store" label="What lies on the disk that is changed" :options="$stores->mapWithKeys(fn($one) => [$one->id => $one->label . ', at ' . $one->mount_point])->all()" :chosen="old('store')" />
                    @elseif ($stores->isNotEmpty())
                        <input type="hidden" name="store" value="{{ $stores->first()->id }}">
                    @endif
                    @if ($book !== null)
                        <p><b>{{ count($book->steps->list) }} steps, with the way back beside them.</b> {{ $book->steps->handsLeft([]) }} of your hands, {{ $book->steps->waitLeft([]) }} of waiting. The record has the other part when the last one is over.</p>
                        <div class="row"><button class="act" formaction="{{ route('box.parts.lead', $box) }}">Be led through it</button> <button class="ghost">It has them now</button></div>
                        <p class="hint">“It has them now” only writes it down{{ $swap->forgets() === [] ? '' : '; the record forgets ' . (in_array('mac', $swap->forgets(), true) ? 'the hardware address and that it was pinned' : 'when the card was written') }}.</p>
                    @else
                        <p>When it is done, write it down: the record{{ $swap->forgets() === [] ? ' has other parts then' : ', which forgets ' . (in_array('mac', $swap->forgets(), true) ? 'the hardware address and that it was pinned' : 'when the card was written') }}.</p>
                        <div class="row"><button class="act">It has them now</button></div>
                        @if ($box->stage->stands())
                            <p class="hint"><b>Not led through step by step.</b> {{ $notLed }}</p>
                        @endif
                    @endif
                </form>
            </div>
            <section class="sheet" aria-labelledby="steps-title">
                <h2 id="steps-title">In this order</h2>
                <ol class="steps-list">
                    @if ($book !== null)
                        @foreach ($book->steps->list as $step)
                            <li>{{ $step->title }}</li>
                        @endforeach
                    @else
                        @foreach ($swap->steps((string) $box->name, (string) $box->user) as $step)
                            <li><b>{{ $step['what'] }}.</b> {{ $step['how'] }}</li>
                        @endforeach
                    @endif
                </ol>
            </section>
        </div>
    @endif
</x-page>
