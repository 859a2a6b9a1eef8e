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
