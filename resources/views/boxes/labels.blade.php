<x-page title="Labels" place="boxes">
    <x-slot:say><span class="unprinted"><b>{{ $count === 1 ? 'One label' : $count . ' labels' }} on {{ count($sheets) === 1 ? 'one sheet' : count($sheets) . ' sheets' }}.</b> Boxes, their supplies, and what the register has. Print at 100 %, without the page’s own margins, on plain paper first.</span></x-slot:say>
    <form class="sheet port-form unprinted" method="get" action="{{ route('labels') }}">
        <x-choice name="size" label="Sheets" :options="collect(Burrow\Paper\LabelSize::cases())->mapWithKeys(fn($one) => [$one->value => $one->label()])->all()" :chosen="$size->value" />
        <div class="field-set"><label for="skip">Labels of the first sheet that are gone</label><input class="in code" id="skip" name="skip" inputmode="numeric" maxlength="3" value="{{ $skip }}"></div>
        <div class="row"><button class="act">Show</button> <button class="ghost" type="button" data-print>Print them</button> <a class="ghost" href="{{ route('boxes') }}">Back to the boxes</a></div>
    </form>
    <div class="labels-around" tabindex="0" role="region" aria-label="Sheets of labels, may be scrolled">
        @foreach ($sheets as $sheet)
            <svg class="labels" viewBox="0 0 210 297" role="img" aria-label="Sheet {{ $loop->iteration }}: {{ implode(', ', array_column($sheet, 'name')) }}">
                @foreach ($sheet as $label)
                    <rect class="l-cut" x="{{ $label['x'] }}" y="{{ $label['y'] }}" width="{{ $size->width() }}" height="{{ $size->height() }}" rx="1.5" />
                    <text class="l-name" x="{{ $label['text'] }}" y="{{ $label['nameY'] }}" font-size="{{ $label['nameSize'] }}">{{ $label['name'] }}</text>
                    <text class="l-line" x="{{ $label['text'] }}" y="{{ $label['lineY'] }}" font-size="{{ $label['lineSize'] }}">{{ $label['line'] }}</text>
                @endforeach
            </svg>
        @endforeach
    </div>
</x-page>
