<?php

declare(strict_types=1);

use Burrow\Diagnosis\Circumstances;
use Burrow\Diagnosis\Conversation;
use Burrow\Diagnosis\Know\Knowledge;
use Burrow\Diagnosis\Seen;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Yaml\Yaml;

/** @return array<string, array<string, mixed>> all causes, or all checks, as their files say */
function known(string $what): array
{
    $known = [];
    foreach (glob(dirname(__DIR__, 2)."/core/Diagnosis/data/{$what}/*.yaml") ?: [] as $file) {
        $known += Yaml::parseFile($file);
    }

    return $known;
}

function knowledge(): Knowledge
{
    static $knowledge = null;

    return $knowledge ??= Knowledge::from(known('causes'), known('checks'));
}

/** @param  array<string, string>  $seen */
function talk(array $seen = [], ?Circumstances $circumstances = null): Conversation
{
    return Conversation::of(
        knowledge(),
        $circumstances ?? Circumstances::of(),
        array_map(fn (string $check, string $answer) => new Seen($check, $answer), array_keys($seen), $seen),
    );
}

/** A share between 0 and 1, the same for the same seed. */
function chance(Randomizer $chance): float
{
    return $chance->getInt(0, 999_999) / 1_000_000;
}

function dice(int $seed): Randomizer
{
    return new Randomizer(new Mt19937($seed));
}

/**
 * One of several, each as often as its share says.
 *
 * @param  array<array-key, float>  $shares
 */
function drawn(array $shares, Randomizer $chance): int|string
{
    $mark = chance($chance) * array_sum($shares);
    foreach ($shares as $one => $share) {
        $mark -= $share;
        if ($mark < 0) {
            return $one;
        }
    }

    return array_key_last($shares);
}
