<?php

declare(strict_types=1);

namespace Burrow\Card\Rule;

use Burrow\Card\CardContext;
use Burrow\Card\CardFolder;
use Burrow\Card\LoginCheck;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;

/** `userconf.txt`: one line with a user, a colon and the hash of a password. */
final class AccountFileRule implements CardRule
{
    private const FILE = 'userconf.txt';

    public function lint(CardFolder $folder, CardContext $context): Findings
    {
        if (! $folder->has(self::FILE)) {
            return Findings::of();
        }
        $lines = $folder->lines(self::FILE);
        $number = array_key_first(array_filter($lines, fn (string $line): bool => trim($line) !== '')) ?? 0;
        $line = $lines[$number];
        $place = fn (int $column): Place => Place::file(self::FILE, $number + 1, $column);
        if (preg_match('/^\s*#/', $line) === 1 || ! str_contains($line, ':')) {
            return Findings::of(RuleFindings::accountLine($place(1)));
        }
        [$user, $hash] = explode(':', $line, 2);
        if ($number > 0 || trim($line) !== $line) {
            return Findings::of(RuleFindings::accountBlanks($place(1)));
        }
        $findings = Findings::of(
            ...array_map(
                fn (Finding $finding): Finding => $finding->at($place(1)),
                LoginCheck::userFindings($user)->list,
            ),
        );

        return $findings->and(LoginCheck::hashFindings($hash, $place(strlen($user) + 2)));
    }
}
