<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind;

use Burrow\BringUp\Step\StepKind;

/** Every kind of step by its name. A new one is one class and one line here. */
final class StepKinds
{
    /** @return array<string, StepKind> */
    public static function all(): array
    {
        static $all = null;

        return $all ??= self::byName(
            new ByHand(),
            new PowerOn(),
            new Wait(),
            new AtTheDesk(),
            new OnTheBox(),
            new Reserve(),
            new Upgrade(),
            new WhichDisk(),
            new MakeFileSystem(),
            new Share(),
            new FindLease(),
            new AskLogin(),
            new KeepHostKey(),
            new AskPinned(),
            new AskBack(),
            new AskServices(),
        );
    }

    /** By its name; what a playbook of another form calls otherwise is done by hand. */
    public static function of(string $name): StepKind
    {
        return self::all()[$name] ?? new ByHand();
    }

    /** @return array<string, StepKind> */
    private static function byName(StepKind ...$kinds): array
    {
        $byName = [];
        foreach ($kinds as $kind) {
            $byName[$kind->name()] = $kind;
        }

        return $byName;
    }
}
