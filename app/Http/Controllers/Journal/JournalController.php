<?php

declare(strict_types=1);

namespace App\Http\Controllers\Journal;

use App\Journal\JournalSearch;
use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Network;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** What happened, newest first: looked for, added to, taken along. */
final class JournalController
{
    /** Entries of one file; a household of ten years has fewer. */
    private const MOST = 100_000;

    private const BOXES = 300;

    private const NOTE = 500;

    public function index(Request $request): View
    {
        $search = JournalSearch::of($request);

        return view('journal.index', [
            'search' => $search,
            'entries' => $search->query()->paginate(60)->appends($search->fields()),
            'kinds' => JournalEntry::query()
                ->shownTo($request->user())
                ->distinct()
                ->orderBy('kind')
                ->limit(60)
                ->pluck('kind')
                ->all(),
            'names' => Box::query()
                ->whereNotNull('name')
                ->orderBy('name')
                ->limit(self::BOXES)
                ->pluck('name')
                ->all(),
            'keeps' => $request->user()?->isKeeper() === true,
            'wrong' => is_string(session('note_wrong')) ? session('note_wrong') : null,
        ]);
    }

    /** In the household's own words, of a box or of the house. */
    public function note(Request $request): RedirectResponse
    {
        $text = trim($request->string('noted')->value());
        $name = trim($request->string('note_box')->value());
        $box = $name === '' ? null : Box::query()->where('name', $name)->first();
        $back = redirect()->to(route('journal').'#note');
        if ($text === '' || mb_strlen($text) > self::NOTE || ($name !== '' && $box === null)) {
            return $back
                ->withInput([
                    'noted' => mb_substr($text, 0, 2 * self::NOTE),
                    'note_box' => mb_substr($name, 0, 63),
                ])
                ->with(
                    'note_wrong',
                    $name !== '' && $box === null
                        ? 'There is no such box.'
                        : 'A note has 1 to '.self::NOTE.' letters.',
                );
        }
        JournalEntry::write($box ?? Network::home(), 'note', $text);

        return redirect()->route('journal')->with('told', 'It is written down, and is never changed.');
    }

    /** All that was looked for, as a table or for programs. */
    public function file(Request $request, string $kind): StreamedResponse
    {
        abort_unless(in_array($kind, ['csv', 'json'], true), 404);
        $query = JournalSearch::of($request)->query()->limit(self::MOST);
        $csv = $kind === 'csv';

        return response()->streamDownload(
            function () use ($query, $csv): void {
                $out = fopen('php://output', 'wb') ?: throw new \RuntimeException('No way out.');
                $csv ? fputcsv($out, ['at', 'box', 'kind', 'text', 'by'], escape: '') : fwrite($out, '[');
                $first = true;
                foreach ($query->lazy(500) as $one) {
                    $row = [
                        'at' => $one->at->toIso8601String(),
                        'box' => $one->box?->name,
                        'kind' => (string) $one->kind,
                        'text' => (string) $one->text,
                        'by' => (string) $one->by,
                    ];
                    if ($csv) {
                        // What a table program would take for a formula is text.
                        fputcsv(
                            $out,
                            array_map(
                                fn (?string $cell): string => preg_match('/^[=+\-@\t\r]/', (string) $cell) ===
                                1
                                    ? "'{$cell}"
                                    : (string) $cell,
                                $row,
                            ),
                            escape: '',
                        );
                    } else {
                        fwrite(
                            $out,
                            ($first ? "\n" : ",\n").
                                json_encode(
                                    $row,
                                    JSON_UNESCAPED_UNICODE |
                                        JSON_UNESCAPED_SLASHES |
                                        JSON_INVALID_UTF8_SUBSTITUTE,
                                ),
                        );
                    }
                    $first = false;
                }
                $csv || fwrite($out, "\n]\n");
                fclose($out);
            },
            "journal.{$kind}",
            ['Content-Type' => $csv ? 'text/csv; charset=utf-8' : 'application/json'],
        );
    }
}
