<?php

declare(strict_types=1);

namespace Burrow\Card;

use Burrow\Card\Rule\AccountFileRule;
use Burrow\Card\Rule\CardRule;
use Burrow\Card\Rule\FirmwareRule;
use Burrow\Card\Rule\FormRule;
use Burrow\Card\Rule\KernelLineRule;
use Burrow\Card\Rule\MetaDataRule;
use Burrow\Card\Rule\NamesRule;
use Burrow\Card\Rule\NetworkConfigRule;
use Burrow\Card\Rule\OwnTextRule;
use Burrow\Card\Rule\SchoolsRule;
use Burrow\Card\Rule\UserDataRule;
use Burrow\Card\Rule\WpaSupplicantRule;
use Burrow\Sheet\Finding;
use Burrow\Sheet\Findings;
use Burrow\Sheet\Place;

/** Looks over the first-boot files of a card before it costs an evening. */
final readonly class Linter
{
    /** @return list<CardRule> */
    private static function rules(): array
    {
        return [
            new FormRule(),
            new NamesRule(),
            new UserDataRule(),
            new MetaDataRule(),
            new NetworkConfigRule(),
            new AccountFileRule(),
            new WpaSupplicantRule(),
            new KernelLineRule(),
            new FirmwareRule(),
            new OwnTextRule(),
            new SchoolsRule(),
        ];
    }

    public function lint(CardFolder $folder, CardContext $context = new CardContext()): Findings
    {
        $findings = Findings::of();
        foreach (self::rules() as $rule) {
            $findings = $findings->and($rule->lint($folder, $context));
        }

        return Findings::of(...array_map(fn (Finding $finding): Finding => self::withColumn($finding, $folder), $findings->gravestFirst()->list));
    }

    /** Where a rule named the line only, the column of its first character. */
    private static function withColumn(Finding $finding, CardFolder $folder): Finding
    {
        $place = $finding->place;
        if ($place?->file === null || $place->line === null || $place->column !== null) {
            return $finding;
        }
        $line = $folder->lines($place->file)[$place->line - 1] ?? '';

        return $finding->at(Place::file($place->file, $place->line, 1 + strlen($line) - strlen(ltrim($line))));
    }
}
