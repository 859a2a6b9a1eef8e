<?php

declare(strict_types=1);

use Burrow\Intake\Intake;
use Burrow\Intake\Own\OwnAddress;

// Whether an address was given or stands in a file, as “ip -j addr” tells it.

test('an address is given, stands in a file, or nobody knows', function (array $info, ?bool $given): void {
    $text = json_encode([
        [
            'ifname' => 'eth0',
            'link_type' => 'ether',
            'address' => '02:4b:1e:90:00:07',
            'addr_info' => [$info + ['local' => '172.22.8.16', 'prefixlen' => 24]],
        ],
    ]);
    $own = Intake::standard()->read('own-address', $text)->all(OwnAddress::class);
    expect(array_map(fn (OwnAddress $one): array => [(string) $one->address, $one->dhcp], $own))->toBe([
        [$info['local'] ?? '172.22.8.16', $given],
    ]);
})->with([
    'given' => [['family' => 'inet', 'scope' => 'global', 'dynamic' => true], true],
    'in a file' => [['family' => 'inet', 'scope' => 'global'], false],
    'of the link alone' => [['family' => 'inet', 'scope' => 'link'], null],
    'of the newer kind' => [
        ['family' => 'inet6', 'scope' => 'global', 'local' => 'fd4b:1e90:7:8::b', 'prefixlen' => 64],
        null,
    ],
]);
