<x-page title="The first ten minutes" place="ground">
    <x-slot:say><b>From a plan to a box in service, on the bench.</b> Nothing is bought and nothing is plugged in: boards are simulated on this machine, with a clock that runs faster. All else is real.</x-slot:say>
    <div class="aside">
        <section class="sheet" aria-labelledby="steps-title">
            <h2 id="steps-title">{{ count(App\House\Tour::STEPS) }} steps</h2>
            <ol class="steps-list">
                @foreach (App\House\Tour::STEPS as $i => [$title, $text])
                    <li @if ($tour?->at === $i) aria-current="step" @endif>@if ($tour !== null && $tour->at > $i) @mark('fine') @endif <b>{{ $title }}.</b> {{ $text }}</li>
                @endforeach
            </ol>
            <div class="row">
                @if ($tour === null)
                    <form method="post" action="{{ route('tour.begin') }}">@csrf<button class="act" data-done>Begin</button></form>
                @else
                    <a class="act" href="{{ $tour->where }}" data-done>Go on: {{ lcfirst($tour->title()) }}</a>
                    <form method="post" action="{{ route('tour.end') }}">@csrf<button class="ghost">End the tour</button></form>
                @endif
            </div>
        </section>
        <div class="stack">
            <section class="sheet">
                <h2>Good to know</h2>
                <p>A board that is put on the bench stands in Ground like any other. When you are through, take it out of the record on its page.</p>
                <p>A house full of sample boxes to look at runs beside yours: a second copy in another folder, with <code>BURROW_PORT=8738 ./burrow up</code>.</p>
            </section>
        </div>
    </div>
</x-page>
