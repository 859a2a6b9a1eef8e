<?php

declare(strict_types=1);

use App\Probe\ReverseNames;
use Burrow\Net\Ipv4;

// What machines call themselves, asked of others over real sockets on loopback.

/** Asks one machine that answers in this way; the process it runs in ends with the test. */
function namesFrom(string $how, bool $asLink): array
{
    $port = 35353 + random_int(0, 2000);
    $machine = proc_open([PHP_BINARY, dirname(__DIR__).'/Support/names.php', (string) $port, $how], [], $pipes);
    is_resource($machine) || throw new RuntimeException('The machine did not start.');
    try {
        $there = "127.0.0.1:{$port}";
        // Nobody listens at port 9: the other one stays silent.
        $ask = new ReverseNames(0.4, $asLink ? $there : '127.0.0.1:9');
        $addresses = [Ipv4::parse('172.22.8.14'), Ipv4::parse('172.22.8.15')];
        for ($try = 0; $try < ($how === 'right' ? 20 : 3); $try++) {
            $names = $ask->of($addresses, $asLink ? null : $there);
            if ($names !== []) {
                return $names;
            }
        }

        return [];
    } finally {
        proc_terminate($machine, 9);
        proc_close($machine);
    }
}

test('a resolver and the link both tell the name of an address', function (bool $asLink): void {
    expect(namesFrom('right', $asLink))->toBe(['172.22.8.14' => 'lantern', '172.22.8.15' => 'lantern']);
})->with(['the resolver' => false, 'the link' => true]);

test('what is no answer to what was asked tells nothing', function (string $how): void {
    expect(namesFrom($how, true))->toBe([]);
})->with(['other-number', 'other-name', 'no-dns', 'hostile']);

test('nobody there is nobody named', function (): void {
    expect((new ReverseNames(0.1, '127.0.0.1:9'))->of([Ipv4::parse('172.22.8.14')], null))
        ->toBe([])
        ->and((new ReverseNames(0.1))->of([], null))
        ->toBe([]);
});
