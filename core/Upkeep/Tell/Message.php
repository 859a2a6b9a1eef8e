<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Tell;

use Burrow\Household\Box;
use Burrow\Household\HearingState;
use Burrow\Household\Household;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Severity;
use JsonSerializable;

/**
 * What somebody is told of the house: once a day at most, and beside that only when a box fell silent that was not told
 * as silent yet.
 */
final readonly class Message implements JsonSerializable
{
    /** Things that one message tells; the page has them all. */
    private const TOLD = 20;

    private const DAY = 86_400;

    /**
     * @param  list<string>  $silent  boxes that are silent now
     * @param  list<Finding>  $findings  that want somebody, the gravest first
     */
    private function __construct(
        public string $subject,
        public array $silent,
        public array $findings,
        public int $more,
        public bool $isUrgent,
        public int $at,
    ) {
    }

    /**
     * @param  Findings  $findings  of all floors
     * @param  ?int  $lastAt  when a message of the day went out, in Unix seconds; null for never
     * @param  list<string>  $toldSilent  boxes that were told as silent and did not answer since
     * @return ?self null where there is nothing to be said now
     */
    public static function due(Household $house, Findings $findings, ?int $lastAt, array $toldSilent): ?self
    {
        $silent = self::silentIn($house);
        $new = array_values(array_diff($silent, $toldSilent));
        $wants = array_values(
            array_filter(
                $findings->gravestFirst()->list,
                fn (Finding $one): bool => $one->severity === Severity::Stop ||
                    $one->severity === Severity::Warn,
            ),
        );
        $now = $house->now->getTimestamp();
        $isDay = $lastAt === null || $now - $lastAt >= self::DAY;
        if ($new === [] && (! $isDay || $wants === [])) {
            return null;
        }
        $subject =
            $new !== []
                ? implode(', ', array_slice($new, 0, 3)).
                    (count($new) > 3 ? ' and '.(count($new) - 3).' more' : '').
                    ' fell silent'
                : (count($wants) === 1
                    ? 'one thing needs you'
                    : count($wants).' things need you');

        return new self(
            $subject,
            $silent,
            array_slice($wants, 0, self::TOLD),
            max(0, count($wants) - self::TOLD),
            $new !== [],
            $now,
        );
    }

    /** @return list<string> boxes that are silent now */
    public static function silentIn(Household $house): array
    {
        return array_values(
            array_map(
                fn (Box $box): string => $box->name,
                array_filter($house->standing(), fn (Box $box): bool => $box->is(HearingState::Silent)),
            ),
        );
    }

    /** As the text of a mail: plain, a line a thing. */
    public function text(string $page): string
    {
        $lines = array_map(fn (Finding $one): string => "- {$one->found} {$one->do}", $this->findings);

        return implode("\n", [
            ucfirst($this->subject).'.',
            '',
            ...$lines,
            ...$this->more > 0 ? ["And {$this->more} more."] : [],
            '',
            $page,
            '',
        ]);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'subject' => $this->subject,
            'urgent' => $this->isUrgent,
            'at' => $this->at,
            'silent' => $this->silent,
            'findings' => $this->findings,
            'more' => $this->more,
        ];
    }
}
