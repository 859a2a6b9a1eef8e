<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Models\Diagnosis;
use Burrow\Diagnosis\Know\Knowledge;

/** What is known of causes and checks, from the files beside core's rules. */
final class KnownCauses
{
    private static ?Knowledge $common = null;

    /** As common practice has it. */
    public static function common(): Knowledge
    {
        return self::$common ??= Knowledge::from(self::read('causes'), self::read('checks'));
    }

    /** With the causes that were found in this house. */
    public static function ofThisHouse(): Knowledge
    {
        return self::common()->with(Diagnosis::causesFound());
    }

    /** @return array<string, array<string, mixed>> by id */
    private static function read(string $what): array
    {
        $files = Kept::files(
            "diagnosis-{$what}",
            fn (): array => glob(base_path("core/Diagnosis/data/{$what}/*.yaml")) ?: [],
        );

        /** @var array<string, array<string, mixed>> */
        return array_merge(...array_values($files));
    }
}
