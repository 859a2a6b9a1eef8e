<?php

declare(strict_types=1);

namespace Burrow\Diagnosis;

use Burrow\Diagnosis\Know\Cause;
use Burrow\Diagnosis\Know\Check;
use Burrow\Diagnosis\Know\Knowledge;
use JsonSerializable;

/**
 * What is known of a box that does not do its work, and what follows from it: how likely each cause is, and what to
 * look at next.
 */
final class Conversation implements JsonSerializable
{
    /** From here on the cause is told. */
    public const SURE = 0.85;

    /** No check that clears less of the doubt, in bits, is worth the walk. */
    private const WORTH = 0.03;

    /** What it takes to turn to a check at all, in minutes, beside its own. From experience. */
    private const TURNING = 2.5;

    /** Explanations that checks are chosen by: those after them hold less than one in a hundred together, mostly. */
    private const WEIGHED = 40;

    private ?Odds $odds = null;

    private ?Reasons $reasons = null;

    /** @var ?array<string, float> */
    private ?array $worth = null;

    /** @var ?list<Contradiction> */
    private ?array $contradictions = null;

    /**
     * @param  list<Seen>  $seen  one for a check; the later takes the earlier one's place
     * @param  list<string>  $cleared  causes that were put right, or ruled out
     * @param  list<string>  $skipped  checks that cannot be made now
     */
    private function __construct(
        public readonly Knowledge $knowledge,
        public readonly Circumstances $circumstances,
        public readonly array $seen,
        public readonly array $cleared,
        public readonly array $skipped,
    ) {
    }

    /**
     * @param  list<Seen>  $seen  what the knowledge does not know of is left out
     * @param  list<string>  $cleared
     * @param  list<string>  $skipped
     */
    public static function of(
        Knowledge $knowledge,
        Circumstances $circumstances,
        array $seen = [],
        array $cleared = [],
        array $skipped = [],
    ): self {
        $by = [];
        foreach ($seen as $one) {
            if (isset($knowledge->checks[$one->check]->answers[$one->answer])) {
                unset($by[$one->check]);
                $by[$one->check] = $one;
            }
        }

        return new self($knowledge, $circumstances, array_values($by), $cleared, $skipped);
    }

    public function saw(Seen $seen): self
    {
        return self::of(
            $this->knowledge,
            $this->circumstances,
            [...$this->seen, $seen],
            $this->cleared,
            $this->skipped,
        );
    }

    public function cannot(string $check): self
    {
        return self::of($this->knowledge, $this->circumstances, $this->seen, $this->cleared, [
            ...$this->skipped,
            $check,
        ]);
    }

    /**
     * The cause was put right and the box is still not well: what that cause had shown may be otherwise now, so it is
     * forgotten; the rest is kept.
     */
    public function mended(string $cause): self
    {
        return self::of(
            $this->knowledge,
            $this->circumstances,
            array_values(
                array_filter(
                    $this->seen,
                    fn (Seen $seen): bool => ! isset($this->knowledge->shares[$seen->check][$cause]),
                ),
            ),
            [...$this->cleared, $cause],
            [],
        );
    }

    public function answer(string $check): ?string
    {
        foreach ($this->seen as $seen) {
            if ($seen->check === $check) {
                return $seen->answer;
            }
        }

        return null;
    }

    /**
     * Every cause by how likely it is to be there, likeliest first, with something else among them.
     *
     * @return list<Likely>
     */
    public function causes(): array
    {
        $causes = [];
        foreach ($this->odds()->byCause() as $id => $probability) {
            $causes[] = $this->likely((string) $id, $probability);
        }

        return $causes;
    }

    /** @return list<Hypothesis> the likeliest explanations, two at once among them */
    public function explanations(int $most = 8): array
    {
        return $this->odds()->explanations($most);
    }

    /** The cause is told: it is sure enough, or nothing that could still be looked at would tell more. */
    public function told(): ?Likely
    {
        $causes = $this->causes();
        $top = $causes[0] ?? null;
        if ($top === null || $this->answer(Check::FIRST) === null) {
            return null;
        }

        return $top->probability >= self::SURE || $this->worth() === [] ? $top : null;
    }

    /**
     * What to look at next, the best first: what clears most doubt per minute.
     *
     * @return list<NextCheck>
     */
    public function next(int $most = 4): array
    {
        $first = $this->knowledge->checks[Check::FIRST];
        if ($this->answer(Check::FIRST) === null) {
            return [$this->weighing($first)];
        }

        return array_map(
            fn (string $id): NextCheck => $this->weighing($this->knowledge->checks[$id]),
            array_slice(array_keys($this->worth()), 0, $most),
        );
    }

    /** A check that the person chose, whatever it is worth. */
    public function weighing(Check $check): NextCheck
    {
        return $this->weighed($check, $this->head());
    }

    /** @return list<Contradiction> */
    public function contradictions(): array
    {
        return $this->contradictions ??= Agreement::within(
            $this->knowledge,
            array_keys(
                array_filter(
                    $this->knowledge->causes,
                    fn (Cause $cause): bool => ! in_array($cause->id, $this->cleared, true) &&
                        $this->circumstances->weight($cause->needs) > 0,
                ),
            ),
            $this->seen,
        );
    }

    public function odds(): Odds
    {
        return $this->odds ??= Odds::of($this->knowledge, $this->circumstances, $this->counted(), $this->cleared);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $told = $this->told();

        return [
            'causes' => $this->causes(),
            'next' => $told === null ? $this->next(1)[0] ?? null : null,
            'told' => $told?->id(),
            'explanations' => array_map(
                fn (Hypothesis $one): array => [
                    'causes' => array_map(fn (Cause $cause): string => $cause->id, $one->causes),
                    'probability' => round($one->probability, 4),
                ],
                $this->explanations(),
            ),
            'contradictions' => array_map(
                fn (Contradiction $one): array => [
                    [$one->one->check, $one->one->answer],
                    [$one->other->check, $one->other->answer],
                ],
                $this->contradictions(),
            ),
        ];
    }

    /** A check makes sense now: it was not made, the box has what it looks at, and it can be got at. */
    public function isOffered(Check $check): bool
    {
        $complaint = $this->answer(Check::FIRST);

        return $check->id !== Check::FIRST &&
            $this->answer($check->id) === null &&
            ! in_array($check->id, $this->skipped, true) &&
            $this->circumstances->weight($check->needs) > 0 &&
            ($complaint === null || $check->during === [] || in_array($complaint, $check->during, true)) &&
            (! $check->throughLogin || $this->loginMayWork($complaint));
    }

    /**
     * What each check that is offered clears of the doubt per minute, the most first; those that clear next to nothing
     * are left out.
     *
     * @return array<string, float> by check
     */
    private function worth(): array
    {
        if ($this->worth !== null) {
            return $this->worth;
        }
        $head = $this->head();
        $this->worth = [];
        foreach ($this->knowledge->checks as $check) {
            $bits = $this->isOffered($check) ? $this->bits($check, $head) : 0.0;
            if ($bits >= self::WORTH) {
                $this->worth[$check->id] = $bits / ($check->minutes + self::TURNING);
            }
        }
        arsort($this->worth);

        return $this->worth;
    }

    private function loginMayWork(?string $complaint): bool
    {
        return ! in_array($complaint, ['silent-new', 'silent-old', 'no-login'], true) &&
            in_array($this->answer('reach') ?? 'login', ['login'], true) &&
            in_array($this->answer('login-says') ?? 'accepted', ['accepted'], true);
    }

    /**
     * What was seen with how much it counts.
     *
     * @return list<array{string, string, float}>
     */
    private function counted(): array
    {
        $doubted = [];
        foreach ($this->contradictions() as $contradiction) {
            $doubted[$contradiction->one->check] = $doubted[$contradiction->other->check] = true;
        }

        return array_map(
            fn (Seen $seen): array => [$seen->check, $seen->answer, isset($doubted[$seen->check]) ? 0.5 : 1.0],
            $this->seen,
        );
    }

    /**
     * The likeliest explanations with their probabilities made a whole.
     *
     * @return array<int, float> place in the list of odds => probability
     */
    private function head(): array
    {
        $head = array_map(fn (array $one): float => $one[2], array_slice($this->odds()->list, 0, self::WEIGHED));
        $sum = array_sum($head) ?: 1.0;

        return array_map(fn (float $p): float => $p / $sum, $head);
    }

    /**
     * Doubt that a check clears on average: what is not known now, less what is not known after each of its answers.
     *
     * @param  array<int, float>  $head
     */
    private function bits(Check $check, array $head): float
    {
        // H(answer) - H(answer | explanation), which is the same by symmetry and needs no explanation sorted anew.
        $answers = array_fill_keys(array_keys($check->answers), 0.0);
        $within = 0.0;
        foreach ($head as $at => $probability) {
            [$cause, $other] = $this->odds()->list[$at];
            $shares =
                $cause === ''
                    ? $this->odds()->byElse($check->id)
                    : $this->knowledge->answers($check->id, $cause, $other === '' ? null : $other);
            foreach ($shares as $answer => $share) {
                $answers[$answer] += $probability * $share;
                $within -= $share > 0 ? $probability * $share * log($share, 2) : 0.0;
            }
        }

        return max(0.0, Odds::entropy($answers) - $within);
    }

    /** @param  array<int, float>  $head */
    private function weighed(Check $check, array $head): NextCheck
    {
        $bits = $this->bits($check, $head);
        $doubt = Odds::entropy($head);
        $leads = [];
        foreach (array_keys($check->answers) as $answer) {
            $by = [];
            $sum = 0.0;
            foreach ($head as $at => $probability) {
                [$cause, $other] = $this->odds()->list[$at];
                $p = $probability * $this->odds()->share($at, $check->id, (string) $answer);
                $sum += $p;
                $by[$cause] = ($by[$cause] ?? 0.0) + $p;
                if ($other !== '') {
                    $by[$other] = ($by[$other] ?? 0.0) + $p;
                }
            }
            arsort($by);
            $leads[$answer] = $this->likely((string) array_key_first($by), $sum > 0 ? reset($by) / $sum : 0.0);
        }

        return new NextCheck(
            $check,
            $bits,
            $doubt > 0 ? min(1.0, $bits / $doubt) : 0.0,
            $leads,
            $this->reason($leads),
        );
    }

    /** @param  array<string, Likely>  $leads */
    private function reason(array $leads): string
    {
        $to = [];
        foreach ($leads as $one) {
            $to[$one->id()] ??= $one;
        }
        uasort($to, fn (Likely $one, Likely $other): int => $other->probability <=> $one->probability);
        $names = array_map(
            fn (Likely $one): string => '“'.$one->label().'”',
            array_slice(array_values($to), 0, 3),
        );

        return count($names) < 2
            ? 'Whatever is seen, '.($names[0] ?? 'nothing').' stays the likeliest.'
            : 'It tells '.implode(' from ', $names).'.';
    }

    private function likely(string $id, float $probability): Likely
    {
        if ($id === '') {
            return new Likely(null, min(1.0, $probability), 'nothing known fits; kept open');
        }

        $this->reasons ??= new Reasons(
            $this->knowledge,
            $this->circumstances,
            $this->seen,
            $this->answer(Check::FIRST),
        );

        return new Likely($this->knowledge->causes[$id], min(1.0, $probability), $this->reasons->because($id));
    }
}
