<?php

declare(strict_types=1);

use App\Household\Kept;
use App\Household\RecordStamp;
use App\Jobs\PagesAhead;
use App\Models\Box;
use Burrow\Judgement\Findings;
use Illuminate\Support\Facades\DB;

// What was worked out is kept until the record changes.

/** Asks for it, and counts how often it was worked out. */
function askedFor(int &$times): Findings
{
    return app(Kept::class)->of('a test', Findings::class, function () use (&$times): Findings {
        $times++;

        return Findings::of();
    });
}

beforeEach(fn () => app(RecordStamp::class)->change());

test('it is worked out once, and again after each kind of change', function (Closure $change): void {
    $times = 0;
    askedFor($times);
    askedFor($times);
    expect($times)->toBe(1);
    $change();
    askedFor($times);
    askedFor($times);
    expect($times)->toBe(2);
})->with([
    'a model' => [
        fn () => Box::query()
            ->firstOrFail()
            ->update(['fed_by' => 'another']),
    ],
    'many rows at once' => [fn () => DB::table('services')->update(['state' => null])],
    'a row that is new' => [fn () => newBox(['name' => 'newcomer'])],
    'a row that is gone' => [fn () => DB::table('openings')->delete()],
    'a statement in a transaction' => [
        fn () => DB::transaction(fn () => DB::table('boxes')->update(['fed_by' => 'another'])),
    ],
]);

test('looking changes nothing, and neither does the queue', function (): void {
    $times = 0;
    askedFor($times);
    Box::query()->with('services')->get();
    DB::table('jobs')->insert([
        'queue' => 'x',
        'payload' => '{}',
        'attempts' => 0,
        'available_at' => 0,
        'created_at' => 0,
    ]);
    askedFor($times);
    expect($times)->toBe(1);
});

test('time goes on: after a while it is worked out again', function (): void {
    $times = 0;
    askedFor($times);
    $this->travel(19)->seconds();
    askedFor($times);
    expect($times)->toBe(1);
    $this->travel(2)->seconds();
    askedFor($times);
    expect($times)->toBe(2);
});

test('what a keeper sees is not kept for a guest', function (): void {
    $this->asKeeper()->get('/reach')->assertSee('has not come in for 40 days');
    $this->asGuest()->get('/reach')->assertDontSee('has not come in for 40 days');
    $this->asKeeper()->get('/reach')->assertSee('has not come in for 40 days');
});

test('what is worked out ahead is made anew, and stays until the next round comes', function (): void {
    $times = 0;
    $make = function () use (&$times): Findings {
        $times++;

        return Findings::of();
    };
    askedFor($times);
    app(Kept::class)->ahead()->of('a test', Findings::class, $make);
    expect($times)->toBe(2);
    $this->travel(60)->seconds();
    askedFor($times);
    expect($times)->toBe(2);
    $this->travel(16)->seconds();
    askedFor($times);
    expect($times)->toBe(3);
});

test('a large house finds its first pages made after a round; a change makes them anew', function (): void {
    $model = Box::query()->inService()->firstOrFail();
    for ($number = 0; $number < 100; $number++) {
        $model->replicate()->fill(['name' => "more{$number}", 'address' => null])->save();
    }
    $queries = function (string $page): int {
        DB::enableQueryLog();
        DB::flushQueryLog();
        $this->asKeeper()->get($page)->assertOk();

        return count(DB::getQueryLog());
    };
    app()->forgetScopedInstances();
    dispatch_sync(new PagesAhead());
    foreach (['/', '/boxes', '/ports', '/reach', '/stores', '/upkeep'] as $page) {
        $warm = $queries($page);
        app(RecordStamp::class)->change();
        app()->forgetScopedInstances();
        expect($queries($page))->toBeGreaterThan($warm, $page);
        dispatch_sync(new PagesAhead());
    }
});
