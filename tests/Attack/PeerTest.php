<?php

declare(strict_types=1);

use App\Probe\BudgetedStream;
use App\Probe\HostKeyProbe;
use App\Probe\Target;
use Tests\Attack\BadPeer;

// Whoever sits at an address of the network gets a budget: so many seconds for the whole conversation, so many bytes.

function askedOf(BadPeer $peer): Target
{
    $target = (new ReflectionClass(Target::class))->newInstanceWithoutConstructor();
    foreach (['host' => '127.0.0.1', 'port' => $peer->port, 'presence' => null] as $name => $value) {
        (fn () => ($this->{$name} = $value))->call($target);
    }

    return $target;
}

test('a peer that does not keep to the protocol holds nobody up and fills no memory', function (
    string $does,
): void {
    $peer = new BadPeer($does);
    $memory = memory_get_usage();
    memory_reset_peak_usage();
    $began = hrtime(true);
    expect((new HostKeyProbe(1))->ask(askedOf($peer)))->toBeNull();
    $seconds = (hrtime(true) - $began) / 1e9;
    // One second is what it may take; the rest is room for a busy machine. Without the budget it was sixty.
    expect($seconds)
        ->toBeLessThan(15)
        ->and(memory_get_peak_usage() - $memory)
        ->toBeLessThan(8 * 1024 * 1024);
})->with([
    'silent',
    'drips',
    'floods lines',
    'floods without lines',
    'greets and is silent',
    'greets and floods',
    'hangs up',
    'promises a huge packet',
]);

test('the stream ends with its bytes and with its time', function (): void {
    $floods = new BadPeer('floods lines');
    $flood = BudgetedStream::open('127.0.0.1', $floods->port, 5, 10_000);
    expect(strlen((string) stream_get_contents($flood)))->toBe(10_000);

    $drips = new BadPeer('drips');
    $drip = BudgetedStream::open('127.0.0.1', $drips->port, 0.5, 10_000);
    stream_get_contents($drip);
    expect(feof($drip))->toBeTrue();
});

test('nobody there is no wait', function (): void {
    expect(fn () => BudgetedStream::open('127.0.0.1', 1, 1, 100))->toThrow(RuntimeException::class);
});
