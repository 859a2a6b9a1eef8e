<?php

declare(strict_types=1);

use App\Models\Box;
use App\Models\ForGuests;
use App\Models\JournalEntry;
use App\Models\Network;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Symfony\Component\HttpFoundation\StreamedResponse;

// A marked value in every column that holds a text; every page and file is read as a guest.

/** Columns whose values are one of a few words, or of a form by which pages are built, and those of the program. */
const OF_A_FORM = [
    '^boxes\.name$',
    '^(?:migrations|users|jobs|failed_jobs|cache|sessions|job_batches|tokens|report_inbox|catalogue_entries)\.',
    '^(?:tellings|reports|listings|diagnoses|rehearsals|plans|decisions)\.',
    '\.(?:stage|board|supply|cable|drive|image|card|case|hub|cooling|addon|link|kind|job|school|state|step|user)$',
    '\.(?:protocol|scheme|access|bound|mac|prefix|router|currency|country|time_zone|engine|domain|form|what|login)$',
    '\.(?:wan_kind|stages|findings|learned|adds|answers|cares|round|told_wrong|told_silent|client_columns|days)$',
    '\.(?:router_page|ranges|dns|ssids|tunnel|counts|open|looks|told|names|box|boxes|database|value|whole)$',
    '\.(?:card_codes|plugged|paths|clients|list_before|list_now)$',
];

/** @return array<string, string> mark => table.column */
function marked(): array
{
    $marks = [];
    $columns = DB::select(
        "SELECT TABLE_NAME t, COLUMN_NAME c, CHARACTER_MAXIMUM_LENGTH n FROM information_schema.COLUMNS WHERE TABLE_SCHEMA = DATABASE() AND DATA_TYPE IN ('varchar', 'text', 'mediumtext', 'longtext') ORDER BY 1, 2",
    );
    foreach ($columns as $i => $one) {
        $name = "{$one->t}.{$one->c}";
        if ($one->n < 17 || preg_match('/'.implode('|', OF_A_FORM).'/', $name) === 1) {
            continue;
        }
        $mark = sprintf('mk%03dx', $i);
        // A name of the network has a dot where one is asked for.
        $end =
            preg_match('/^(?:filter_exceptions|name_checks)\.name$|outside_name|_host$/', $name) === 1 ? '.test' : '';
        DB::table($one->t)->update([$one->c => DB::raw("CONCAT('{$mark}', id, '{$end}')")]);
        $marks[$mark] = $name;
    }

    return $marks;
}

/** @return list<string> every address that is read by GET, of every box, and what finds by words */
function routesToRead(): array
{
    $all = [];
    foreach (Route::getRoutes()->getRoutes() as $route) {
        if (in_array('GET', $route->methods(), true) && ! str_contains($route->uri(), 'feed/')) {
            $all[] = pathOf($route);
            if (str_contains($route->uri(), '{box}')) {
                foreach (Box::query()->pluck('id') as $id) {
                    $uri = str_replace('{box}', (string) $id, "/{$route->uri()}");
                    $all[] = (string) preg_replace('/\{\w+\??\}/', 'x', $uri);
                }
            }
        }
    }

    return [
        ...$all,
        '/find?q=mk0',
        '/find?q=mk1',
        '/find?q=secret-kind',
        '/journal/file.csv',
        '/journal/file.json',
        '/journal?words=mk',
        '/journal?kind=opening',
        '/ports?by=name',
    ];
}

test('a guest reads no field that is not listed for guests, on no page and in no file', function (): void {
    everythingOnce();
    $pages = array_values(array_unique(routesToRead()));
    $marks = marked();
    $seen = [];
    $read = 0;
    foreach ($pages as $page) {
        $answer = $this->asGuest()->get($page);
        expect([$page, $answer->getStatusCode() < 500])->toBe([$page, true]);
        if ($answer->getStatusCode() !== 200) {
            continue;
        }
        $read++;
        $text =
            $answer->baseResponse instanceof StreamedResponse
                ? $answer->streamedContent()
                : (string) $answer->getContent();
        foreach ($marks as $mark => $column) {
            str_contains($text, $mark) && ($seen[$column] ??= $page);
        }
    }
    expect(array_diff_key($seen, array_flip(ForGuests::FIELDS)))
        ->toBe([])
        ->and($read)
        ->toBeGreaterThan(60)
        ->and(count($marks))
        ->toBeGreaterThan(70)
        // What is listed is read somewhere, or the list is longer than it has to be.
        ->and(array_values(array_diff(ForGuests::FIELDS, array_keys($seen))))
        ->toBe([]);
});

test('a guest reads no kind of the journal that is not listed, by page, file or find', function (): void {
    $box = Box::query()->firstOrFail();
    $kinds = ['run', 'update', 'opening', 'key', 'filter', 'password', 'network', 'report', 'note', 'a-new-kind'];
    foreach ($kinds as $kind) {
        JournalEntry::write($box, $kind, "mark-of-{$kind}.");
        JournalEntry::write(Network::home(), $kind, "mark-of-{$kind}.");
    }
    foreach (
        [
            '/journal',
            '/journal/file.csv',
            '/journal/file.json',
            '/find?q=mark-of',
            "/boxes/{$box->id}",
            '/journal?words=mark-of',
            '/journal?kind=opening',
        ] as $page
    ) {
        $answer = $this->asGuest()->get($page)->assertOk();
        $text =
            $answer->baseResponse instanceof StreamedResponse
                ? $answer->streamedContent()
                : (string) $answer->getContent();
        preg_match_all('/mark-of-([a-z-]+)\./', $text, $m);
        expect([$page, array_diff($m[1], ['run', 'update'])])->toBe([$page, []]);
    }
    $this->asGuest()->get('/journal')->assertSee('mark-of-run');
    $this->flushSession();
    $this->asKeeper()->get('/journal')->assertSee('mark-of-opening');
});
