<?php

declare(strict_types=1);

namespace App\Http\Controllers\Card;

use App\Card\TargetRequest;
use App\Catalogue\Catalogue;
use App\Models\Box;
use App\Models\Desk;
use App\Models\ImageRecord;
use App\Models\JournalEntry;
use App\Models\Medium;
use App\Models\Network;
use Burrow\Card\Target\Checksum;
use Burrow\Household\DriveHealth;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/**
 * The image and the disk it goes on: nothing is written from here, and no command is shown before the disk is named
 * beyond doubt.
 */
final class TargetController
{
    public function __construct(private readonly Catalogue $catalogue)
    {
    }

    public function show(Request $request): View
    {
        $target = TargetRequest::from($request, $this->catalogue);

        return view('card.target', [
            'target' => $target,
            'box' => Box::query()->find($request->integer('box')),
            'desks' => Desk::query()->orderBy('id')->get(),
            'images' => ImageRecord::query()->orderBy('label')->get(),
            'kinds' => $this->catalogue->shelf()->images,
            'cards' => $this->catalogue->shelf()->cards,
        ]);
    }

    /**
     * An image on the shelf, with the checksum that its author published. One that somebody unknown re-packed wants a
     * reason.
     */
    public function image(Request $request): RedirectResponse
    {
        $typed = $request->validate(
            [
                'label' => ['required', 'string', 'max:80', Rule::unique('image_records', 'label')],
                'kind' => ['required', Rule::in(array_keys($this->catalogue->shelf()->images))],
                'version' => ['nullable', 'string', 'max:40'],
                'packed_gb' => ['nullable', 'numeric', 'between:0.001,2000'],
                'unpacked_gb' => ['nullable', 'numeric', 'between:0.001,2000'],
                'origin' => ['required', 'in:author,vouched,stranger'],
                'because' => ['required_if:origin,stranger', 'nullable', 'string', 'max:300'],
                'published' => ['nullable', 'string', 'max:2000'],
            ],
            [
                'label.unique' => 'There is an image of that name already.',
                'label.*' => 'A name of up to 80 characters.',
                'kind.*' => 'One of the catalogue.',
                'packed_gb.*' => 'Gigabytes, above zero.',
                'unpacked_gb.*' => 'Gigabytes, above zero.',
                'origin.*' => 'Who packed it.',
                'because.*' => 'An image from somebody unknown can carry a miner or a back door. Write down why you use it all the same.',
            ],
        );
        $sha256 = Checksum::in($typed['published'] ?? '');
        if (($typed['published'] ?? '') !== '' && $sha256 === null) {
            return back(fallback: route('target'))
                ->withInput()
                ->withErrors(['published' => 'This holds no SHA-256: 64 characters from 0 to 9 and a to f.']);
        }
        $bytes = fn (?string $gigabytes): ?int => $gigabytes === null
            ? null
            : (int) round((float) $gigabytes * 1e9);
        $record = ImageRecord::query()->create([
            'label' => $typed['label'],
            'kind' => $typed['kind'],
            'version' => $typed['version'] ?? '',
            'packed_bytes' => $bytes($typed['packed_gb'] ?? null),
            'unpacked_bytes' => $bytes($typed['unpacked_gb'] ?? null),
            'sha256' => $sha256,
            'origin' => $typed['origin'],
            'because' => $typed['because'] ?? '',
        ]);
        JournalEntry::write(
            Network::home(),
            $typed['origin'] === 'stranger' ? 'overruled' : 'image',
            "Image on the shelf: {$record->label}".
                ($typed['origin'] === 'stranger'
                    ? ", re-packed by somebody unknown, because {$record->because}."
                    : '.'),
        );

        return redirect()->route('target', ['image' => $record->id] + $request->only('box'));
    }

    /** What a tool printed, held against the published checksum. */
    public function checksum(Request $request, ImageRecord $record): RedirectResponse
    {
        $findings = Checksum::compare(
            (string) $record->sha256,
            $request->string('printed')->limit(2000, '')->value(),
        );
        if ($findings->blocks()) {
            return back(fallback: route('target'))
                ->withInput()
                ->withErrors([
                    'printed' => array_map(
                        fn ($finding): string => "{$finding->found} {$finding->why} {$finding->do}",
                        $findings->list,
                    ),
                ]);
        }
        $record->update(['checked_at' => now()]);
        JournalEntry::write(Network::home(), 'image', "{$record->label}: its checksum is the published one.");

        return redirect()
            ->route('target', ['image' => $record->id] + $request->only('box'))
            ->with('told', 'The file is the one that was published.');
    }

    public function dropImage(ImageRecord $record): RedirectResponse
    {
        JournalEntry::write(Network::home(), 'image', "Image off the shelf: {$record->label}.");
        $record->delete();

        return redirect()->route('target');
    }

    /** The register of cards and disks. */
    public function register(Request $request, Household $house): View
    {
        $media = Medium::query()
            ->with(['box', 'image'])
            ->orderBy('label')
            ->get();

        return view('stores.media', [
            'media' => $media,
            'health' => $this->health($house),
            'edited' => $media->firstWhere('id', $request->integer('edit')),
            'boxes' => Box::query()
                ->here()
                ->whereNotNull('name')
                ->orderBy('name')
                ->get(['id', 'name']),
            'images' => ImageRecord::query()->orderBy('label')->get(),
            'findings' => Findings::of(),
        ]);
    }

    /** @return array<string, DriveHealth> what each drive told of itself last, by serial number */
    private function health(Household $house): array
    {
        $by = [];
        foreach ($house->drives() as $drive) {
            $by[$drive->serial] = $drive;
        }

        return $by;
    }

    public function keep(Request $request): RedirectResponse
    {
        $typed = $request->validate(
            [
                'id' => ['nullable', 'integer'],
                'label' => [
                    'required',
                    'string',
                    'max:60',
                    Rule::unique('media', 'label')->ignore($request->integer('id')),
                ],
                'kind' => ['required', 'in:card,drive'],
                'serial' => ['nullable', 'string', 'max:80'],
                'gigabytes' => ['nullable', 'numeric', 'between:0.1,100000'],
                'purpose' => ['required', 'string', 'max:120'],
                'image_record_id' => ['nullable', 'exists:image_records,id'],
                'box_id' => ['nullable', 'exists:boxes,id'],
                'place' => ['nullable', 'string', 'max:120'],
                'warranty_until' => [
                    'nullable',
                    'bail',
                    'regex:/^[0-9]{4}(-[0-9]{2}){2}$/D',
                    'date_format:Y-m-d',
                    'after:1990-01-01',
                    'before:2100-01-01',
                ],
            ],
            [
                'label.unique' => 'There is one of that name already.',
                'label.*' => 'What is written on it, up to 60 characters.',
                'kind.*' => 'A card or a drive.',
                'gigabytes.*' => 'Gigabytes (10⁹ bytes), above zero.',
                'purpose.*' => 'What it is for, up to 120 characters.',
                'warranty_until.*' => 'A day, written as 2027-03-31.',
            ],
        );
        $medium = Medium::query()->updateOrCreate(
            ['id' => $typed['id'] ?? null],
            [
                'label' => $typed['label'],
                'kind' => $typed['kind'],
                'serial' => $typed['serial'] ?? null,
                'bytes' => isset($typed['gigabytes']) ? (int) round((float) $typed['gigabytes'] * 1e9) : null,
                'purpose' => $typed['purpose'],
                'image_record_id' => $typed['image_record_id'] ?? null,
                'box_id' => $typed['box_id'] ?? null,
                'may_be_wiped' => $request->boolean('may_be_wiped'),
                'place' => $typed['place'] ?? '',
                'warranty_until' => $typed['warranty_until'] ?? null,
            ],
        );
        JournalEntry::write(
            Network::home(),
            'register',
            "{$medium->label}: {$medium->purpose}".
                ($medium->may_be_wiped ? ', may be wiped.' : ', not to be wiped.'),
        );

        return redirect()->route('media')->with('told', 'Kept.');
    }

    /** How long writing took; the next one on this card is worked out from it. */
    public function took(Request $request, Medium $medium): RedirectResponse
    {
        $typed = $request->validate(
            [
                'minutes' => ['required', 'numeric', 'between:0.1,600'],
                'bytes' => ['required', 'integer', 'between:1000000,1000000000000'],
            ],
            ['minutes.*' => 'Minutes, 0.1 to 600.'],
        );
        $medium->update(['write_mbyte' => $typed['bytes'] / 1e6 / ($typed['minutes'] * 60)]);
        JournalEntry::write(
            Network::home(),
            'measured',
            "{$medium->label}: written in {$typed['minutes']} min.",
        );

        return redirect()
            ->route('media')
            ->with('told', 'Kept. The next writing on it is worked out from that.');
    }

    public function drop(Medium $medium): RedirectResponse
    {
        JournalEntry::write(Network::home(), 'register', "{$medium->label} is out of the register.");
        $medium->delete();

        return redirect()->route('media');
    }
}
