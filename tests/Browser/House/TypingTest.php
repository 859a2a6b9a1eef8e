<?php

declare(strict_types=1);

use Tests\Browser\Chrome;

// Pages that answer while one types never take the field out from under the hands.

/** Types as a person does, with a pause after each letter that is longer than any page waits before it answers. */
function typeSlowly(Chrome $chrome, string $selector, string $text): void
{
    $chrome->driver->executeScript(
        'const field = document.querySelector(arguments[0]); field.closest("details")?.setAttribute("open", ""); field.value = ""; field.focus(); field.scrollIntoView({block: "center"})',
        [$selector],
    );
    foreach (mb_str_split($text) as $letter) {
        $chrome->driver->switchTo()->activeElement()->sendKeys($letter);
        usleep(650000);
    }
    expect([
        $selector,
        $chrome->driver->executeScript('return document.querySelector(arguments[0]).value', [$selector]),
    ])
        ->toBe([$selector, $text])
        ->and([
            $selector,
            $chrome->driver->executeScript(
                'return document.activeElement === document.querySelector(arguments[0])',
                [$selector],
            ),
        ])
        ->toBe([$selector, true]);
}

test('what is typed slowly stays, in every field of every page that answers while typing', function (): void {
    resetDemo();
    $chrome = (new Chrome(base()))->login();
    $pages = ['/plan' => null, '/plan?supply=charger-1a' => '#because', '/boxes/2/name' => null, '/' => '#find'];
    $typed = 0;
    foreach ($pages as $page => $only) {
        $chrome->go($page);
        $fields =
            $only !== null
                ? [$only]
                : $chrome->driver->executeScript(
                    'return [...document.querySelectorAll("main input:not([type=hidden]):not([type=radio]):not([type=checkbox]), main textarea")].filter((field) => field.id && field.id !== "yaml").map((field) => "#" + field.id)',
                );
        foreach ($fields as $field) {
            typeSlowly(
                $chrome,
                $field,
                $chrome->driver->executeScript(
                    'return /number|decimal|numeric/.test(document.querySelector(arguments[0]).type + document.querySelector(arguments[0]).inputMode)',
                    [$field],
                )
                    ? '12'
                    : 'wren',
            );
            $typed++;
        }
    }
    expect($typed)->toBeGreaterThan(12);
});

test('a reason typed on the plan sheet outlives the choices made after it, and is kept', function (): void {
    resetDemo();
    $chrome = (new Chrome(base()))->login()->go('/plan?supply=charger-1a');
    typeSlowly($chrome, '#because', 'try');
    $chrome->choose('board', 'cobble');
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'Does not fit'));
    usleep(700000);
    expect($chrome->find('#because')->getAttribute('value'))
        ->toBe('try')
        ->and($chrome->find('#because-label')->getText())
        ->toStartWith('Go on all the same');
    $chrome->choose('supply', 'supply-2a5');
    $chrome->until(fn (): bool => str_starts_with($chrome->find('#because-label')->getText(), 'Why this one'));
    expect($chrome->find('#because')->getAttribute('value'))->toBe('try');
});

test('a countdown that passes its end says so while one looks', function (): void {
    resetDemo();
    $chrome = (new Chrome(base()))->login()->go('/upkeep');
    $chrome->driver->executeScript(
        'document.querySelector("main").insertAdjacentHTML("beforeend", \'<div class="dial"><span id="label" data-until="back in about" data-past="longer than expected by">back in about</span><b id="left" data-ends="\' + (Date.now() + 1500) + \'" data-length="4000"></b></div>\')',
    );
    $chrome->until(fn (): bool => $chrome->find('#left')->getText() === '00:01');
    expect($chrome->find('#label')->getText())->toBe('back in about');
    $chrome->until(fn (): bool => str_starts_with($chrome->find('#left')->getText(), '+00:0'));
    expect($chrome->find('#label')->getText())->toBe('longer than expected by');
});
