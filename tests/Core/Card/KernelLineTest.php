<?php

declare(strict_types=1);

use Burrow\Card\CardFolder;
use Burrow\Card\Linter;

// The kernel's own address field: ip=client:server:gateway:mask:host:device:autoconf:dns0:dns1:ntp0.

/** @return list<string> what is said of an address field */
function kernelSays(string $field): array
{
    $line = "console=tty1 root=PARTUUID=1-02 rootwait ip={$field}\n";

    return array_values(
        array_filter(
            (new Linter())->lint(new CardFolder(['cmdline.txt' => $line, 'ssh' => '']))->codes(),
            fn (string $code): bool => str_contains($code, 'ip_form') ||
                str_contains($code, 'gateway') ||
                str_contains($code, 'address_of'),
        ),
    );
}

test('the netmask of every length decides who is inside', function (): void {
    for ($length = 16; $length <= 29; $length++) {
        $mask = long2ip((0xFFFFFFFF << (32 - $length)) & 0xFFFFFFFF);
        $network = ip2long('172.22.0.0');
        $last = $network + 2 ** (32 - $length) - 1;
        $field = fn (int $address, int $gateway): string => long2ip($address).
            '::'.
            long2ip($gateway).
            ":{$mask}:wren:eth0:off";
        expect([$length, kernelSays($field($network + 2, $last - 1))])
            ->toBe([$length, []])
            ->and([$length, kernelSays($field($network + 2, $last + 2))])
            ->toBe([$length, ['card.gateway_outside']])
            ->and([$length, kernelSays($field($network, $last - 1))])
            ->toBe([$length, ['card.address_of_network']])
            ->and([$length, kernelSays($field($last, $last - 1))])
            ->toBe([$length, ['card.address_of_network']]);
    }
});

test('an address field has four to ten fields', function (): void {
    $fields = [
        '172.22.8.20',
        '',
        '172.22.8.1',
        '255.255.255.0',
        'wren',
        'eth0',
        'off',
        '172.22.8.1',
        '172.22.8.2',
        '172.22.8.3',
    ];
    for ($count = 4; $count <= 10; $count++) {
        expect([$count, kernelSays(implode(':', array_slice($fields, 0, $count)))])->toBe([$count, []]);
    }
    expect(kernelSays(implode(':', [...$fields, 'x'])))
        ->toBe(['card.ip_form'])
        ->and(kernelSays(implode(':', array_slice($fields, 0, 3))))
        ->toBe(['card.ip_form']);
});

test('a way of asking alone is no address', function (string $auto): void {
    expect(kernelSays($auto))->toBe([]);
})->with(['dhcp', 'off', 'on', 'any']);
