<?php

declare(strict_types=1);

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Tests\Browser\Chrome;

// What is printed, as the program that prints makes it, read back by others.

test(
    'a box and the sheet for the dark are one page each, with what they are for, and the picture is read back',
    function (): void {
        $chrome = (new Chrome(base()))->login();
        $folder = scratch();
        foreach (['box' => '/boxes/1/paper', 'dark' => '/filter/lights-out'] as $name => $path) {
            $chrome->go($path);
            $name === 'box' && $chrome->until(fn (): bool => $chrome->has('[data-qr-text] svg'));
            $printed = (new ChromeDevToolsDriver($chrome->driver))->execute('Page.printToPDF', [
                'paperWidth' => 8.27,
                'paperHeight' => 11.69,
                'printBackground' => false,
            ]);
            file_put_contents("{$folder}/{$name}.pdf", base64_decode($printed['data']));
            expect(run("pdfinfo {$folder}/{$name}.pdf")['out'])->toMatch('/^Pages:\s+1$/m');
        }
        $box = run("pdftotext -layout {$folder}/box.pdf -")['out'];
        $dark = run("pdftotext -layout {$folder}/dark.pdf -")['out'];
        expect($box)
            ->toContain('sieve')
            ->toContain('172.22.8.10')
            ->toContain('Pull its plug, wait ten seconds')
            ->not->toContain('Print it')
            ->not->toContain('Find a box')
            ->and($dark)
            ->toContain('http://172.22.8.1')
            ->not->toContain('Print it');
        run("pdftoppm -r 150 -png {$folder}/box.pdf {$folder}/box");
        expect(trim(run("zbarimg --quiet --raw --nodbus {$folder}/box-1.png")['out']))->toBe(
            trim(
                (string) $chrome->go('/boxes/1/paper')->find('[data-qr-text]')->getAttribute('data-qr-text'),
            ),
        );
    },
);

test('a sheet of labels is a sheet, with each name on it', function (): void {
    $chrome = (new Chrome(base()))->login()->go('/boxes/labels?size=middle');
    $folder = scratch();
    $printed = (new ChromeDevToolsDriver($chrome->driver))->execute('Page.printToPDF', [
        'paperWidth' => 8.27,
        'paperHeight' => 11.69,
        'marginTop' => 0,
        'marginBottom' => 0,
        'marginLeft' => 0,
        'marginRight' => 0,
    ]);
    file_put_contents("{$folder}/labels.pdf", base64_decode($printed['data']));
    $text = run("pdftotext {$folder}/labels.pdf -")['out'];
    foreach (['sieve', 'larder', 'power of lantern', 'LARDER-1'] as $name) {
        expect($text)->toContain($name);
    }
    expect($text)->not->toContain('Print them');
    // Where a name lies on the paper is where the sheet has its label: third column, first row.
    $boxes = run("pdftotext -bbox {$folder}/labels.pdf -")['out'];
    expect(preg_match('/<word xMin="([\d.]+)" yMin="([\d.]+)"[^>]*>culvert</', $boxes, $at))->toBe(1);
    $millimetres = array_map(fn (string $points): float => ((float) $points * 25.4) / 72, array_slice($at, 1));
    expect($millimetres[0])->toBeBetween(142, 148)->and($millimetres[1])->toBeBetween(4.5, 40.5);
});

test('the network on paper is one page, with every box and every way in', function (): void {
    $chrome = (new Chrome(base()))->login()->go('/addresses/register');
    $folder = scratch();
    $printed = (new ChromeDevToolsDriver($chrome->driver))->execute('Page.printToPDF', [
        'paperWidth' => 8.27,
        'paperHeight' => 11.69,
        'printBackground' => false,
    ]);
    file_put_contents("{$folder}/register.pdf", base64_decode($printed['data']));
    expect(run("pdfinfo {$folder}/register.pdf")['out'])->toMatch('/^Pages:\s+1$/m');
    $text = run("pdftotext -layout {$folder}/register.pdf -")['out'];
    foreach (['sieve', 'larder', 'culvert', 'dewpoint', 'lantern', 'seedpress'] as $number => $name) {
        $line = '172.22.8.1'.$number.'\s+'.$name.'\s+02:4b:1e:77:00:0'.dechex(10 + $number);
        expect($text)->toMatch('/'.str_replace('.', '\.', $line).'/');
    }
    expect($text)
        ->toContain('172.22.8.0/24')
        ->toMatch('/51944 udp\s+leads to culvert/')
        ->not->toContain('Print it')
        ->not->toContain('Back to the addresses');
});
