<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Tests\Browser\Chrome;

// What one box does moves to another, by mouse, with somebody who says that the old one is off when it is not.

/** One step of the move as somebody at the bench does it; its title. */
function moveOn(Chrome $chrome): string
{
    $title = $chrome->find('#step-title')->getText();
    $seen = fn (): string => $chrome->find('#page')->getText();
    $before = $seen();
    if ($chrome->has("button[formaction$='/reserve']")) {
        $chrome->click("button[formaction$='/reserve']");
        $chrome->until(fn (): bool => $seen() !== $before);

        return $title;
    }
    if ($chrome->has("button[formaction$='/type']") && ! $chrome->has('.dial')) {
        $chrome->click("button[formaction$='/type']");
        $chrome->until(
            fn (): bool => $chrome->has('#pasted') && $chrome->find('#pasted')->getAttribute('value') !== '',
        );
    }
    $chrome->has('#counted') && $chrome->find('#counted')->clear()->sendKeys("12 devices\n7 automations");
    $chrome->has('#asked_backup_file') && $chrome->find('#asked_backup_file')->sendKeys('full.tar');
    if ($chrome->has('#pasted') && str_contains($title, 'came over whole')) {
        $chrome->find('#pasted')->sendKeys(hash('sha256', 'full').'  full.tar');
    }
    $chrome->has('input[name=answer]') &&
        $chrome->driver->findElements(WebDriverBy::cssSelector('input[name=answer]'))[0]->click();
    $chrome->click('[data-done]');
    $chrome->until(fn (): bool => $seen() !== $before || $chrome->has('.step .slim'));
    usleep(150_000);

    return $title;
}

test('a move on the bench, with a fault in its middle', function (): void {
    resetDemo();
    $chrome = (new Chrome(base()))->login()->go('/boxes/2/move?to=4&backup_gb=2.4');
    expect($chrome->text())->toContain('dewpoint can take over');
    $chrome->press('Begin the move');
    $chrome->until(fn (): bool => $chrome->has('#step-title'));
    expect($chrome->text())->toContain('larder moves to dewpoint');
    for (
        $turn = 0;
        $turn < 30 && $chrome->find('#step-title')->getText() !== 'Nobody is at its address';
        $turn++
    ) {
        moveOn($chrome);
    }
    // It is on still: the look finds it, and the run does not go on.
    moveOn($chrome);
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'Somebody'));
    expect($chrome->find('#step-title')->getText())->toBe('Nobody is at its address');
    // Taken back, and shut down in truth.
    $chrome->press('Take back “Shut the old one down”');
    $chrome->until(fn (): bool => $chrome->has("button[formaction$='/old-off']"));
    $chrome->click("button[formaction$='/old-off']");
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'The old bench board is off'));
    $met = [];
    for ($turn = 0; $turn < 60 && $chrome->has('#step-title'); $turn++) {
        $met[] = moveOn($chrome);
    }
    expect($chrome->has('#step-title'))->toBeFalse($chrome->text());
    expect(array_values(array_unique($met)))->toContain(
        'It answers at the new address',
        'Count again',
        'Can the old one come back by itself?',
    );
    $chrome->go('/boxes/4');
    expect($chrome->text())->toContain('larder')->toContain('172.22.8.11');
    $chrome->go('/boxes/2');
    expect($chrome->text())->toContain('larder-before')->and($chrome->complaints())->toBe([]);
});
