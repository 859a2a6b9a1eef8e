<?php

declare(strict_types=1);

namespace Burrow\Card\Write;

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
                    ? WriteFindings::bootFilesWantPassword(Place::field('first_password'))
                    : null,
                WriteFindings::bootFilesSayLess(),
            ]),
        );
    }
}
