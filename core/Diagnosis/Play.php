<?php

declare(strict_types=1);

namespace Burrow\Diagnosis;

use Burrow\Diagnosis\Know\Cause;
use Burrow\Diagnosis\Know\Check;
use Burrow\Diagnosis\Know\Knowledge;
use JsonSerializable;
use Random\Randomizer;

/**
 * A conversation played out with the answers that given causes would give, until it would tell the person.
 *
 * With two causes the person puts right what was told and, since the box is still not well, goes on. Something told
 * that is not there is put right in vain; then the play ends as a person would find it: wrong.
 */
final class Play implements JsonSerializable
{
    private const MOST_CHECKS = 20;

    private const GRAINS = 1 << 24;

    /** @var list<array{id: string, answer: string, minutes: float}> */
    public array $checks = [];

    /** @var list<array{id: string, probability: float, after_checks: int, minutes: float}> */
    public array $told = [];

    public string $complaint = '';

    /** @var list<Likely> */
    public array $causes = [];

    /**
     * @param  list<Cause>  $left  what is wrong and not put right yet
     * @param  ?Randomizer  $chance  null: each check gives its likeliest answer
     */
    private function __construct(
        private readonly Knowledge $knowledge,
        private array $left,
        private readonly ?Randomizer $chance,
    ) {
    }

    /** @param  non-empty-list<Cause>  $causes  one or two */
    public static function of(
        Knowledge $knowledge,
        array $causes,
        ?Randomizer $chance = null,
        ?Circumstances $circumstances = null,
    ): self {
        $play = new self($knowledge, $causes, $chance);
        $play->go(Conversation::of($knowledge, $circumstances ?? Circumstances::of()));

        return $play;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'complaint' => $this->complaint,
            'checks' => $this->checks,
            'told' => $this->told,
            'causes' => $this->causes,
            'minutes' => round($this->minutes(), 2),
        ];
    }

    public function minutes(): float
    {
        return array_sum(array_column($this->checks, 'minutes'));
    }

    private function go(Conversation $talk): void
    {
        $this->complaint = $this->answer(Check::FIRST);
        $talk = $talk->saw(new Seen(Check::FIRST, $this->complaint));
        $found = [];
        while (true) {
            $told = $talk->told();
            if ($told === null && count($this->checks) < self::MOST_CHECKS) {
                $check = $talk->next(1)[0]->check;
                $answer = $this->answer($check->id);
                $this->checks[] = ['id' => $check->id, 'answer' => $answer, 'minutes' => $check->minutes];
                $talk = $talk->saw(new Seen($check->id, $answer));

                continue;
            }
            $told ??= $talk->causes()[0];
            $this->told[] = [
                'id' => $told->id(),
                'probability' => round($told->probability, 4),
                'after_checks' => count($this->checks),
                'minutes' => round($this->minutes(), 2),
            ];
            $left = array_values(array_filter($this->left, fn (Cause $one): bool => $one->id !== $told->id()));
            if ($told->cause === null || $left === [] || count($left) === count($this->left)) {
                $this->causes = [...$found, ...$talk->causes()];
                usort(
                    $this->causes,
                    fn (Likely $one, Likely $other): int => $other->probability <=> $one->probability,
                );

                return;
            }
            // Put right, and still not well: what is left speaks for itself now.
            $found[] = $told;
            $this->left = $left;
            $answer = $this->answer(Check::FIRST);
            $this->checks[] = [
                'id' => Check::FIRST,
                'answer' => $answer,
                'minutes' => $this->knowledge->checks[Check::FIRST]->minutes,
            ];
            $talk = $talk->mended($told->id())->saw(new Seen(Check::FIRST, $answer));
        }
    }

    private function answer(string $check): string
    {
        $shares = $this->knowledge->answers($check, $this->left[0]->id, ($this->left[1] ?? null)?->id);
        if ($this->chance === null) {
            arsort($shares);

            return (string) array_key_first($shares);
        }
        $mark = $this->chance->getInt(0, self::GRAINS - 1) / self::GRAINS;
        foreach ($shares as $answer => $share) {
            $mark -= $share;
            if ($mark < 0) {
                return (string) $answer;
            }
        }

        return (string) array_key_last($shares);
    }
}
