<x-page title="Rehearsal" place="bench">
    <x-slot:say><b>Practice before the real evening.</b> Something is hidden in a board of the bench; you find it by looking, and are told afterwards what it took.</x-slot:say>
    <div class="aside">
        <div class="stack">
            @if ($open !== null)
                <section class="sheet" aria-labelledby="open">
                    <h2 id="open">{{ $open->box->name }} does not do its work</h2>
                    <p>{{ count($open->left()) === 1 ? 'One thing is' : 'Two things are' }} hidden. So far {{ count($open->looks ?? []) }} looks, {{ Burrow\Diagnosis\Draw\HolePicture::minutes($open->minutes()) }} in a house.</p>
                    <div class="row"><a class="act" href="{{ route('box.diagnosis', $open->box_id) }}" data-done>Go on searching</a>
                        <form method="post" action="{{ route('rehearsal.end', $open) }}">@csrf<button class="ghost">Give up and be told</button></form>
                    </div>
                </section>
            @endif
            <section class="sheet" aria-labelledby="past">
                <h2 id="past">How it went</h2>
                @forelse ($past as ['rehearsal' => $one, 'hidden' => $hidden, 'best' => $best])
                    <article class="rehearsed">
                        <p><b>{{ $hidden }}</b> at {{ $one->box->name }}, @ago($one->begun_at). {{ $one->left() === [] ? 'Found' : 'Not found' }} in {{ Burrow\Diagnosis\Draw\HolePicture::minutes($one->minutes()) }}; at best {{ Burrow\Diagnosis\Draw\HolePicture::minutes($best) }}.
                            @if ($one->wrongGuesses() > 0)
                                Wrong guesses: {{ $one->wrongGuesses() }}.
                            @endif
                        </p>
                        @if (($one->looks ?? []) !== [])
                            <details class="working">
                                <summary><span>What each look was worth</span></summary>
                                <table class="lines"><tbody>
                                    @foreach ($one->looks as $look)
                                        <tr><th scope="row">{{ $knowledge->checks[$look['check']]->title ?? $look['check'] }}</th>
                                            <td>{{ $knowledge->checks[$look['check']]->answers[$look['answer']]->label ?? $look['answer'] }}</td>
                                            <td>{{ Burrow\Diagnosis\Draw\HolePicture::minutes((float) $look['minutes']) }}</td>
                                            <td>{{ (float) $look['bits'] > 0 ? "{$look['bits']} bits of doubt cleared" : 'doubt grew' }}</td></tr>
                                    @endforeach
                                </tbody></table>
                            </details>
                        @endif
                    </article>
                @empty
                    <p class="soft">No rehearsal yet. The first one takes about five minutes.</p>
                @endforelse
            </section>
        </div>
        <div class="stack">
            @if ($open === null)
                <form class="sheet" method="post" action="{{ route('rehearsal.begin') }}">@csrf
                    <h2>Hide something</h2>
                    @if ($boxes->isEmpty())
                        <p>No box stands on the bench. <a href="/plan">Plan one</a> and bring it up there first.</p>
                    @else
                        <x-choice name="box" label="In the board of" :options="$boxes->all()" :chosen="(int) old('box', $boxes->keys()->first())" />
                        <x-choice name="how" label="How hard" :options="[1 => 'one fault', 2 => 'two at once']" :chosen="(int) old('how', 1)" />
                        <div class="row"><button class="act">Begin</button></div>
                        <p class="hint">The board starts anew with it. What you find goes into no journal and no odds.</p>
                    @endif
                </form>
            @endif
            <p><a href="{{ route('bench') }}">To the boards</a></p>
        </div>
    </div>
</x-page>
