<?php

declare(strict_types=1);

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Symfony\Component\Yaml\Yaml;
use Tests\Browser\Chrome;

/** A box with a name, up to the sheet of its card. */
function toCard(Chrome $chrome, string $name = 'wren'): void
{
    resetDemo();
    // The demo's logins are made anew, and whoever was logged in is not any more.
    $chrome->login()->go('/plan?link=wireless')->press('Keep this plan');
    $chrome->until(fn (): bool => $chrome->has('#checks'));
    $chrome->find('#name')->sendKeys($name);
    $chrome->press('Keep both');
    $chrome->until(fn (): bool => $chrome->has('#public_key'));
}

test('a card with a radio, by keyboard alone, and straight into the opened folder', function (): void {
    $chrome = (new Chrome(base()))->login();
    toCard($chrome);
    // Where the browser can write into a folder, a folder of its own stands in for the card.
    $tab = function (string $until) use ($chrome): void {
        for (
            $turn = 0;
            $turn < 60 &&
            $chrome->driver->switchTo()->activeElement()->getAttribute('id') !== $until &&
            $chrome->driver->switchTo()->activeElement()->getAttribute('data-done') === null;
            $turn++
        ) {
            $chrome->driver->getKeyboard()->sendKeys(WebDriverKeys::TAB);
        }
    };
    $chrome->driver->executeScript("document.getElementById('user').focus()");
    $tab('public_key');
    $chrome->driver->getKeyboard()->sendKeys(newKey());
    $tab('passphrase_1');
    $chrome->driver->getKeyboard()->sendKeys('seed drawer open');
    $tab('nothing');
    $chrome->driver->getKeyboard()->sendKeys(WebDriverKeys::ENTER);
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'regulatory-domain: "GB"'));
    expect($chrome->text())
        ->toContain(hash_pbkdf2('sha1', 'seed drawer open', 'Thistledown', 4096, 64))
        ->not->toContain('seed drawer open');
    $chrome->driver->executeScript('window.showDirectoryPicker = () => navigator.storage.getDirectory()');
    $chrome->press('Write into the opened card folder');
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'Written into'));
    $read = $chrome->driver->executeAsyncScript(
        <<<'JS'
        const done = arguments[arguments.length - 1];
        (async () => {
            const folder = await navigator.storage.getDirectory();
            const out = {};
            for await (const [name, file] of folder.entries()) { out[name] = await (await file.getFile()).text(); }
            done(out);
        })();
        JS
        ,
    );
    ksort($read);
    expect(array_keys($read))
        ->toBe(['meta-data', 'network-config', 'user-data'])
        ->and($read['user-data'])
        ->toStartWith("#cloud-config\nhostname: wren\n")
        ->and(Yaml::parse($read['network-config'])['wifis']['wlan0']['access-points'])
        ->toHaveKey('Thistledown')
        ->and($chrome->complaints())
        ->toBe([])
        ->and($chrome->violations())
        ->toBe([]);
});

test('which disk it is, by mouse', function (): void {
    resetDemo();
    $chrome = (new Chrome(base()))->login()->go('/card/target');
    foreach (['before' => 'without', 'after' => 'with'] as $field => $list) {
        $chrome->driver->executeScript('document.getElementById(arguments[0]).value = arguments[1]', [
            $field,
            file_get_contents("tests/Core/Card/disks/lsblk-{$list}.txt"),
        ]);
    }
    $chrome->press('Which one is it?');
    $chrome->until(fn (): bool => $chrome->has('#typed_name'));
    expect($chrome->text())
        ->toContain('The card is sdb')
        ->toContain('not to be wiped')
        ->not->toContain('sudo dd')
        ->and($chrome->violations())
        ->toBe([]);
    $chrome->find('#typed_name')->sendKeys($chrome->find('code.name')->getText());
    $chrome->press('Show the commands');
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'sudo dd'));
    expect($chrome->text())
        ->toContain('The commands name sdb and no other disk.')
        ->and($chrome->violations())
        ->toBe([])
        ->and($chrome->complaints())
        ->toBe([]);
});

test('files are dropped on the linter, and come back mended', function (): void {
    resetDemo();
    $folder = scratch();
    foreach (Yaml::parseFile('tests/Core/Card/cards/broken/account-crlf.yaml')['files'] as $name => $text) {
        file_put_contents("{$folder}/{$name}", $text);
    }
    $chrome = (new Chrome(base(), 390, 844))->login()->go('/card/lint');
    $chrome->find('#card')->sendKeys(implode("\n", glob("{$folder}/*") ?: []));
    $chrome->press('Look it over');
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'Mended'));
    $link = $chrome->driver
        ->findElement(WebDriverBy::cssSelector('a[download="userconf.txt"]'))
        ->getAttribute('href');
    expect($chrome->text())
        ->toContain('Looked over again: nothing wrong.')
        ->and(base64_decode(explode(',', $link)[1]))
        ->toMatch('~^warden:\$6\$\S+\n$~D')
        ->and($chrome->driver->executeScript('return document.documentElement.scrollWidth'))
        ->toBe(390)
        ->and($chrome->violations())
        ->toBe([]);
});

test('a whole folder is taken, without its kernels', function (): void {
    resetDemo();
    $folder = scratch().'/boot';
    mkdir($folder);
    foreach (
        Yaml::parseFile('tests/Core/Card/cards/broken/marker-txt.yaml')['files'] + [
            'kernel.img' => str_repeat("\0", 900000),
        ] as $name => $text
    ) {
        file_put_contents("{$folder}/{$name}", $text);
    }
    $chrome = (new Chrome(base()))->login()->go('/card/lint');
    $chrome->find('#folder')->sendKeys($folder);
    expect(
        $chrome->driver->executeScript(
            "return [...document.getElementById('folder').files].map((file) => file.name)",
        ),
    )
        ->not->toContain('kernel.img')
        ->toContain('ssh.txt');
    $chrome->press('Look it over');
    $chrome->until(fn (): bool => str_contains($chrome->text(), '“ssh.txt” is not the file “ssh”.'));
    expect($chrome->complaints())->toBe([]);
});

test('no page of a card asks to send anything again: reload and Back show the page before', function (): void {
    resetDemo();
    $chrome = (new Chrome(base()))->login()->go('/card/target')->go('/card/lint');
    $folder = scratch();
    file_put_contents("{$folder}/ssh.txt", '');
    $chrome->find('#card')->sendKeys("{$folder}/ssh.txt");
    $chrome->press('Look it over');
    $chrome->until(fn (): bool => ! str_contains($chrome->text(), 'A wrong character costs an evening'));
    expect($chrome->text())->toContain('ssh.txt')->and($chrome->driver->getCurrentURL())->toBe(base().'/card/lint');
    $chrome->driver->navigate()->refresh();
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'A wrong character costs an evening'));
    $chrome->driver->navigate()->back();
    $chrome->until(fn (): bool => $chrome->driver->getCurrentURL() === base().'/card/target');
    // A wrong field has the focus, and what was typed stays.
    $chrome->driver->executeScript("document.getElementById('before').value = 'nothing of the kind'");
    $chrome->driver->executeScript("document.getElementById('after').value = 'nothing either'");
    $chrome->driver->executeScript("document.querySelector('form[data-in-place]').requestSubmit()");
    $chrome->until(fn (): bool => $chrome->has('#main [aria-invalid=true], #main .slim'));
    expect($chrome->driver->executeScript("return document.getElementById('before').value"))
        ->toBe('nothing of the kind')
        ->and($chrome->complaints())
        ->toBe([]);
    // A login that ended meanwhile is not a form that does nothing.
    $chrome->driver->manage()->deleteAllCookies();
    $chrome->driver->executeScript("document.querySelector('form[data-in-place]').requestSubmit()");
    $chrome->until(fn (): bool => ! $chrome->has('form[data-in-place]'));
    expect(strlen($chrome->text()))->toBeGreaterThan(40);
});
