@php($date = fn(?int $at): string => $at === null ? 'not in sight' : gmdate('j M Y', $at))
@php($tell = 'df -B1; for one in /dev/sd? /dev/nvme?n1; do [ -e "$one" ] && sudo smartctl -a "$one"; done')
<x-page title="Stores" place="stores">
    <x-slot:say><b>{{ $stores->count() === 1 ? 'One disk keeps files.' : $stores->count() . ' disks keep files.' }}</b>
        @if ($page->fills !== [])
            {{ ucfirst($page->fills[0]['fill']->mount) }} on {{ $page->fills[0]['fill']->box }} is the fullest, {{ $page->fills[0]['forecast']->usedPercent() }} %{{ $page->fills[0]['at']['at'] === null ? ', and not growing.' : '; 85 % about ' . $date($page->fills[0]['at']['at']) . '.' }}
        @endif
        Two disks are not a backup; a third copy belongs elsewhere.</x-slot:say>
    @if (! $page->findings->isEmpty())
        <div class="stack said">
            @foreach (array_slice($page->findings->list, 0, 6) as $finding)
                <x-finding :finding="$finding" />
            @endforeach
        </div>
    @endif
    @if ($stores->isEmpty() && $page->fills === [])
        <x-empty title="No store yet" href="/plan?job=file-store" link="Plan a file store">A store is a disk that a box keeps the household's files on.</x-empty>
    @endif
    @if ($page->fills !== [])
        <div class="fills">
            @foreach ($page->fills as $one)
                <section class="sheet" aria-label="{{ $one['fill']->mount }} on {{ $one['fill']->box }}">
                    <h2><span class="mono">{{ $one['fill']->mount }}</span> on {{ $one['fill']->box }}</h2>
                    <svg class="fill" viewBox="0 0 {{ $one['picture']::WIDTH }} {{ $one['picture']::HEIGHT }}" role="img"
                        aria-label="{{ $one['forecast']->usedPercent() }} percent used; 85 percent {{ $date($one['at']['at']) }}">
                        @foreach ([0, 0.5, 0.85, 1] as $share)
                            <path class="{{ $share === 0.85 ? 'f-limit' : 'f-line' }}" d="M{{ $one['picture']::LEFT }} {{ $one['picture']::y($share) }} H{{ $one['picture']::RIGHT }}" />
                            <text class="f-mark" x="{{ $one['picture']::LEFT - 6 }}" y="{{ $one['picture']::y($share) + 4 }}" text-anchor="end">{{ (int) round(100 * $share) }} %</text>
                        @endforeach
                        @if ($one['picture']->band !== '')
                            <path class="f-band" d="{{ $one['picture']->band }}" />
                            <path class="f-trend" d="{{ $one['picture']->trend }}" />
                        @endif
                        <path class="f-was" d="{{ $one['picture']->line }}" />
                        <path class="f-now" d="M{{ $one['picture']->now }} {{ $one['picture']::TOP }} V{{ $one['picture']::BOTTOM }}" />
                        @foreach ($one['picture']->marks as $mark)
                            <text class="f-mark" x="{{ $mark['x'] }}" y="180" text-anchor="{{ $loop->first ? 'start' : 'end' }}">{{ $mark['label'] }}</text>
                        @endforeach
                        <text class="f-mark" x="{{ $one['picture']->now }}" y="180" text-anchor="middle">now</text>
                        @if ($one['picture']->crossing !== null)
                            <circle class="f-cross" cx="{{ $one['picture']->crossing['x'] }}" cy="{{ $one['picture']::y(0.85) }}" r="5" />
                        @endif
                    </svg>
                    <p class="slim-text">{{ $one['forecast']->usedPercent() }} % of {{ Burrow\Quantity\Bytes::of($one['fill']->bytes)->decimal() }},
                        {{ $one['forecast']->perDay < 0 ? 'less' : 'more' }} by {{ Burrow\Quantity\Bytes::of((int) abs($one['forecast']->perDay))->decimal() }} a day.
                        @if ($one['at']['at'] !== null)
                            85 % {{ $date($one['at']['at']) }}{{ $date($one['at']['from']) === $date($one['at']['to']) ? '' : ', between ' . $date($one['at']['from']) . ' and ' . $date($one['at']['to']) }}.
                        @endif
                        @if ($one['forecast']->steps !== [])
                            {{ count($one['forecast']->steps) === 1 ? 'One step' : count($one['forecast']->steps) . ' steps' }} left out: {{ collect($one['forecast']->steps)->take(3)->map(fn($step) => ($step['bytes'] < 0 ? '−' : '+') . Burrow\Quantity\Bytes::of(abs($step['bytes']))->decimal() . ' on ' . $date($step['at']))->implode(', ') }}.
                        @endif
                    </p>
                </section>
            @endforeach
        </div>
    @endif
    @if ($page->drives !== [])
        <div class="sheet scroll" tabindex="0" role="region" aria-labelledby="drives-title">
            <h2 id="drives-title">How the drives are</h2>
            <x-list :heads="['Box', 'Drive', 'Hours', 'Warm', 'Replaced', 'Unreadable', 'Worn', 'Says itself', 'Looked']">
                @foreach ($page->drives as $drive)
                    <tr>
                        <td>{{ $drive->box }}</td>
                        <td>{{ $drive->model }} <span class="mono soft">{{ $drive->serial }}</span></td>
                        <td>{{ $drive->hours === null ? '—' : number_format($drive->hours, 0, '.', ' ') }}</td>
                        <td>{{ $drive->celsius === null ? '—' : $drive->celsius . ' °C' }}</td>
                        <td class="whole">@if (($drive->reallocated ?? 0) > ($drive->reallocatedFirst ?? 0))@mark('warn')@endif {{ $drive->reallocated ?? '—' }}</td>
                        <td class="whole">@if (($drive->pending ?? 0) > 0)@mark('warn')@endif {{ $drive->pending ?? '—' }}</td>
                        <td>{{ $drive->wearPercent === null ? '—' : $drive->wearPercent . ' %' }}</td>
                        <td class="whole">{{ $drive->passed === null ? 'nothing' : ($drive->passed ? 'well' : 'failing') }}</td>
                        <td>{{ $date($drive->at) }}</td>
                    </tr>
                @endforeach
            </x-list>
        </div>
    @endif
    @if ($stores->isNotEmpty())
        <div class="sheet scroll">
            <x-list :heads="['Box', 'Disk', 'Mounted at', 'Share', 'File system']">
                @foreach ($stores as $store)
                    <tr>
                        <td><a href="{{ route('box', $store->box_id) }}" data-stop>{{ $store->box->called() }}</a></td>
                        <td>{{ $store->bytes ? \Burrow\Quantity\Bytes::of($store->bytes)->decimal() . ' = ' . \Burrow\Quantity\Bytes::of($store->bytes)->binary() : '' }}<br><span
                                class="mono soft">{{ $store->serial }}</span></td>
                        <td class="mono">{{ $store->mount_point }}</td>
                        <td class="mono">{{ $store->share }}</td>
                        <td class="mono">{{ $store->uuid }}</td>
                    </tr>
                @endforeach
            </x-list>
        </div>
    @endif
    @if ($keeps && $boxes !== [])
        <section class="sheet" id="note" aria-labelledby="note-title">
            <h2 id="note-title">Note how full and how healthy they are</h2>
            <x-command id="tell-disks" :text="$tell"><x-slot:where>on the box</x-slot:where></x-command>
            <form method="post" action="{{ route('stores.note') }}">
                @csrf
                <x-choice name="box" label="Box" :options="$boxes" :chosen="old('box', '')" />
                <div class="field-set">
                    <label for="pasted">Paste what it prints</label>
                    <textarea class="in code" id="pasted" name="pasted" rows="4">{{ is_string(old('pasted')) ? old('pasted') : '' }}</textarea>
                </div>
                <div class="row"><button class="act">Note it</button></div>
            </form>
        </section>
    @endif
    <p class="row">@if ($keeps)<a class="ghost" href="{{ route('backups') }}">Backups: what is copied where</a> <a class="ghost" href="{{ route('alike') }}">Folders kept alike</a> <a class="ghost" href="{{ route('rights') }}">Who may do what with a share</a>@endif <a class="ghost" href="{{ route('arrays') }}">Several disks as one</a> <a class="ghost" href="{{ route('rest') }}">Let a disk rest</a> <a class="ghost" href="{{ route('growth') }}">What comes by itself</a> <a href="{{ route('media') }}">Register of cards and disks</a> <a href="{{ route('target') }}">Which disk an image goes on</a></p>
</x-page>
