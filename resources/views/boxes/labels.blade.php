<x-page title="Labels" place="boxes">
    <x-slot:say><span class="unprinted"><b>{{ $count === 1 ? 'One label' : $count . ' labels' }} on {{ count($sheets) === 1 ? 'one sheet' : count($sheets) . ' sheets' }}.</b> Boxes, their supplies, and what the register has. Print at 100 %, without the page’s own margins, on plain paper first.</span></x-slot:say>
    <form class="sheet port-form unprinted" method="get" action="{{ route('labels') }}">
        <x-choice name="size" label="Sheets" :options="collect(Burrow\Paper\LabelSize::cases())->mapWithKeys(fn($one) => [$one->value => $one->label()])->all()" :chosen="$size->value" />
        <div class="field-set"><label for="skip">Labels of the first sheet that are gone</label><input class="in code" id="skip" name="skip" inputmode="numeric" maxlength="3" value="{{ $skip }}"></div>
        <div class="row"><button class="act">Show</button> <button class="ghost" type="button" data-print>Print them</button> <a class="ghost" href="{{ route('boxes') }}">Back to the boxes</a></div>
    </form>
    <div class="labels-around" tabindex="0" role="region" aria-label="Sheets of labels, may be scrolled">
        @foreach ($sheets as $sheet)
            <svg class="labels" viewBox="0 0 210 297" role="img" aria-label="Sheet {{ $loop->iteration }}: {{ collect($sheet)->filter()->map(fn($one) => $one[0])->implode(', ') }}">
                @foreach ($sheet as $i => $label)
                    @if ($label !== null)
                        @php($x = $size->left() + ($i % $size->columns()) * $size->width())
                        @php($y = $size->top() + intdiv($i, $size->columns()) * $size->height())
                        <rect class="l-cut" x="{{ round($x, 2) }}" y="{{ round($y, 2) }}" width="{{ $size->width() }}" height="{{ $size->height() }}" rx="1.5" />
                        <text class="l-name" x="{{ round($x + 3, 2) }}" y="{{ round($y + $size->height() / 2 - 0.5, 2) }}" font-size="{{ round(min(7, 1.6 * ($size->width() - 6) / max(6, mb_strlen($label[0]))), 2) }}">{{ $label[0] }}</text>
                        <text class="l-line" x="{{ round($x + 3, 2) }}" y="{{ round($y + $size->height() / 2 + 4.5, 2) }}" font-size="{{ round(min(3.4, 1.7 * ($size->width() - 6) / max(8, mb_strlen($label[1]))), 2) }}">{{ $label[1] }}</text>
                    @endif
                @endforeach
            </svg>
        @endforeach
    </div>
</x-page>
