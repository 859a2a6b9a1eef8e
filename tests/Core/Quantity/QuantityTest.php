<?php

declare(strict_types=1);

use Burrow\Quantity\Amps;
use Burrow\Quantity\Bytes;
use Burrow\Quantity\Duration;
use Burrow\Quantity\Money;
use Burrow\Quantity\Ohms;
use Burrow\Quantity\Rate;
use Burrow\Quantity\Volts;
use Burrow\Quantity\Watts;

test('a 3 TB drive shows as 2.728 TiB', function (): void {
    expect(round(Bytes::tera(3)->count / 1024 ** 4, 3))
        ->toBe(2.728)
        ->and(Bytes::tera(3)->decimal())
        ->toBe('3.0 TB')
        ->and(Bytes::tera(3)->binary())
        ->toBe('2.7 TiB');
});

test('the 512-byte-sector limit of the old partition table is 2.199 TB', function (): void {
    expect(Bytes::of(2 ** 32 * 512)->count)
        ->toBe(2199023255552)
        ->and(
            Bytes::tera(3)
                ->less(Bytes::of(2 ** 32 * 512))
                ->decimal(),
        )
        ->toBe('801 GB');
});

test('amounts are written with their unit', function (Bytes $amount, string $decimal, string $binary): void {
    expect($amount->decimal())->toBe($decimal)->and($amount->binary())->toBe($binary);
})->with([
    [Bytes::of(0), '0 B', '0 B'],
    [Bytes::of(999), '999 B', '999 B'],
    [Bytes::of(1000), '1.0 kB', '1000 B'],
    [Bytes::mebi(4096), '4.3 GB', '4.0 GiB'],
    [Bytes::giga(32), '32.0 GB', '29.8 GiB'],
]);

test('what cannot be is refused', function (Closure $make): void {
    expect($make)->toThrow(InvalidArgumentException::class);
})->with([fn () => Bytes::of(-1), fn () => Rate::bytesPerSecond(0), fn () => Duration::seconds(-0.1)]);

test('more is not less: taking away stops at nothing', function (): void {
    expect(Bytes::of(5)->less(Bytes::of(9))->count)
        ->toBe(0)
        ->and(Bytes::of(5)->isMoreThan(Bytes::of(4)))
        ->toBeTrue();
});

test('eight bits make a byte and a rate gives a time', function (): void {
    expect(Rate::megabitsPerSecond(100)->inMegabytes())
        ->toBe(12.5)
        ->and((string) Rate::megabytesPerSecond(2)->timeFor(Bytes::giga(1)))
        ->toBe('8 min')
        ->and((string) Rate::megabytesPerSecond(117.7))
        ->toBe('118 MB/s')
        ->and((string) Rate::megabytesPerSecond(11.77))
        ->toBe('11.8 MB/s');
});

test('a countdown and a sentence say the same time', function (
    float $seconds,
    string $clock,
    string $words,
): void {
    expect(Duration::seconds($seconds)->clock())
        ->toBe($clock)
        ->and((string) Duration::seconds($seconds))
        ->toBe($words);
})->with([
    [0, '00:00', '0 s'],
    [462, '07:42', '8 min'],
    [59.6, '01:00', '60 s'],
    [89, '01:29', '89 s'],
    [90, '01:30', '2 min'],
    [7199, '1:59:59', '2 h'],
    [7100, '1:58:20', '118 min'],
    [3661, '1:01:01', '61 min'],
    [9000, '2:30:00', '2 h 30 min'],
    [7200, '2:00:00', '2 h'],
    [259200, '72:00:00', '3 days'],
]);

test('Ohm\'s law and a year of watts', function (): void {
    expect(Volts::across(Ohms::of(0.2), Amps::of(1.5))->volts)
        ->toEqualWithDelta(0.3, 1e-12)
        ->and(Watts::of(6.4)->at(Volts::of(5.1))->amps)
        ->toEqualWithDelta(1.2549, 1e-4)
        ->and(Watts::of(1)->kilowattHoursPerYear())
        ->toBe(8.76)
        ->and((string) Money::of(35)->plus(Money::of(10))->plus(Money::of(7.5)))
        ->toBe('52.50');
});

test('the largest unit takes what is larger still', function (): void {
    expect([Bytes::of(PHP_INT_MAX)->decimal(), Bytes::of(PHP_INT_MAX)->binary()])->toBe([
        '9223 PB',
        '8192 PiB',
    ]);
});

test('a length of time and a size are told in the unit that they have just reached', function (
    string $said,
    string $words,
): void {
    expect($said)->toBe($words);
})->with([
    [fn () => (string) Duration::seconds(89), '89 s'],
    [fn () => (string) Duration::seconds(90), '2 min'],
    [fn () => (string) Duration::minutes(119), '119 min'],
    [fn () => (string) Duration::minutes(120), '2 h'],
    [fn () => (string) Duration::minutes(2879), '47 h 59 min'],
    [fn () => (string) Duration::minutes(2880), '2 days'],
    [fn () => Bytes::of(99_940_000_000)->decimal(), '99.9 GB'],
    [fn () => Bytes::of(100_000_000_000)->decimal(), '100 GB'],
    [fn () => Bytes::of(999)->decimal(), '999 B'],
    [fn () => Bytes::of(1000)->decimal(), '1.0 kB'],
]);

test('a rate is told with a digit below a hundred', function (float $megabytes, string $words): void {
    expect((string) Rate::bytesPerSecond($megabytes * 1e6))->toBe($words);
})->with([[99.9, '99.9 MB/s'], [100, '100 MB/s'], [117.6, '118 MB/s']]);
