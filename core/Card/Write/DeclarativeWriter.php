<?php

declare(strict_types=1);

namespace Burrow\Card\Write;

/** The declarative school: `user-data`, `meta-data` and `network-config` for cloud-init's NoCloud source. */
final class DeclarativeWriter
{
    /** @return array{CardFile, CardFile, CardFile} */
    public function write(FirstBoot $settings): array
    {
        return [
            $this->userData($settings),
            $this->metaData($settings),
            (new NetworkConfigWriter())->write($settings),
        ];
    }

    private function userData(FirstBoot $settings): CardFile
    {
        $name = YamlScalar::of($settings->name->label);

        return new CardFile('user-data', [
            new CardLine('#cloud-config', 'Without this mark at the top the whole file is ignored.'),
            new CardLine("hostname: {$name}", 'The name the box announces.'),
            new CardLine(
                'fqdn: '.YamlScalar::of($settings->name->label.'.'.$settings->domain),
                'The name with the network\'s own domain.',
            ),
            new CardLine('manage_etc_hosts: true', 'So that the box finds its own name without asking anybody.'),
            new CardLine(
                'timezone: '.YamlScalar::of($settings->timeZone),
                'Exact zone, so that summer time is right.',
            ),
            new CardLine('keyboard:', 'For the day you need a screen.'),
            new CardLine('  layout: '.YamlScalar::of($settings->keyboard)),
            new CardLine('users:', 'The only account; no default one is made.'),
            new CardLine('  - name: '.YamlScalar::of($settings->user)),
            new CardLine('    groups: [adm, sudo]', 'May read logs and use sudo.'),
            new CardLine('    shell: /bin/bash'),
            ...$this->login($settings),
            new CardLine(
                'ssh_pwauth: '.($settings->passwordHash === null ? 'false' : 'true'),
                $settings->passwordHash === null
                    ? 'Keys only: guessing passwords is pointless.'
                    : 'Login by password until a key is there.',
            ),
            ...$this->packages($settings->packages),
            ...$settings->remoteLogin
                ? [
                    new CardLine('runcmd:', 'A plain server image ships with remote login switched off.'),
                    new CardLine('  - [systemctl, enable, --now, ssh]', 'Switched on now and at every start.'),
                ]
                : [],
        ]);
    }

    /** @return list<CardLine> */
    private function login(FirstBoot $settings): array
    {
        $lines =
            $settings->passwordHash === null
                ? [
                    new CardLine('    sudo: "ALL=(ALL) NOPASSWD:ALL"', 'There is no password to ask for.'),
                    new CardLine('    lock_passwd: true', 'No password login, not even at the screen.'),
                ]
                : [
                    new CardLine('    sudo: "ALL=(ALL) ALL"', 'sudo asks for the password.'),
                    new CardLine('    lock_passwd: false'),
                    new CardLine(
                        '    hashed_passwd: '.YamlScalar::of($settings->passwordHash),
                        'SHA-512 crypt; the password itself is forgotten.',
                    ),
                ];

        return $settings->key === null
            ? $lines
            : [
                ...$lines,
                new CardLine('    ssh_authorized_keys:', 'Whoever holds the private half may log in.'),
                new CardLine('      - '.YamlScalar::of((string) $settings->key), $settings->key->fingerprint()),
            ];
    }

    /**
     * @param  list<string>  $packages
     * @return list<CardLine>
     */
    private function packages(array $packages): array
    {
        return $packages === []
            ? []
            : [
                new CardLine('packages:', 'Installed at first boot, as soon as there is a network.'),
                ...array_map(
                    fn (string $package): CardLine => new CardLine('  - '.YamlScalar::of($package)),
                    $packages,
                ),
            ];
    }

    private function metaData(FirstBoot $settings): CardFile
    {
        return new CardFile('meta-data', [
            new CardLine(
                'instance-id: '.YamlScalar::of($settings->instance),
                'A new one makes the box read its settings again.',
            ),
            new CardLine(
                'local-hostname: '.YamlScalar::of($settings->name->label),
                'The name it sends to the router with its first request.',
            ),
        ]);
    }
}
