<?php

declare(strict_types=1);

use App\Household\RecordStamp;
use App\Models\Box;
use App\Models\Service;
use App\View\Pages;
use Illuminate\Support\Facades\DB;

// Long lists come in pages, and nothing is lost between them.

test('lists of more than two hundred rows come in pages that hold every row once', function (
    string $path,
    string $row,
    int $pages,
): void {
    $model = Box::query()->where('name', 'larder')->firstOrFail();
    for ($number = 0; $number < 2 * Pages::ROWS + 30; $number++) {
        $box = $model->replicate()->fill([
            'name' => "row{$number}row",
            'address' => '10.9.'.intdiv($number, 250).'.'.(($number % 250) + 1),
            'updated_system_at' => now(),
        ]);
        $box->save();
        $box->jobs()->create(['job' => 'file-store', 'finished_at' => now()]);
        Service::query()->create([
            'box_id' => $box->id,
            'port' => 7000,
            'protocol' => 'tcp',
            'purpose' => 'a page',
        ]);
    }
    $seen = [];
    $next = $path;
    for ($page = 0; $page < 9 && $next !== null; $page++) {
        $html = (string) $this->asKeeper()->get($next)->assertOk()->getContent();
        preg_match_all("~<{$row}~", $html, $rows);
        expect(count($rows[0]))->toBeLessThanOrEqual(Pages::ROWS + 10);
        preg_match_all('/row\d+row/', $html, $found);
        $seen = [...$seen, ...array_unique($found[0])];
        $next =
            preg_match('~href="([^"]+)">Further in the list~', $html, $link) === 1
                ? html_entity_decode($link[1])
                : null;
    }
    expect(array_diff(array_map(fn (int $at): string => "row{$at}row", range(0, 2 * Pages::ROWS + 29)), $seen))
        ->toBe([])
        ->and($page)
        ->toBe($pages);
    $this->get("{$path}?page=999999999")->assertOk();
    $this->get("{$path}?page=-1")->assertOk();
    $this->get("{$path}?page[]=x")->assertOk();
})->with([
    ['/boxes', 'tr>', 3],
    ['/ports', 'tr>', 3],
    ['/addresses', 'tr>', 3],
    ['/upkeep', 'section class="sheet"', 8],
]);

test('a list that fits one page has no pages', function (string $path): void {
    $this->asKeeper()->get($path)->assertOk()->assertDontSee('aria-label="Pages"', false);
})->with(['/boxes', '/ports', '/addresses', '/upkeep']);

test('the front page asks the database as often for a hundred boxes as for six', function (): void {
    $count = function (): int {
        // As after a change of the record: what is kept is worked out again.
        app(RecordStamp::class)->change();
        DB::enableQueryLog();
        DB::flushQueryLog();
        $this->asKeeper()->get('/')->assertOk();

        return count(DB::getQueryLog());
    };
    $count();
    $few = $count();
    $model = Box::query()->where('name', 'larder')->firstOrFail();
    for ($number = 0; $number < 100; $number++) {
        $box = $model->replicate()->fill(['name' => "row{$number}", 'address' => "10.9.0.{$number}"]);
        $box->save();
        $box->jobs()->create(['job' => 'file-store']);
        $box->dependencies()->create(['on_box_id' => $model->id, 'what' => 'names']);
    }
    expect($count())->toBe($few);
});
