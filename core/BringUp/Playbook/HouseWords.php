<?php

declare(strict_types=1);

namespace Burrow\BringUp\Playbook;

/** What is so of a whole house, by the names that commands know it by. */
final class HouseWords
{
    /** The container engine where a house names no other. */
    public const ENGINE = 'podman';

    /** @return array<string, string> the engine's command, how compose files are brought up, and its packages */
    public static function engine(?string $command): array
    {
        $engine = $command === null || $command === '' ? self::ENGINE : $command;
        $apart = $engine === self::ENGINE;

        return [
            'engine' => $engine,
            'compose' => $apart ? "{$engine}-compose" : "{$engine} compose",
            'package_compose' => $apart ? "{$engine}-compose" : $engine,
        ];
    }
}
