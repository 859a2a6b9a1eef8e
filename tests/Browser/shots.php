<?php

declare(strict_types=1);

/*
 * Takes the pictures in docs/screenshots from the demo data: ./burrow shots
 * It sets the demo back to its first day before and after.
 */

use Facebook\WebDriver\WebDriverBy;
use Tests\Browser\Chrome;

require __DIR__.'/../../vendor/autoload.php';

$folder = dirname(__DIR__, 2).'/docs/screenshots';
$demo = fn (): string|false => system('php '.escapeshellarg(dirname(__DIR__, 2).'/artisan').' burrow:demo -q');
$demo();
$chrome = (new Chrome($argv[1]))->login();
$chrome->driver->executeScript("document.cookie = 'theme=chalk;path=/'");
$picture = function (string $name, ?string $path = null) use ($chrome, $folder): void {
    $path === null || $chrome->go($path);
    $chrome->shot("{$folder}/{$name}.png");
    echo "{$name}\n";
};

/** @return list<string> a card as an editor and a file manager left it, in a folder that is gone afterwards */
$broken = function (): array {
    $folder = sys_get_temp_dir().'/burrow-shots-'.getmypid();
    @mkdir($folder);
    register_shutdown_function(fn () => exec('rm -rf '.escapeshellarg($folder)));
    $files = Symfony\Component\Yaml\Yaml::parseFile(dirname(__DIR__).'/Core/Card/cards/broken/wpa-crlf.yaml')[
        'files'
    ];
    unset($files['ssh']);
    foreach (
        $files + ['ssh.txt' => '', 'cmdline.txt' => "console=tty1\nroot=PARTUUID=1-02 rootwait\n"] as $name => $text
    ) {
        file_put_contents("{$folder}/{$name}", $text);
    }

    return glob("{$folder}/*") ?: [];
};
/** From the card's form to its files. */
$makeCard = function () use ($chrome): void {
    $chrome->until(fn (): bool => $chrome->has('#public_key'));
    $chrome
        ->find('#public_key')
        ->sendKeys('ssh-ed25519 AAAAC3NzaC1lZDI1NTE5AAAAIAEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEB warden@desk');
    $chrome->press('Make the files');
    $chrome->until(fn (): bool => str_contains($chrome->text(), '#cloud-config'));
};
$picture('ground', '/');
$picture('plan', '/plan?board=cobble&supply=supply-2a5&cable=thin-1m&also=dns-filter');
$chrome->go('/plan')->press('Keep this plan');
$chrome->until(fn (): bool => $chrome->has('#checks'));
$chrome->find('#name')->sendKeys('wren.local');
$chrome->until(fn (): bool => str_contains($chrome->text(), 'holds a dot'));
$chrome->find('#name')->clear()->sendKeys('wren');
$chrome->press('Keep both');
$makeCard();
$picture('card');
$chrome->go('/card/target?box=7');
foreach (['before' => 'without', 'after' => 'with'] as $field => $list) {
    $chrome->driver->executeScript('document.getElementById(arguments[0]).value = arguments[1]', [
        $field,
        file_get_contents(dirname(__DIR__)."/Core/Card/disks/lsblk-{$list}.txt"),
    ]);
}
$chrome->press('Which one is it?');
$chrome->until(fn (): bool => $chrome->has('#typed_name'));
$picture('target');
$chrome->go('/card/lint');
$chrome->find('#card')->sendKeys(implode("\n", $broken()));
$chrome->press('Look it over');
$chrome->until(fn (): bool => str_contains($chrome->text(), 'Mended'));
$picture('lint');
$chrome->go('/boxes/7/card');
$makeCard();
$chrome->press('Put the card into');
$chrome->until(fn (): bool => str_contains($chrome->text(), 'is in its board'));
$chrome->driver
    ->findElement(WebDriverBy::xpath("//section[.//h2[normalize-space()='wren']]//button[contains(., 'Power on')]"))
    ->click();
$chrome->until(fn (): bool => str_contains($chrome->text(), 'host key SHA256:'), 25);
$picture('bench');

$wren = '/boxes/7';
$chrome->press('Bring it up');
$chrome->until(fn (): bool => $chrome->has('#step-title'));
$typed = '';
for (
    $turn = 0;
    $turn < 60 &&
    ! (
        str_contains($title = $chrome->find('#step-title')->getText(), 'Bring the system up to date') &&
        $chrome->has('.dial')
    );
    $turn++
) {
    $type = $chrome->has("button[formaction$='/type']") && $typed !== $title;
    $typed = $type ? $title : $typed;
    $chrome->click(
        $chrome->has("button[formaction$='/reserve']")
            ? "button[formaction$='/reserve']"
            : ($type
                ? "button[formaction$='/type']"
                : '[data-done]'),
    );
    usleep(400000);
}
$picture('run');

// A second box in the same evening.
$chrome->go('/plan?job=print-host')->press('Keep this plan');
$chrome->until(fn (): bool => $chrome->has('#checks'));
$chrome->find('#name')->clear()->sendKeys('stilt');
$chrome->press('Keep both');
$makeCard();
$chrome->press('Put the card into');
$chrome->until(fn (): bool => str_contains($chrome->text(), 'is in its board'));
$chrome->go('/boxes/8')->press('Bring it up');
$chrome->until(fn (): bool => $chrome->has('#step-title'));
$picture('evening', '/evening');

// Why a box is silent, as far as the lights.
$chrome->go('/boxes/6/diagnosis')->click('button[value="silent-old"]');
foreach (['activity-light' => 'quiet', 'power-light' => 'steady'] as $check => $answer) {
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'Why this check'));
    $chrome->go("/boxes/6/diagnosis?check={$check}")->click("button[value=\"{$answer}\"]");
    usleep(400000);
}
$picture('diagnosis', '/boxes/6/diagnosis?check=link-lights');

// A list before the power came, and one after.
$list =
    "1795691763 02:4b:1e:77:00:0a 172.22.8.10 sieve *\n1795691763 02:4b:1e:77:00:0b 172.22.8.11 larder *\n".
    "1795691763 00:11:5e:ed:00:05 172.22.8.104 reading-desk *\n1795691763 00:11:5e:ed:00:06 172.22.8.112 label-printer *\n";
foreach (
    [
        $list,
        "{$list}1795691999 02:4b:1e:90:00:18 172.22.8.118 stilt *\n1795691999 7a:40:3c:99:10:09 172.22.8.133 * *\n",
    ] as $text
) {
    $chrome->go('/addresses/find');
    $chrome->driver->executeScript('document.getElementById("pasted").value = arguments[0]', [$text]);
    $chrome->press('Read it');
    $chrome->until(fn (): bool => str_contains($chrome->text(), 'machines, read as'));
    $text === $list && $chrome->press('Keep this list as the one before');
}
$chrome->until(fn (): bool => str_contains($chrome->text(), 'machines are new'));
$picture('find');

foreach (
    [
        'box' => '/boxes/2',
        'reach' => '/reach',
        'ports' => '/ports',
        'stores' => '/stores',
        'addresses' => '/addresses',
        'upkeep' => '/upkeep',
        'without' => '/without?off=larder',
    ] as $name => $path
) {
    $picture($name, $path);
}
$chrome->driver->executeScript("document.cookie = 'theme=den;path=/'");
$picture('ground-den', '/');
$chrome->resize(390, 844);
$picture('phone', $wren);
unset($chrome);
$demo();
