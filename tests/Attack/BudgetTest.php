<?php

declare(strict_types=1);

use Burrow\Card\CardContext;
use Burrow\Card\CardFolder;
use Burrow\Card\Fixer;
use Burrow\Card\Linter;
use Burrow\Intake\Disks\DeviceList;
use Burrow\Intake\Intake;
use Burrow\Text\TextBudget;
use Burrow\Text\YamlEntry;
use Burrow\Text\YamlText;
use Symfony\Component\Yaml\Exception\ParseException;
use Tests\Attack\WorstTexts;

// Work is counted in steps of the pattern engine, in bytes and in items; never in seconds.

test('no pattern takes more than forty steps a byte on the worst text of a line', function (): void {
    $script = <<<'PHP'
    require 'vendor/autoload.php';
    foreach (Tests\Attack\WorstTexts::patterns() as $pattern => $file) {
        foreach (Tests\Attack\WorstTexts::against($pattern) as $text) {
            preg_match($pattern, $text);
            if (preg_last_error() === PREG_BACKTRACK_LIMIT_ERROR) {
                echo "{$file}: {$pattern} on ", substr($text, 0, 40), "\n";
                break;
            }
        }
    }
    PHP;
    // Without its compiler the engine counts every step it takes back.
    $slow = run('php -d pcre.jit=0 -d pcre.backtrack_limit=160000 -r '.escapeshellarg($script));
    expect($slow)
        ->toBe(['exit' => 0, 'out' => '', 'err' => '', 'all' => ''])
        ->and(count(WorstTexts::patterns()))
        ->toBeGreaterThan(100)
        // And one that is known to be slow is found by this count.
        ->and(
            trim(
                run(
                    'php -d pcre.jit=0 -d pcre.backtrack_limit=160000 -r '.
                        escapeshellarg(
                            'preg_match(\'/^(\s*\w+\s*)*$/\', str_repeat("a ", 2000)."\x01"); echo preg_last_error();',
                        ),
                )['out'],
            ),
        )
        ->toBe((string) PREG_BACKTRACK_LIMIT_ERROR);
});

test('a text is read up to its budget and not a byte beyond', function (string $text, ?string $because): void {
    expect(TextBudget::cardFile()->exceeded($text)?->because)->toBe($because);
})->with([
    'as large as it may be' => [str_repeat(str_repeat('a', 127)."\n", 1024), null],
    'a byte more' => [str_repeat(str_repeat('a', 127)."\n", 1024).'a', 'it is larger than 128 KiB'],
    'as many lines' => [rtrim(str_repeat("a\n", 3000)), null],
    'one more' => [str_repeat("a\n", 3000).'a', 'it has more than 3000 lines'],
    'a long line' => [str_repeat('a', 8193), 'this line is longer than 8 KiB'],
    'blanks' => ['a:'.str_repeat(' ', 401).'b', 'hundreds of blanks stand in this line'],
    'fewer' => ['a:'.str_repeat(' ', 400).'b', null],
    'blanks and tabs' => [
        'a'.str_repeat(" \t", 201).'b '.str_repeat('x', 10),
        'hundreds of blanks stand in this line',
    ],
    'empty lines' => ["a\n".str_repeat("  \n", 401).'b', 'hundreds of empty lines stand in it'],
]);

test('what is too much is named by its line, and the other files are still judged', function (): void {
    $findings = (new Linter())->lint(
        new CardFolder([
            'config.txt' => "a=1\n".str_repeat('x', 9000),
            'wpa_supplicant.conf' => "country = GB\n",
        ]),
    );
    expect($findings->codes())
        ->toContain('card.not_looked_at', 'card.wpa_blanks')
        ->and((string) $findings->list[array_search('card.not_looked_at', $findings->codes(), true)]->place)
        ->toStartWith('config.txt:2');
});

test('nothing is said about a file that was not looked at', function (): void {
    $findings = (new Linter())->lint(
        new CardFolder([
            'user-data' => "#cloud-config\n".str_repeat("\n", 500),
            'meta-data' => "instance-id: a\n",
        ]),
    );
    expect($findings->codes())->toBe(['card.not_looked_at']);
});

test('a card of thousands of entries gives a handful of findings', function (string $file, string $text): void {
    $findings = (new Linter())->lint(new CardFolder([$file => $text]));
    expect(count($findings))->toBeGreaterThan(0)->toBeLessThan(260);
})->with([
    'keys' => [
        'user-data',
        "#cloud-config\n".implode("\n", array_map(fn (int $i): string => "k{$i}: v", range(1, 2900))),
    ],
    'accounts' => [
        'user-data',
        "#cloud-config\nusers:\n".
        implode("\n", array_map(fn (int $i): string => "  - {name: a{$i}, passwd: x}", range(1, 2000))),
    ],
    'hashes' => [
        'user-data',
        "#cloud-config\nusers:\n".
        implode(
            "\n",
            array_map(
                fn (int $i): string => "  - {name: a{$i}, passwd: \"\$6\$s{$i}\$".str_repeat('a', 86).'"}',
                range(1, 900),
            ),
        ),
    ],
    'networks' => [
        'network-config',
        "version: 2\nwifis:\n  w:\n    access-points:\n".
        implode("\n", array_map(fn (int $i): string => "      \"n{$i}\": {password: x}", range(1, 2900))),
    ],
    'links' => [
        'network-config',
        "version: 2\nethernets:\n".
        implode("\n", array_map(fn (int $i): string => "  e{$i}: {addresses: [300.1.1.1/24]}", range(1, 2900))),
    ],
    'fields' => ['wpa_supplicant.conf', implode("\n", array_map(fn (int $i): string => "x{$i}=1", range(1, 2900)))],
    'blocks' => ['wpa_supplicant.conf', str_repeat("network={\n", 2900)],
]);

test('hashes of a card are tried a few times only, however many there are', function (): void {
    // A hash of a well-known password behind the first few is not tried: each trial takes milliseconds by design.
    $hash = crypt('password', '$6$abcdefgh$');
    $card = fn (int $before): string => "#cloud-config\nusers:\n".
        implode(
            '',
            array_map(
                fn (int $i): string => "  - {name: a{$i}, lock_passwd: false, passwd: \"\$6\$s{$i}\$".
                    str_repeat('a', 86).
                    "\"}\n",
                range(1, $before),
            ),
        ).
        "  - {name: z, lock_passwd: false, passwd: \"{$hash}\"}\n";
    expect((new Linter())->lint(new CardFolder(['user-data' => $card(2)]))->codes())
        ->toContain('card.password_known')
        ->and((new Linter())->lint(new CardFolder(['user-data' => $card(40)]))->codes())
        ->not->toContain('card.password_known');
});

test('YAML that unfolds without end is refused', function (string $yaml): void {
    expect(fn () => YamlText::parse($yaml))
        ->toThrow(ParseException::class)
        ->and(YamlEntry::read($yaml, '{}', 'entry.yaml')->findings->blocks())
        ->toBeTrue()
        ->and((new Linter())->lint(new CardFolder(['user-data' => "#cloud-config\n{$yaml}"]))->blocks())
        ->toBeTrue();
})->with([
    'aliases of aliases' => [
        "a0: &a0 [x, x, x, x, x, x, x, x]\n".
        implode(
            "\n",
            array_map(
                fn (int $i): string => "a{$i}: &a{$i} [".implode(', ', array_fill(0, 8, '*a'.($i - 1))).']',
                range(1, 9),
            ),
        ),
    ],
    'dashes' => [str_repeat('- ', 2000).'a'],
    'brackets' => ['a: '.str_repeat('[', 2000)],
    'braces' => ['a: '.str_repeat('{a: ', 900)],
    'levels' => [implode("\n", array_map(fn (int $i): string => str_repeat(' ', $i).'a:', range(0, 60))).' 1'],
    'values' => [
        'a: ['.
        substr(str_repeat('1,', 1000), 0, -1).
        "]\n".
        implode(
            "\n",
            array_map(fn (int $i): string => "b{$i}: [".substr(str_repeat('1,', 1900), 0, -1).']', range(1, 9)),
        ),
    ],
]);

test('disk lists of thousands are cut and say so', function (string $kind, string $text): void {
    $reading = Intake::standard()->read($kind, $text);
    expect(count($reading->facts))
        ->toBeLessThanOrEqual(DeviceList::MOST)
        ->and(count($reading->findings))
        ->toBeLessThan(4);
})->with([
    'disks' => [
        'lsblk',
        '{"blockdevices":['.
        implode(
            ',',
            array_map(fn (int $i): string => '{"name":"sd'.$i.'","size":1,"type":"disk"}', range(1, 5000)),
        ).
        ']}',
    ],
    'no disks' => ['lsblk', '{"blockdevices":['.substr(str_repeat('1,', 100000), 0, -1).']}'],
    'parts' => [
        'lsblk',
        '{"blockdevices":[{"name":"sda","size":1,"children":['.
        substr(str_repeat('{"name":"a","size":1},', 20000), 0, -1).
        ']}]}',
    ],
    'numbers' => ['get-disk', '[{"Number":1,"Size":1}'.str_repeat(',1', 100000).']'],
    'stores' => [
        'diskutil',
        '<plist><dict><key>AllDisksAndPartitions</key><array>'.
        implode(
            '',
            array_map(
                fn (
                    int $i,
                ): string => "<dict><key>DeviceIdentifier</key><string>disk{$i}</string><key>Size</key><integer>5</integer></dict>",
                range(1, 3000),
            ),
        ).
        '</array></dict></plist>',
    ],
    'open tags' => ['diskutil', str_repeat('<plist ', 100000)],
]);

test('a cut disk list warns that the one looked for may be further down', function (): void {
    $text =
        '{"blockdevices":['.
        implode(
            ',',
            array_map(fn (int $i): string => '{"name":"sd'.$i.'","size":1,"type":"disk"}', range(1, 300)),
        ).
        ']}';
    expect(Intake::standard()->read('lsblk', $text)->findings->codes())->toBe(['intake.too_many_devices']);
});

test('no reader, linter or entry fails on the worst texts there are', function (): void {
    $texts = WorstTexts::against('/(network|blockdevices|lease|users|ssh)\s/');
    $intake = Intake::standard();
    $schema = (string) file_get_contents('core/Catalogue/schema/board.schema.json');
    foreach ($texts as $text) {
        foreach (array_keys($intake->kinds()) as $kind) {
            expect(count($intake->read($kind, $text)->findings))->toBeLessThan(12);
        }
        expect(YamlEntry::read($text, $schema, 'entry.yaml')->data)->toBeNull();
        foreach (
            ['user-data', 'network-config', 'wpa_supplicant.conf', 'cmdline.txt', 'config.txt', 'userconf.txt'] as $file
        ) {
            (new Fixer())->fix(new CardFolder([$file => $text]), new CardContext());
        }
    }
});
