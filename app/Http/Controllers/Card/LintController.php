<?php

declare(strict_types=1);

namespace App\Http\Controllers\Card;

use App\Card\CardZip;
use App\Card\HouseKnowledge;
use App\Catalogue\Catalogue;
use App\Models\Box;
use App\Models\Network;
use Burrow\Card\AllClear;
use Burrow\Card\CardContext;
use Burrow\Card\CardFindings;
use Burrow\Card\CardFolder;
use Burrow\Card\Fixer;
use Burrow\Card\Linter;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;

/**
 * Looks over a card's files: a zip, or the files themselves. They are read, judged, mended where that is safe, and
 * forgotten.
 */
final class LintController
{
    private const MOST_FILES = 60;

    public function __construct(private readonly Catalogue $catalogue)
    {
    }

    public function show(Request $request): View
    {
        return $this->page($request, null, []);
    }

    public function lint(Request $request): View
    {
        $files = $skipped = [];
        $uploads = array_filter(
            is_array($request->file('card')) ? $request->file('card') : [],
            fn (mixed $one): bool => $one instanceof UploadedFile,
        );
        foreach (array_slice($uploads, 0, self::MOST_FILES) as $upload) {
            $name = basename(str_replace('\\', '/', $upload->getClientOriginalName()));
            if (! $upload->isValid() || $upload->getSize() > CardZip::LARGEST * 8) {
                $skipped[] = $name;

                continue;
            }
            $bytes = $upload->getContent();
            $zip = str_starts_with($bytes, "PK\x03\x04") ? CardZip::read($bytes) : null;
            if ($zip !== null) {
                $files += $zip->files;
            } elseif (strlen($bytes) <= CardZip::LARGEST) {
                $files[$name] = $bytes;
            } else {
                $skipped[] = $name;
            }
        }

        return $this->page($request, $files === [] ? null : new CardFolder($files), $skipped, true);
    }

    /** @param  list<string>  $skipped */
    private function page(Request $request, ?CardFolder $folder, array $skipped, bool $sent = false): View
    {
        $box = Box::query()->with('jobs')->find($request->integer('box'));
        $known = HouseKnowledge::of($box, $box->network ?? Network::home(), $this->catalogue);
        $image = $this->catalogue->image($request->string('image')->value()) ?? $known->image;
        $known = new CardContext(
            $image,
            $known->network,
            $known->names,
            $known->taken,
            $known->ssids,
            $request->has('started') ? $request->boolean('started') : $known->started,
            $known->lastInstance,
            $known->containers,
            $known->sixtyFour,
        );
        $fixed = $folder === null ? null : (new Fixer())->fix($folder, $known);
        $findings = $folder === null ? null : (new Linter())->lint($folder, $known);

        return view('card.lint', [
            'boxes' => Box::query()
                ->here()
                ->whereNotNull('name')
                ->orderBy('name')
                ->get(['id', 'name']),
            'box' => $box,
            'image' => $image,
            'images' => $this->catalogue->shelf()->images,
            'folder' => $folder,
            'skipped' => $skipped,
            'sent' => $sent,
            'started' => $known->started,
            'findings' => $findings,
            'partly' => array_intersect($findings?->codes() ?? [], CardFindings::UNREAD) !== [],
            'looked' => $folder === null ? [] : AllClear::words($folder, $known),
            'fixed' => $fixed,
            'left' => $fixed === null ? null : (new Linter())->lint($fixed->folder, $known),
            'zip' => $fixed === null || $fixed->changes === [] ? null : base64_encode(CardZip::of($fixed->folder)),
        ]);
    }
}
