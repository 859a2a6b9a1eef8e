<?php

declare(strict_types=1);

use Burrow\Filter\Upstream\Upstream;
use Burrow\Net\AddressRange;
use Burrow\Net\Ipv4;
use Burrow\Net\LocalNetwork;
use Burrow\Net\Prefix;

// Whom a filter asks further, as files, against the programs that read them.

test('each way, in each size of network, is a file that its resolver takes', function (): void {
    $folder = scratch();
    $checked = 0;
    foreach (
        ['172.22.8.0/24', '172.22.8.64/26', '172.22.8.0/22', '172.22.0.0/16', '10.0.0.0/9', '10.0.0.0/8'] as $net
    ) {
        $prefix = Prefix::parse($net);
        $router = Ipv4::fromNumber($prefix->network->number + 1);
        $house = new LocalNetwork(
            $prefix,
            $router,
            AddressRange::between($router, $router),
            'thistledown.home.arpa',
        );
        foreach (['', (string) $router] as $local) {
            foreach (
                [
                    ['way' => 'roots'],
                    ['way' => 'line', 'asks' => '203.0.113.53'],
                    ['way' => 'other', 'asks' => '203.0.113.53, 2001:db8::53'],
                    [
                        'way' => 'tls',
                        'asks' => '203.0.113.53 2001:db8::53',
                        'tls_name' => 'names.example.net',
                    ],
                ] as $typed
            ) {
                $upstream = Upstream::of($typed + ['local' => $local], $house);
                expect($upstream->findings->blocks())->toBeFalse();
                file_put_contents(
                    "{$folder}/unbound.conf",
                    "server:\n  chroot: \"\"\n  directory: \"{$folder}\"\n  username: \"\"\n  pidfile: \"{$folder}/pid\"\n".
                        $upstream->unbound(),
                );
                $said = run("unbound-checkconf {$folder}/unbound.conf");
                expect($said['exit'])->toBe(0, $said['all'].$upstream->unbound());
                if ($upstream->dnsmasq() !== null) {
                    file_put_contents("{$folder}/dnsmasq.conf", $upstream->dnsmasq());
                    $said = run("dnsmasq --test --conf-file={$folder}/dnsmasq.conf");
                    expect($said['exit'])->toBe(0, $said['all'].$upstream->dnsmasq());
                }
                $checked++;
            }
        }
    }
    expect($checked)->toBe(48);
});
