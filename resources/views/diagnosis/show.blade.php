<x-page :title="$box->called() . ' does not do its work'" place="boxes">
    <x-slot:say>
        @if ($kept === null)
            <b>What happens?</b> One answer begins the search; Keen Burrow then asks the network what it can, and you look at one thing at a time.
        @else
            <b>{{ $told?->cause !== null ? 'It is this, most likely: ' : 'Most likely: ' }}{{ lcfirst($talk->causes()[0]->label()) }}
                ({{ Burrow\Diagnosis\Draw\RootPicture::percent($talk->causes()[0]->probability) }}).</b>
            {{ $talk->contradictions() === [] ? 'Answers so far: ' . count($talk->seen) . '.' : 'Two of the ' . count($talk->seen) . ' answers contradict each other.' }}
        @endif
    </x-slot:say>
    @if ($practice !== null)
        <p class="told">A rehearsal: something is hidden in this board of the bench. <a href="{{ route('rehearsal') }}">What it is about</a></p>
    @endif
    <div @class(['search', 'begins' => $kept === null])>
        @if ($kept !== null)
            <section aria-labelledby="known-title" class="known">
                <h2 id="known-title">What is known</h2>
                @foreach (Burrow\Diagnosis\DiagnosisFindings::about($talk) as $finding)
                    <x-finding :finding="$finding" />
                @endforeach
                <ul class="answers-known">
                    @foreach (array_reverse($talk->seen) as $seen)
                        @php($of = $talk->knowledge->checks[$seen->check])
                        <li>
                            <b>{{ $of->answers[$seen->answer]->label }}</b>
                            <span class="soft">{{ $of->title }}<br>{{ $seen->byTool ? 'asked' : 'you looked' }} @if ($seen->at !== null)@ago(Illuminate\Support\Carbon::createFromTimestamp($seen->at))@endif</span>
                            <form method="post" action="{{ route('box.diagnosis.forget', $box) }}">@csrf
                                <input type="hidden" name="revision" value="{{ $kept->revision }}"><input type="hidden" name="check" value="{{ $of->id }}">
                                <button class="link" aria-label="Not so: {{ $of->title }}">not so</button>
                            </form>
                        </li>
                    @endforeach
                </ul>
                <form method="post" action="{{ route('box.diagnosis.ask', $box) }}">@csrf<input type="hidden" name="revision" value="{{ $kept->revision }}"><button class="ghost">Ask the network again</button></form>
            </section>
        @endif
        <div class="ask">
            @if ($told !== null)
                <section class="sheet" aria-labelledby="told-title">
                    <span class="kind"><x-icon name="verify" /> {{ $told->cause === null ? 'nothing known fits' : Burrow\Diagnosis\Draw\HolePicture::minutes($told->cause->minutes) . ' of your time' }}</span>
                    <h2 id="told-title">{{ $told->label() }}</h2>
                    @if ($told->cause !== null)
                        <p>{{ $told->cause->cure }}</p>
                    @else
                        <p>None of the causes that Keen Burrow knows explains this. Look at one of the open checks, or end the search and write into the journal what it was.</p>
                    @endif
                    @if ($back !== null)
                        <p>Then go on in its run with <a href="{{ route('run', $back->run_id) }}">step {{ $back->position + 1 }}</a>.</p>
                    @endif
                    <form class="row" method="post" action="{{ route('box.diagnosis.cure', $box) }}">@csrf
                        <input type="hidden" name="revision" value="{{ $kept->revision }}"><input type="hidden" name="cause" value="{{ $told->id() }}">
                        <button class="act" name="came" value="well" data-digit="1"><kbd>1</kbd> {{ $practice ? 'I would put this right' : 'Done, it is well again' }}</button>
                        @if ($told->cause !== null && $practice === null)
                            <button class="ghost" name="came" value="still" data-digit="2"><kbd>2</kbd> Done, and still not well</button>
                            <button class="ghost" name="came" value="not" data-digit="3"><kbd>3</kbd> It is not that</button>
                        @endif
                    </form>
                </section>
            @elseif ($next === null)
                <x-empty>Nothing that could still be looked at would tell more.</x-empty>
            @else
                <section class="sheet" aria-labelledby="check-title">
                    <span class="kind"><x-icon :name="$next->check->where->value === 'tool' ? 'verify' : ($next->check->where->value === 'router' ? 'desk' : $next->check->where->value)" />
                        {{ $next->check->where->words() }}, {{ Burrow\Diagnosis\Draw\HolePicture::minutes($next->check->minutes) }}</span>
                    <h2 id="check-title">{{ $next->check->title }}</h2>
                    <p>{{ $next->check->how }}</p>
                    @if ($lights !== '' && collect($next->check->answers)->contains(fn($answer) => $answer->lights !== []))
                        <p class="soft">This class of board: {{ $lights }}</p>
                    @endif
                    @if ($next->check->id === 'card-read')
                        <p><a href="/card/lint">Check a card</a></p>
                    @endif
                    @if ($saw !== '')
                        <p class="bench-shows"><span class="kind">the bench shows</span> {{ $saw }}</p>
                    @endif
                    <form method="post" action="{{ route('box.diagnosis.answer', $box) }}">@csrf
                        <input type="hidden" name="revision" value="{{ $kept->revision ?? 0 }}"><input type="hidden" name="check" value="{{ $next->check->id }}">
                        @if (in_array($next->check->id, ['router-list', 'desk-address'], true))
                            <div class="field-set"><label for="pasted">Paste what it shows, and Keen Burrow looks</label>
                                <textarea class="code" id="pasted" name="pasted" rows="3" spellcheck="false">{{ old('pasted') }}</textarea>
                            </div>
                            <div class="row tight"><button class="ghost">Look in it</button></div>
                        @endif
                        <div @class(['answers-big', 'many' => $kept !== null && count($next->check->answers) > 6])>
                            @foreach ($next->check->answers as $answer)
                                @php($leads = $next->leadsTo[$answer->id])
                                <button name="answer" value="{{ $answer->id }}" @if ($loop->iteration < 10) data-digit="{{ $loop->iteration }}" @endif>
                                    @if ($answer->lights !== [])
                                        <svg viewBox="0 0 150 {{ 14 + 20 * count($answer->lights) }}" aria-hidden="true">
                                            @foreach ($answer->lights as $row => $light)
                                                <rect class="{{ $light->isEverLit() ? 'lit' : 'unlit' }}" x="2" y="{{ 6 + 20 * $row }}" width="20" height="13" rx="3" />
                                                <path class="trace" d="{{ $light->line($row) }}" />
                                            @endforeach
                                        </svg>
                                    @endif
                                    <b>@if ($loop->iteration < 10)<kbd>{{ $loop->iteration }}</kbd> @endif{{ $answer->label }}</b>
                                    @if ($kept !== null)
                                        <span class="soft">{{ lcfirst($leads->label()) }}, {{ Burrow\Diagnosis\Draw\RootPicture::percent($leads->probability) }}</span>
                                    @endif
                                </button>
                            @endforeach
                        </div>
                    </form>
                    @if ($kept !== null)
                        <form class="row" method="post" action="{{ route('box.diagnosis.cannot', $box) }}">@csrf
                            <input type="hidden" name="revision" value="{{ $kept->revision }}"><input type="hidden" name="check" value="{{ $next->check->id }}">
                            <button class="ghost" data-digit="0"><kbd>0</kbd> I cannot look now</button>
                        </form>
                        <h3>Why this check</h3>
                        <p class="slim-text">{{ $next->because }} A hole is as wide as its minutes and as deep as the doubt it clears.</p>
                        <div class="holes-heads of-{{ max(1, count($holes->holes)) }}">
                            @foreach ($holes->holes as $hole)
                                <a href="{{ route('box.diagnosis', ['box' => $box, 'check' => $hole['id']]) }}">{{ $hole['title'] }}<small>{{ $hole['said'] }}</small></a>
                            @endforeach
                        </div>
                        <svg class="holes" viewBox="0 0 440 78" aria-hidden="true" preserveAspectRatio="none">
                            <rect class="soil" x="0" y="10" width="440" height="68" />
                            <rect class="grass" x="0" y="6" width="440" height="5" />
                            @foreach ($holes->holes as $at => $hole)
                                <path class="hole @if ($hole['id'] === $next->check->id) this @endif" d="M{{ $hole['x'] }} 6h{{ round($hole['width'], 1) }}V{{ round($hole['depth'], 1) }}h-{{ round($hole['width'], 1) }}z" />
                            @endforeach
                        </svg>
                    @endif
                </section>
            @endif
            @if ($kept !== null)
                <details class="working">
                    <summary><span>I noticed something else</span></summary>
                    <ul class="plain-list">
                        @foreach ($checks as $check)
                            <li><a href="{{ route('box.diagnosis', ['box' => $box, 'check' => $check->id]) }}">{{ $check->title }}</a> <span class="soft">{{ $check->where->words() }}</span></li>
                        @endforeach
                    </ul>
                    <form class="row" method="post" action="{{ route('box.diagnosis.cure', $box) }}">@csrf
                        <input type="hidden" name="revision" value="{{ $kept->revision }}"><input type="hidden" name="came" value="well">
                        <div class="field-set grow"><label for="cause">I know what it was</label>
                            <select class="in" id="cause" name="cause">
                                @foreach (collect($talk->knowledge->causes)->sortBy('label') as $one)
                                    <option value="{{ $one->id }}">{{ $one->label }}</option>
                                @endforeach
                                <option value="something-else">Something else</option>
                            </select>
                        </div><button class="ghost">It was that, and it is well</button>
                    </form>
                    <form class="row" method="post" action="{{ route('box.diagnosis.stop', $box) }}">@csrf<input type="hidden" name="revision" value="{{ $kept->revision }}"><button class="ghost">End the search</button></form>
                </details>
            @endif
        </div>
        @if ($roots !== null)
            <section class="roots" aria-label="How likely each cause is">
                <p class="roots-box"><b>{{ $box->called() }}</b> {{ $box->hearing()->words() }}</p>
                <svg viewBox="0 0 {{ $roots::WIDTH }} {{ $roots->height }}" role="img" aria-label="{{ collect($roots->roots)->map(fn($root) => "{$root->label} {$root->share}")->implode(', ') }}">
                    <path class="trunk" d="{{ $roots->trunk }}" />
                    @foreach ($roots->roots as $root)
                        <path @class(['root', 'first' => $loop->first, 'open' => $root->open, 'twisted' => $root->twisted]) d="{{ $root->outline }}" />
                        @if ($root->before !== null)
                            <path class="tick" d="M{{ round($root->before, 1) }} {{ $root->y + 16 }}v16" />
                        @endif
                        <text class="r-name" x="44" y="{{ $root->y + 10 }}">{{ $root->label }}</text>
                        <text class="r-share" x="314" y="{{ $root->y + 47 }}" text-anchor="end">{{ $root->share }}</text>
                        <text class="r-why" x="44" y="{{ $root->y + 45 }}">{{ $root->because }}</text>
                    @endforeach
                </svg>
                <p class="soft-on-soil">A tick stands where it was before the last answer. Two may be there at once, so the shares may add up to more than 100.</p>
                @if ($working !== null)
                    <x-working :working="$working" />
                @endif
            </section>
        @endif
    </div>
    @if ($earlier->isNotEmpty())
        <section class="sheet below" aria-labelledby="earlier">
            <h2 id="earlier">Earlier searches</h2>
            @foreach ($earlier as $one)
                <p class="slim-text">@ago($one->ended_at): {{ $one->cause === null ? 'ended without a cause' : lcfirst($talk->knowledge->causes[$one->cause]->label ?? $one->cause) }}, after {{ count($one->observations()) }} answers</p>
            @endforeach
        </section>
    @endif
</x-page>
