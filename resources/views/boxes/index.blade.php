<x-page title="Boxes" place="boxes">
    <x-slot:say><b>{{ $inService }} in service,</b> {{ $boxes->total() - $inService }} on the way.</x-slot:say>
    @if ($boxes->isEmpty())
        <x-empty title="No box yet" href="/plan" link="Plan the first one">A box begins as a plan: what it is to do, and with which parts. The sheet says whether that
            fits.</x-empty>
    @else
        <div class="sheet scroll">
            <x-list :heads="['Box', 'Job', 'Address', 'Board', 'State', ...$inService < $boxes->total() ? ['Next'] : []]">
                @foreach ($boxes as $box)
                    <tr>
                        <td><a href="/boxes/{{ $box->id }}" data-stop><b>{{ $box->called() }}</b></a></td>
                        <td>{{ $box->jobs->map(fn($job) => $catalogue->job($job->job)?->label ?? $job->job)->implode(', ') }}</td>
                        <td class="mono">{{ $box->address ?? '—' }}</td>
                        <td>{{ ucfirst($box->board) }}</td>
                        @if ($box->stage->stands() && isset($page->hearing[$box->id]))
                            <td>@mark($page->hearing[$box->id]->state->mark()) {{ $page->hearing[$box->id]->words() }}{{ $box->isInService() ? '' : ', not finished' }}</td>
                        @else
                            <td>@mark('note') being set up</td>
                        @endif
                        @if ($inService < $boxes->total())
                            <td>@unless ($box->isInService())<x-next :box="$box" kind="plain" />@endunless</td>
                        @endif
                    </tr>
                @endforeach
            </x-list>
        </div>
        <x-pages :of="$boxes" />
        @if ($page->dark !== [])
            <section class="sheet scroll">
                <h2>What goes dark with which switch</h2>
                <x-list :heads="['Switch or supply', 'Shut down in this order', 'Keeps its power and suffers']">
                    @foreach ($page->dark as $one)
                        <tr>
                            <td><b>{{ $one['switch'] }}</b></td>
                            <td>{{ implode(', then ', $one['dark']) }}</td>
                            <td>{{ implode(', ', $one['suffer']) ?: 'nobody' }}</td>
                        </tr>
                    @endforeach
                </x-list>
                @foreach ($page->switches as $finding)
                    <x-slim :finding="$finding" />
                @endforeach
            </section>
        @endif
    @endif
    @if ($retired->isNotEmpty())
        <section class="sheet scroll" tabindex="0" aria-labelledby="retired-title">
            <h2 id="retired-title">Out of service</h2>
            <x-list :heads="['Box', 'Since', 'Its card']">
                @foreach ($retired as $box)
                    <tr>
                        <td><a href="/boxes/{{ $box->id }}">{{ $box->called() }}</a></td>
                        <td>{{ $box->retired_at?->setTimezone(\App\Models\Network::zone())->format('j M Y') }}</td>
                        <td>{{ $box->wiped_at ? 'wiped' : ($box->wipe_on ? 'kept until ' . $box->wipe_on->format('j M Y') : 'kept') }}</td>
                    </tr>
                @endforeach
            </x-list>
        </section>
    @endif
    <p class="row"><a href="{{ route('lint') }}">Look over a card's files</a> <a href="{{ route('target') }}">Which disk an image goes on</a> <a
            href="{{ route('media') }}">Register of cards and disks</a></p>
    <p class="row"><a class="ghost" href="{{ route('labels') }}">Labels for boxes, supplies and cards</a></p>
</x-page>
