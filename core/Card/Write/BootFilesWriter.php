<?php

declare(strict_types=1);

namespace Burrow\Card\Write;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;

/**
 * The old hands' way: `ssh` without content, `userconf.txt` with user and hash, `wpa_supplicant.conf` for the radio.
 */
final class BootFilesWriter
{
    /** @return list<CardFile> */
    public function write(FirstBoot $settings): array
    {
        return [
            ...$settings->remoteLogin ? [new CardFile('ssh', [])] : [],
            ...$settings->passwordHash === null
                ? []
                : [
                    new CardFile('userconf.txt', [
                        new CardLine(
                            "{$settings->user}:{$settings->passwordHash}",
                            'The account, with the hash of its password.',
                        ),
                    ]),
                ],
            ...$settings->wifis === [] ? [] : [(new WpaSupplicantWriter())->write($settings)],
        ];
    }

    /** What this school cannot say. */
    public function findings(FirstBoot $settings): Findings
    {
        return Findings::of(
            ...array_filter([
                $settings->passwordHash === null
                    ? Finding::stop(
                        'card.boot_files_want_password',
                        'This school knows no keys.',
                        'userconf.txt holds a user and the hash of a password; without it nobody can log in.',
                        'Choose a password as well, and put the key in after the first login.',
                        Place::field('first_password'),
                    )
                    : null,
                Finding::note(
                    'card.boot_files_say_less',
                    'Name, time zone and packages are not in these files.',
                    'They are typed after the first login; the commands stand below.',
                ),
            ]),
        );
    }
}
