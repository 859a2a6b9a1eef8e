<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Tests\Browser\Chrome;
use Tests\Browser\Keyboard;

// A device gets its key in the browser, and by keyboard; wg and a reader of QR codes look at what came of it.

test(
    'a key is made in the browser, its private half goes into the profile and the picture and nowhere else',
    function (): void {
        resetDemo();
        $chrome = (new Chrome(base()))->login()->go('/reach');
        $keyboard = new Keyboard($chrome);
        $keyboard->fill('#device', 'the new phone');
        $keyboard->press('[data-make-key]');
        $chrome->until(
            fn (): bool => strlen((string) $chrome->find('#device_key')->getAttribute('value')) === 44,
        );
        $open = (string) $chrome->find('#device_key')->getAttribute('value');
        $keyboard->press('#device-form button.act');
        $chrome->until(fn (): bool => $chrome->has('[data-qr] svg'));
        $profile = (string) $chrome->driver->executeScript(
            'return document.querySelector("[data-profile]").textContent',
        );
        expect(preg_match('/^PrivateKey = (\S+)$/m', $profile, $secret))
            ->toBe(1)
            // RFC 7748: what wg makes of the private half is the public one.
            ->and(trim(run('wg pubkey', $secret[1])['out']))
            ->toBe($open);

        // The picture, as a phone sees it.
        $picture = scratch().'/qr.png';
        $chrome->find('[data-qr] svg')->takeElementScreenshot($picture);
        $read = run("zbarimg --quiet --raw --nodbus {$picture}");
        expect(trim($read['out']).$read['err'])->toBe(trim($profile));

        expect($chrome->violations())->toBe([])->and($chrome->complaints())->toBe([]);
        $chrome->go('/reach');
        expect($chrome->text())
            ->toContain('the new phone')
            ->and((string) $chrome->driver->getPageSource())
            ->not->toContain($secret[1]);
        $form = $chrome->driver->findElements(WebDriverBy::cssSelector('#device_key'));
        expect($form[0]->getAttribute('value'))->toBe('');
    },
);

test('a way in is written down by mouse and closed again', function (): void {
    resetDemo();
    $chrome = (new Chrome(base()))->login()->go('/reach');
    $chrome->press('Write down a way in');
    $chrome->until(fn (): bool => $chrome->has('#outside_port'));
    foreach (
        [
            'outside_port' => '8445',
            'inside_port' => '445',
            'purpose' => 'seed list',
            'owner' => 'desk',
            'reason' => 'Other halts read it.',
        ] as $field => $text
    ) {
        $chrome->find("#{$field}")->sendKeys($text);
    }
    $chrome->choose('protocol', 'tcp');
    $chrome->choose('box', '2');
    $chrome->press('Keep it');
    $chrome->until(fn (): bool => str_contains($chrome->text(), '2 ways in from outside.'));
    expect($chrome->violations())->toBe([])->and($chrome->complaints())->toBe([]);
});
