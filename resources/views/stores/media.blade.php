@php($was = fn(string $name, mixed $usual) => old($name, $edited?->{$name} ?? $usual))
<x-page title="Cards and disks" place="stores">
    <x-slot:say><b>{{ $media->isEmpty() ? 'The register is empty.' : ($media->count() === 1 ? 'One card or disk.' : $media->count() . ' cards and disks.') }}</b> The card is
        the job: another card in the same board is another box. What is not to be wiped is never named as a target.</x-slot:say>
    <div class="two">
        <div class="sheet scroll">
            @if ($media->isEmpty())
                <p class="soft">Write on the card what is written here, and it is found again in a drawer.</p>
            @else
                <table class="list">
                    <thead>
                        <tr>
                            <th scope="col">Label</th>
                            <th scope="col">For</th>
                            <th scope="col">How it is</th>
                            <th scope="col">Lies</th>
                            <th scope="col"><span class="unseen">What to do</span></th>
                        </tr>
                    </thead>
                    <tbody>
                        @foreach ($media as $one)
                            <tr>
                                <td><b>{{ $one->label }}</b><br><span
                                        class="soft">{{ $one->kind }}{{ $one->bytes === null ? '' : ', ' . \Burrow\Quantity\Bytes::of((int) $one->bytes)->decimal() }}</span><br><span
                                        class="mono soft">{{ $one->serial }}</span></td>
                                <td>{{ $one->purpose }}{{ $one->box === null ? '' : ', ' . $one->box->called() }}{{ $one->image === null ? '' : ', ' . $one->image->label }}<br>@mark($one->may_be_wiped ? 'fine' : 'stop') {{ $one->may_be_wiped ? 'may be wiped' : 'not to be wiped' }}</td>
                                @php($told = $one->serial === null ? null : $health[$one->serial] ?? null)
                                <td>@if ($told === null)<span class="soft">not told</span>@else @mark(Burrow\Judgement\Findings::of(...Burrow\Stores\StoresConcern::ofDrive($told))->gravestFirst()->list[0]->severity->value ?? 'fine') {{ implode(', ', array_filter([$told->hours === null ? '' : number_format($told->hours, 0, '.', ' ') . ' h', ($told->reallocated ?? 0) + ($told->pending ?? 0) > 0 ? ($told->reallocated ?? 0) + ($told->pending ?? 0) . ' bad sectors' : '', $told->wearPercent === null ? '' : $told->wearPercent . ' % worn'])) }}<br><span class="soft whole">{{ gmdate('j M Y', $told->at) }}</span>@endif
                                    @if ($one->warranty_until !== null)<br><span class="soft">warranty until<br>{{ $one->warranty_until->format('j M Y') }}</span>@endif</td>
                                <td>{{ $one->place }}</td>
                                <td class="whole"><a href="{{ route('media', ['edit' => $one->id]) }}" aria-label="Change {{ $one->label }}">change</a>
                                    <form method="post" action="{{ route('media.drop', $one) }}">@csrf @method('delete')<button class="plain">take out</button></form>
                                </td>
                            </tr>
                        @endforeach
                    </tbody>
                </table>
            @endif
        </div>
        <form class="sheet tight" method="post" action="{{ route('media.keep') }}">
            @csrf
            <h2>{{ $edited === null ? 'Put one into the register' : 'Change ' . $edited->label }}</h2>
            @if ($edited !== null)
                <input type="hidden" name="id" value="{{ $edited->id }}">
            @endif
            @foreach (['label' => 'What is written on it', 'purpose' => 'What it is for', 'serial' => 'Serial number, as the disk list shows it', 'place' => 'Where it lies'] as $name => $label)
                <div class="field-set"><label for="{{ $name }}">{{ $label }}</label><input class="in" id="{{ $name }}" name="{{ $name }}"
                        value="{{ $was($name, '') }}" @error($name) aria-invalid="true" aria-describedby="{{ $name }}-says" @enderror>
                    @error($name)
                        <p class="hint" id="{{ $name }}-says">{{ $message }}</p>
                    @enderror
                </div>
            @endforeach
            <div class="pair">
                <x-choice name="kind" label="Kind" :options="['card' => 'card', 'drive' => 'drive']" :chosen="$was('kind', 'card')" />
                <div class="field-set"><label for="gigabytes">Gigabytes (10⁹ bytes)</label><input class="in num" id="gigabytes" name="gigabytes" inputmode="decimal"
                        value="{{ old('gigabytes', $edited?->bytes === null ? '' : $edited->bytes / 1e9) }}"
                        @error('gigabytes') aria-invalid="true" aria-describedby="gigabytes-says" @enderror>
                    @error('gigabytes')
                        <p class="hint" id="gigabytes-says">{{ $message }}</p>
                    @enderror
                </div>
                <div class="field-set"><label for="warranty_until">Warranty until</label><input class="in code" id="warranty_until" name="warranty_until" placeholder="2027-03-31" autocomplete="off"
                        value="{{ old('warranty_until', $edited?->warranty_until?->format('Y-m-d') ?? '') }}"
                        @error('warranty_until') aria-invalid="true" aria-describedby="warranty_until-says" @enderror>
                    @error('warranty_until')
                        <p class="hint" id="warranty_until-says">{{ $message }}</p>
                    @enderror
                </div>
                <x-choice name="box_id" label="Box" :options="['' => 'none'] + $boxes->mapWithKeys(fn($box) => [$box->id => $box->name])->all()" :chosen="(string) $was('box_id', '')" />
                <x-choice name="image_record_id" label="Image on it" :options="['' => 'none'] + $images->mapWithKeys(fn($image) => [$image->id => $image->label])->all()" :chosen="(string) $was('image_record_id', '')" />
            </div>
            <div class="ticks one"><label><input type="checkbox" name="may_be_wiped" value="1" @checked(old('label') !== null ? old('may_be_wiped') : $edited?->may_be_wiped)> it may be wiped</label></div>
            <div class="row"><button class="act" data-done>Keep</button></div>
        </form>
    </div>
</x-page>
