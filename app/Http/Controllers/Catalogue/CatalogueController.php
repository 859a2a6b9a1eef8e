<?php

declare(strict_types=1);

namespace App\Http\Controllers\Catalogue;

use App\Catalogue\Catalogue;
use App\Catalogue\OwnEntry;
use App\Models\CatalogueEntry;
use Burrow\Judgement\Findings;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Jobs, boards and parts, built in and of the household's own. */
final class CatalogueController
{
    /** Of a text that was refused, as much is shown again, in bytes: more than any entry has. */
    private const KEPT = 200_000;

    public function __construct(private readonly Catalogue $catalogue)
    {
    }

    /** With ?edit=kind/id, that entry's YAML stands ready to be changed. */
    public function index(Request $request): View
    {
        [$kind, $id] = explode('/', $request->string('edit', $request->string('kind')->value())->value().'/', 3);
        $known = isset(Catalogue::KINDS[$kind]);
        // What could not be taken in stands there as it was typed, with the reasons.
        $typed = old('yaml');
        if ($known && is_string($typed)) {
            return $this->page(OwnEntry::read($kind, $typed)->findings, $typed, $kind);
        }

        return $this->page(Findings::of(), $known ? $this->yaml($kind, $id) ?? '' : '', $known ? $kind : 'job');
    }

    public function destroy(string $kind, string $id): RedirectResponse
    {
        abort_unless(isset(Catalogue::KINDS[$kind]), 404);
        $refused = $this->catalogue->drop($kind, $id);

        return redirect()
            ->route('catalogue', ['kind' => $kind])
            ->with(
                'told',
                $refused === null ? 'Your own entry is gone.' : "It stays: {$refused->found} {$refused->do}",
            );
    }

    public function import(Request $request): RedirectResponse
    {
        $yaml = str_replace("\r\n", "\n", $request->string('yaml')->value());
        $kind = isset(Catalogue::KINDS[$request->string('kind')->value()])
            ? $request->string('kind')->value()
            : 'board';
        $entry = $this->catalogue->import($kind, $yaml);

        return $entry->data === null
            ? redirect()
                ->route('catalogue', ['kind' => $kind])
                ->withInput(['yaml' => mb_strcut($yaml, 0, self::KEPT)])
            : redirect()
                ->route('catalogue', ['kind' => $kind])
                ->with('told', 'Taken in. It can be chosen in a plan from now on.');
    }

    public function export(Request $request, string $kind, string $id): Response
    {
        abort_unless(isset(Catalogue::KINDS[$kind]), 404);
        $yaml = $request->boolean('built-in') ? $this->catalogue->builtIn($kind, $id) : $this->yaml($kind, $id);
        abort_unless(is_string($yaml), 404);

        return response($yaml, 200, [
            'Content-Type' => 'application/yaml',
            'Content-Disposition' => 'attachment; filename="'.basename($id).'.yaml"',
        ]);
    }

    private function yaml(string $kind, string $id): ?string
    {
        $own = CatalogueEntry::query()->where('kind', $kind)->where('slug', $id)->value('yaml');

        return is_string($own) ? $own : $this->catalogue->builtIn($kind, $id);
    }

    private function page(Findings $findings, string $yaml, string $kind): View
    {
        return view('catalogue.index', [
            'catalogue' => $this->catalogue,
            'unread' => $this->catalogue->unread(),
            'unreadEntries' => $this->catalogue->unreadEntries(),
            'findings' => $findings,
            'yaml' => $yaml,
            'kind' => $kind,
            'own' => CatalogueEntry::query()
                ->get()
                ->map(fn (CatalogueEntry $entry): string => $entry->kind.'/'.$entry->slug)
                ->all(),
        ]);
    }
}
