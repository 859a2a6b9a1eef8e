<?php

declare(strict_types=1);

use Burrow\Intake\Intake;
use Burrow\Intake\Keys\KeySeen;
use Burrow\Intake\Neighbours\Neighbour;

// samples/KIND/TOOL.txt is what a tool printed, TOOL.facts what stands in it: one object a line.

/** @return array<string, array{string, string}> */
function samples(): array
{
    $all = [];
    foreach (glob(__DIR__.'/samples/*/*.txt') ?: [] as $file) {
        $all[basename(dirname($file)).' '.basename($file, '.txt')] = [basename(dirname($file)), $file];
    }

    return $all;
}

/** @return list<array<string, mixed>> */
function factsOf(string $kind, string $text): array
{
    return json_decode((string) json_encode(Intake::standard()->read($kind, $text)), true)['facts'];
}

/**
 * A prompt on top moves every line down.
 *
 * @param  list<array<string, mixed>>  $facts
 * @return list<array<string, mixed>>
 */
function withoutLines(array $facts): array
{
    return array_map(fn (array $fact): array => array_diff_key($fact, ['line' => 0]), $facts);
}

test('what a tool printed is read, and its kind is told', function (string $kind, string $file): void {
    $text = (string) file_get_contents($file);
    $expected = array_map(
        fn (string $line): array => json_decode($line, true),
        explode("\n", trim((string) file_get_contents(substr($file, 0, -4).'.facts'))),
    );
    expect(factsOf($kind, $text))
        ->toEqual($expected)
        ->and(Intake::standard()->read('auto', $text)->kind)
        ->toBe($kind)
        // As it is copied from a terminal, and from a page.
        ->and(
            withoutLines(
                factsOf(
                    $kind,
                    "warden@wren:~ $ x\r\n".str_replace("\n", "  \r\n", $text)."\r\nwarden@wren:~ $ ",
                ),
            ),
        )
        ->toEqual(withoutLines($expected))
        ->and(factsOf($kind, "\e[1m".str_replace(['"', '<'], ['&quot;', '&lt;'], $text)."\e[0m"))
        ->toEqual($expected);
})->with(samples());

test('a text that was cut keeps what stood before', function (string $kind, string $file): void {
    $text = (string) file_get_contents($file);
    $whole = count(factsOf($kind, $text));
    mt_srand(7);
    for ($i = 0; $i < 12; $i++) {
        expect(count(factsOf($kind, substr($text, 0, mt_rand(0, strlen($text))))))->toBeLessThanOrEqual(
            $whole + 1,
        );
    }
})->with(array_filter(samples(), fn (array $one): bool => ! str_ends_with($one[1], 'json.txt')));

test('ten thousand damaged texts of each kind are read without harm', function (string $kind): void {
    mt_srand(11);
    $texts = array_map(
        fn (array $one): string => (string) file_get_contents($one[1]),
        array_values(array_filter(samples(), fn (array $one): bool => $one[0] === $kind)),
    );
    $reader = Intake::standard();
    $met = 0;
    for ($i = 0; $i < 10_000; $i++) {
        $text = $texts[$i % count($texts)];
        for ($n = mt_rand(1, 4); $n > 0; $n--) {
            $at = mt_rand(0, strlen($text));
            $text = match (mt_rand(0, 3)) {
                0 => substr($text, 0, $at).chr(mt_rand(0, 255)).substr($text, $at),
                1 => substr($text, 0, $at).substr($text, $at + mt_rand(1, 40)),
                2 => substr($text, 0, $at)."\n".substr($text, $at),
                3 => substr($text, 0, $at).
                    substr($text, mt_rand(0, strlen($text)), 60).
                    substr($text, $at),
            };
        }
        foreach ($reader->read($kind, $text)->facts as $fact) {
            $met++;
            $fact = $fact->jsonSerialize();
            // What is called an address is one, whatever was damaged.
            isset($fact['address']) && expect(inet_pton($fact['address']))->not->toBeFalse();
            isset($fact['mac']) && expect($fact['mac'])->toMatch('/^[0-9a-f]{2}(:[0-9a-f]{2}){5}$/D');
        }
    }
    // Most of the damage leaves most of the text.
    expect($met)->toBeGreaterThan(9_000);
})->with(['leases', 'neighbours', 'own-address', 'hostkeys', 'lookup', 'reach']);

test('a hidden host is found by its name', function (): void {
    $keys = Intake::standard()
        ->read('hostkeys', (string) file_get_contents(__DIR__.'/samples/hostkeys/knownh.txt'))
        ->all(KeySeen::class);
    $for = fn (string $host): int => count(array_filter($keys, fn (KeySeen $key): bool => $key->isFor($host)));
    expect([$for('wren.home.arpa'), $for('172.22.8.16'), $for('[lantern]:2222'), $for('larder')])->toBe([
        3,
        3,
        1,
        0,
    ]);
});

test('an address that the machine gave itself is said', function (): void {
    $reading = Intake::standard()->read('own-address', "2: eth0    inet 169.254.7.9/16 scope link eth0\n");
    expect($reading->findings->codes())->toBe(['intake.no_lease']);
});

test('a text of another kind is said to be one, and a scan that was cut where it ends', function (): void {
    $read = fn (string $kind, string $text) => Intake::standard()->read($kind, $text);
    foreach (['neighbours', 'own-address', 'lookup', 'reach'] as $kind) {
        expect($read($kind, "\n\n")->findings->codes())->toBe(['intake.not_this']);
    }
    expect($read('neighbours', "a kettle\n")->findings->codes())->toBe(['intake.line_not_read']);
    $scan = (string) file_get_contents(__DIR__.'/samples/neighbours/nmap-xml.txt');
    $cut = substr($scan, 0, (int) strpos($scan, '<runstats>'));
    $reading = $read('neighbours', $cut);
    expect(count($reading->facts))
        ->toBe(1)
        ->and($reading->findings->list[0]->place?->line)
        ->toBe(substr_count($cut, "\n") + 1);
});

test('a name for an address is no address', function (): void {
    expect(factsOf('lookup', '172.22.8.16: wren.thistledown.home.arpa   -- link: eth0')[0])->toMatchArray([
        'type' => 'PTR',
        'value' => 'wren.thistledown.home.arpa',
    ]);
});

test('a long list of one kind of answer costs each line once', function (string $kind, string $line): void {
    $time = function (int $lines) use ($kind, $line): float {
        $text = implode("\n", array_map(fn (int $i): string => sprintf($line, $i), range(1, $lines)));
        $began = hrtime(true);
        Intake::standard()->read($kind, $text);

        return (hrtime(true) - $began) / 1e9;
    };
    $time(200);
    $least = fn (int $lines): float => min($time($lines), $time($lines), $time($lines));
    // Sixteen times as many lines: a reader that looks at all before for each would take 256 times as long.
    expect($least(16_000) / max(1e-4, $least(1000)))->toBeLessThan(80.0);
})->with([
    ['hostkeys', 'h%d ssh-ed25519 AAAAC3NzaC1lZDI1NTE5AAAAIMWH4EN1JEiFILUR1VHuV/TmlHwRyjSYbpDbRKSfA/hX'],
    ['lookup', "** server can't find h%d.example: NXDOMAIN"],
    ['lookup', 'Host h%d.example not found: 3(NXDOMAIN)'],
    ['reach', 'nc: connect to 172.22.8.1 port %d (tcp) failed: Connection refused'],
]);

test('a list in brackets is read although a prompt stands right behind it', function (string $after): void {
    $list = '[{"dst":"172.22.8.16","dev":"eth0","lladdr":"02:4b:1e:90:00:07","state":["REACHABLE"]}]';
    $seen = Intake::standard()
        ->read('neighbours', $list.$after)
        ->all(Neighbour::class);
    expect(array_map(fn (Neighbour $one): string => (string) $one->address, $seen))->toBe(['172.22.8.16']);
})->with(['', "\n", '$', '}', 'larder#']);
