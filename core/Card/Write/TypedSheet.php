<?php

declare(strict_types=1);

namespace Burrow\Card\Write;

use Burrow\Net\SshPublicKey;

/**
 * The same values as a sheet to type from: for a writing tool's dialog, a text menu, or a screen with a keyboard.
 * Holds no secret.
 */
final class TypedSheet
{
    /** @return list<TypedStep> for the dialog of whatever tool writes the card */
    public static function dialog(FirstBoot $settings): array
    {
        return [
            new TypedStep('host name', $settings->name->label),
            new TypedStep('user name', $settings->user),
            self::secret($settings),
            ...array_merge(
                ...array_map(
                    fn (WifiNetwork $wifi): array => [
                        new TypedStep('network name', $wifi->ssid),
                        new TypedStep(
                            'its passphrase',
                            $wifi->secret === null ? 'none: it is open' : 'as it stands at the router',
                        ),
                    ],
                    array_slice($settings->wifis, 0, 1),
                ),
            ),
            ...$settings->country === null ? [] : [new TypedStep('country of the radio', $settings->country)],
            new TypedStep('time zone', $settings->timeZone),
            new TypedStep('keyboard', $settings->keyboard),
            new TypedStep('remote login', $settings->remoteLogin ? 'on' : 'off'),
        ];
    }

    /** @return list<TypedStep> for the text menu after the first login, with the commands that do the same */
    public static function menu(FirstBoot $settings): array
    {
        $name = $settings->name->label;

        return [
            new TypedStep('system: host name', $name, "sudo hostnamectl set-hostname {$name}"),
            new TypedStep(
                'localisation: time zone',
                $settings->timeZone,
                "sudo timedatectl set-timezone {$settings->timeZone}",
            ),
            new TypedStep(
                'localisation: keyboard',
                $settings->keyboard,
                "sudo localectl set-x11-keymap {$settings->keyboard}",
            ),
            ...$settings->country === null
                ? []
                : [
                    new TypedStep(
                        'localisation: country of the radio',
                        $settings->country,
                        "sudo iw reg set {$settings->country}",
                    ),
                ],
            new TypedStep(
                'interfaces: remote login',
                $settings->remoteLogin ? 'on' : 'off',
                'sudo systemctl '.($settings->remoteLogin ? 'enable' : 'disable').' --now ssh',
            ),
            new TypedStep('advanced: grow the file system', 'yes', 'lsblk; df -h /'),
            ...$settings->packages === []
                ? []
                : [
                    new TypedStep(
                        'afterwards: packages',
                        implode(', ', $settings->packages),
                        'sudo apt-get update && sudo apt-get install --yes '.implode(' ', $settings->packages),
                    ),
                ],
            new TypedStep('finish: restart', 'yes', 'sudo systemctl reboot'),
        ];
    }

    /** @return list<TypedStep> at a screen with a keyboard, from the first question to the restart */
    public static function screen(FirstBoot $settings): array
    {
        return [
            new TypedStep('first question: keyboard', $settings->keyboard),
            new TypedStep(
                'then: user name',
                $settings->user,
                "sudo adduser {$settings->user} && sudo adduser {$settings->user} sudo",
            ),
            self::secret($settings),
            ...self::menu($settings),
        ];
    }

    private static function secret(FirstBoot $settings): TypedStep
    {
        return $settings->key instanceof SshPublicKey
            ? new TypedStep('login', 'by key: paste the whole line', (string) $settings->key)
            : new TypedStep('password', 'the one you chose; it is kept nowhere here');
    }
}
