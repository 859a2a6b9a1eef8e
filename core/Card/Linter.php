<?php

declare(strict_types=1);

namespace Burrow\Card;

use Burrow\Card\Rule\AccountFileRule;
use Burrow\Card\Rule\CannotWorkRule;
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
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Text\TextBudget;

/** Looks over the first-boot files of a card before it costs an evening. */
final readonly class Linter
{
    private const MOST_OF_EACH = 50;

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
            new CannotWorkRule(),
        ];
    }

    public function lint(CardFolder $folder, CardContext $context = new CardContext()): Findings
    {
        [$folder, $findings] = self::withinBudget($folder, $context);
        $unseen = array_map(fn (Finding $finding): string => $finding->place->file ?? '', $findings->list);
        foreach (self::rules() as $rule) {
            // What the files say together cannot be judged while one of them was not looked at.
            if ($unseen === [] || ! ($rule instanceof SchoolsRule)) {
                $findings = $findings->and(self::fewOfEach($rule->lint($folder, $context), $unseen));
            }
        }

        return Findings::of(
            ...array_map(
                fn (Finding $finding): Finding => self::withColumn($finding, $folder),
                $findings->gravestFirst()->list,
            ),
        );
    }

    /**
     * The folder without the files that are too much to look at, and a finding for each of those.
     *
     * @return array{CardFolder, Findings}
     */
    private static function withinBudget(CardFolder $folder, CardContext $context): array
    {
        $files = $folder->files;
        $findings = [];
        foreach ($files as $name => $text) {
            $tooMuch = TextBudget::cardFile()->exceeded(str_replace("\r", '', $text));
            if ($tooMuch === null) {
                continue;
            }
            unset($files[$name]);
            if (in_array((string) $name, [...CardFolder::KNOWN, $context->image?->ownText?->file], true)) {
                $findings[] = CardFindings::notLookedAt((string) $name, $tooMuch);
            }
        }

        return [new CardFolder($files), Findings::of(...$findings)];
    }

    /**
     * Hundreds of the same finding say no more than the first ones; and nothing is said of a file that was not looked
     * at.
     *
     * @param  list<string>  $unseen
     */
    private static function fewOfEach(Findings $findings, array $unseen): Findings
    {
        $counts = [];
        $few = array_filter($findings->list, function (Finding $finding) use (&$counts, $unseen): bool {
            if (in_array($finding->place->file ?? '', $unseen, true)) {
                return false;
            }
            $counts[$finding->code] = ($counts[$finding->code] ?? 0) + 1;

            return $counts[$finding->code] <= self::MOST_OF_EACH;
        });

        return Findings::of(...array_values($few));
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
