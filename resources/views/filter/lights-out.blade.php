<x-page title="When the house has no names" place="addresses">
    <x-slot:say><b>For somebody who does not know the house.</b> Every address here is a number, because names are what is missing. <span class="unprinted">Print it and lay it beside the router.</span></x-slot:say>
    @if ($sheet === null)
        <x-empty title="No filter yet" href="/plan?job=dns-filter" link="Plan one">Without a box that answers names there is nothing to go back from.</x-empty>
    @else
        <section class="sheet paper" aria-label="Steps">
            <p class="lead">Pages do not open, and say “name not found” or “no DNS”.</p>
            <ol class="steps-plain">
                @foreach ($sheet->steps() as [$do, $then])
                    <li><b>{{ $do }}</b><br>{{ $then }}</li>
                @endforeach
            </ol>
            <dl class="pairs">
                <dt>Router</dt><dd class="mono">{{ $sheet->router }}</dd>
                @foreach ($filters as [$name, $address])
                    <dt>{{ $name }}</dt><dd class="mono">{{ $address }}</dd>
                @endforeach
                <dt>Set back on</dt><dd>______________ by ______________</dd>
            </dl>
        </section>
        <p class="row unprinted"><button class="act" type="button" data-print>Print it</button> @if (auth()->user()?->isKeeper())<a class="ghost" href="{{ route('filter') }}">Back to the workbench</a>@endif</p>
    @endif
</x-page>
