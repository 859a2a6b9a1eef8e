<?php

declare(strict_types=1);

use Tests\Browser\Chrome;

// A box that died is made anew from its records, by mouse, on another board of the bench; the power goes in the middle.

test('a rebuild on the bench, with a fault in its middle', function (): void {
    resetDemo();
    $chrome = (new Chrome(base()))->login()->go('/bench');
    // It died an hour ago.
    $chrome->click('#power-box-1');
    $chrome->until(fn (): bool => $chrome->find('#power-box-1')->getText() === 'Power on');
    inCopy(
        'App\Models\Box::query()->find(1)->update(["silent_since" => now()->subHour(), "answered_at" => now()->subHour()]);',
    );
    $chrome->go('/boxes/1/lost');
    [$press, $fill, $pick] = byMouse($chrome);
    expect($chrome->text())->toContain('sieve');
    $fill('#rebuild_name', 'sieve');
    $press("form[action$='/lost'] [data-done], form[action$='/lost'] button");
    $chrome->until(fn (): bool => $chrome->has('#public_key'));
    $fill('#public_key', newKey());
    $press('[data-done]');
    $chrome->until(fn (): bool => $chrome->has('.cardfile'));
    $press("form[action$='/bench/card'] button");
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'is in its board'));
    // The run begins before the power: what is new in the router's list then is the new board.
    $press("form[action$='/run'] button");
    $chrome->until(fn (): bool => $chrome->has('#step-title'));
    $run = (string) parse_url($chrome->driver->getCurrentURL(), PHP_URL_PATH);
    // It is not in service on the strength of what it was.
    expect($chrome->go('/boxes/1')->text())->toContain('Not in service yet');
    $chrome->go($run);
    $before = fn (): bool => $chrome->find('#step-title')->getText() !== 'Remote login answers';
    $powered = false;
    for ($turn = 0; $turn < 60 && $before(); $turn++) {
        $page = $chrome->find('#page')->getText();
        if ($chrome->has("button[formaction$='/power']") && ! $powered) {
            $press("button[formaction$='/power']");
            $powered = true;
        } else {
            $press('[data-done]');
        }
        $chrome->until(
            fn (): bool => $chrome->find('#page')->getText() !== $page || $chrome->has('.step .slim'),
            10,
        );
        usleep(300_000);
    }
    expect($before())->toBeFalse();
    // Somebody trips over the lead.
    $chrome->go('/bench');
    $press('#power-box-1');
    $chrome->until(fn (): bool => $chrome->find('#power-box-1')->getText() === 'Power on');
    $chrome->go($run);
    $press('[data-done]');
    $chrome->until(fn (): bool => $chrome->has('.step .slim'), 15);
    expect($chrome->find('#step-title')->getText())->toBe('Remote login answers');
    $chrome->go('/bench');
    $press('#power-box-1');
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'host key SHA256:'), 25);
    $chrome->go($run);
    $met = play($chrome, $press, $fill, $pick);
    expect($met)->toContain('Remote login answers', 'It comes back');
    $chrome->go('/boxes/1');
    expect($chrome->text())
        ->toContain('sieve')
        ->toContain('172.22.8.10')
        ->not->toContain('Not in service yet')
        ->and($chrome->complaints())
        ->toBe([]);
    $chrome->go('/journal');
    expect($chrome->text())->toContain('made anew from its records');
});
