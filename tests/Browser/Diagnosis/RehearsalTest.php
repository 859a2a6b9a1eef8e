<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Tests\Browser\Chrome;
use Tests\Browser\Keyboard;

// Practice before the real evening, without a mouse: something is hidden, looked for, and told.

/** What the bench shows at the check that stands on the page, as the answer that a person would press. */
function answerSeen(Chrome $chrome, array $eyes): ?string
{
    $check = $chrome->driver->findElements(WebDriverBy::cssSelector('.ask input[name="check"]'));
    $shown = $chrome->driver->findElements(WebDriverBy::cssSelector('.bench-shows'));
    if ($check === [] || $shown === []) {
        return null;
    }
    $words = trim(str_replace('the bench shows', '', (string) $shown[0]->getText()));

    return $eyes[$check[0]->getAttribute('value')][$words] ?? null;
}

test('a rehearsal from its beginning to what it was, by keyboard', function (): void {
    $eyes = require dirname(__DIR__, 2).'/Support/eyes.php';
    resetDemo();
    $chrome = (new Chrome(base()))->login()->go('/bench/rehearsal');
    $keyboard = new Keyboard($chrome);
    $keyboard->press('form[action$="/bench/rehearsal"] button');
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'A rehearsal: something is hidden'));
    expect($chrome->violations())->toBe([]);
    for ($look = 0; $look < 30 && ! str_contains($chrome->text(), 'That was it'); $look++) {
        $before = $chrome->find('input[name="revision"]')->getAttribute('value').$chrome->text();
        if ($chrome->has('button[name="came"][data-digit="1"]')) {
            // It is told: a digit is enough.
            $keyboard->keys('1');
        } else {
            $answer = answerSeen($chrome, $eyes);
            $keyboard->press(
                $answer === null ? 'button[data-digit="0"]' : "button[name=\"answer\"][value=\"{$answer}\"]",
            );
        }
        $chrome->until(
            fn (): bool => ! $chrome->has('input[name="revision"]') ||
                $chrome->find('input[name="revision"]')->getAttribute('value').$chrome->text() !== $before,
        );
    }
    expect($chrome->text())
        ->toContain('That was it')
        ->toContain('How it went')
        ->toContain('at best')
        ->and($chrome->complaints())
        ->toBe([])
        ->and($chrome->violations())
        ->toBe([]);
});
