<?php

declare(strict_types=1);

namespace Burrow\Diagnosis\Know;

/**
 * Causes, checks, and how likely each answer is under each cause.
 *
 * What a cause says nothing of looks as it does on a box that is well. Every answer keeps a small share under every
 * cause, since people look in a hurry: no single answer rules anything out.
 */
final readonly class Knowledge
{
    /** Share of every check's answers that is given by mistake, spread over all of them. From experience. */
    private const MISTAKES = 0.02;

    /** The same where a program looks, and for the one sentence that somebody says first. */
    private const SELDOM = 0.005;

    /** Evenings that the odds of common practice weigh as much as, against the causes found in this house. */
    private const EVENINGS = 40.0;

    /**
     * @param  array<string, Cause>  $causes  by id
     * @param  array<string, Check>  $checks  by id
     * @param  array<string, array<string, float>>  $usual  check => answer => share on a box that is well; sums to 1
     * @param  array<string, array<string, array<string, float>>>  $shares  check => cause => answer => share; only
     *         where a cause shows something; sums to 1
     */
    private function __construct(
        public array $causes,
        public array $checks,
        public array $usual,
        public array $shares,
    ) {
    }

    /**
     * From the data files of core/Diagnosis/data, which stand under schema/.
     *
     * @param  array<string, array<string, mixed>>  $causes  by id
     * @param  array<string, array<string, mixed>>  $checks  by id
     */
    public static function from(array $causes, array $checks): self
    {
        $usual = $shares = $known = $asked = [];
        foreach ($checks as $id => $check) {
            /**
             * @var array{title: string, where: string, how: string, minutes: float|int, answers: array<string, array{label: string, light?: list<string>}>, during?: list<string>, needs?: string, through?: string, probe?: string, usual?: array<string, float|int>, follows?: array<string, array<string, string>>} $check
             */
            $answers = [];
            foreach ($check['answers'] as $answer => $one) {
                $answers[(string) $answer] = new Answer(
                    (string) $answer,
                    $one['label'],
                    array_map(Light::from(...), $one['light'] ?? []),
                );
            }
            $asked[$id] = new Check(
                $id,
                $check['title'],
                Where::from($check['where']),
                $check['how'],
                (float) $check['minutes'],
                $answers,
                $check['during'] ?? [],
                $check['needs'] ?? '',
                ($check['through'] ?? '') === 'login',
                $check['probe'] ?? '',
            );
            $usual[$id] = self::whole($check['usual'] ?? [], array_keys($answers), [], self::mistakes($asked[$id]));
        }
        foreach ($causes as $id => $cause) {
            /**
             * @var array{label: string, layer: string, odds: float|int, needs?: string, complaint: array<string, float|int>, shows: array<string, array<string, float|int>>, cure: string, minutes: float|int, back: string} $cause
             */
            $known[$id] = new Cause(
                $id,
                $cause['label'],
                Layer::from($cause['layer']),
                (float) $cause['odds'],
                $cause['needs'] ?? '',
                $cause['cure'],
                (float) $cause['minutes'],
                $cause['back'],
            );
            foreach (
                self::shown($cause['shows'] + [Check::FIRST => $cause['complaint']], $checks) as $check => $shown
            ) {
                $shares[$check][$id] = self::whole(
                    $shown,
                    array_keys($asked[$check]->answers),
                    $usual[$check],
                    self::mistakes($asked[$check]),
                );
            }
        }

        return new self($known, $asked, $usual, $shares);
    }

    /**
     * With what was found in this house before: a cause that was met here is likelier here.
     *
     * @param  array<string, int>  $found  cause => times
     */
    public function with(array $found): self
    {
        $total = array_sum(array_map(fn (Cause $cause): float => $cause->odds, $this->causes));

        return new self(
            array_map(
                fn (Cause $cause): Cause => new Cause(
                    $cause->id,
                    $cause->label,
                    $cause->layer,
                    $cause->odds + ($total * ($found[$cause->id] ?? 0)) / self::EVENINGS,
                    $cause->needs,
                    $cause->cure,
                    $cause->minutes,
                    $cause->back,
                ),
                $this->causes,
            ),
            $this->checks,
            $this->usual,
            $this->shares,
        );
    }

    /**
     * How likely a check's answers are when one thing, or two, are wrong. Of two the one that bites earlier speaks.
     *
     * @return array<string, float> answer => share
     */
    public function answers(string $check, string $cause, ?string $other = null): array
    {
        $of = $this->shares[$check] ?? [];
        if ($other === null || ! isset($of[$other])) {
            return $of[$cause] ?? $this->usual[$check];
        }
        if (! isset($of[$cause])) {
            return $of[$other];
        }
        $first = self::speaks($this->causes[$cause], $this->causes[$other]);
        $mixed = [];
        foreach ($of[$cause] as $answer => $share) {
            $mixed[$answer] = $first * $share + (1 - $first) * $of[$other][$answer];
        }

        return $mixed;
    }

    /** The share of the answers that the first of two causes gives, where both show something. */
    public static function speaks(Cause $cause, Cause $other): float
    {
        return 0.5 + 0.45 * ($other->layer->depth() <=> $cause->layer->depth());
    }

    /**
     * What a cause shows, with what follows from it for other checks.
     *
     * @param  array<string, array<string, float|int>>  $shows
     * @param  array<string, array<string, mixed>>  $checks
     * @return array<string, array<string, float|int>>
     */
    private static function shown(array $shows, array $checks): array
    {
        foreach ($checks as $id => $check) {
            /** @var array<string, array<string, string>> $follows */
            $follows = $check['follows'] ?? [];
            foreach (isset($shows[$id]) ? [] : $follows as $from => $as) {
                foreach ($shows[$from] ?? [] as $answer => $percent) {
                    if (isset($as[$answer])) {
                        $shows[$id][$as[$answer]] = ($shows[$id][$as[$answer]] ?? 0) + $percent;
                    }
                }
            }
        }

        return $shows;
    }

    private static function mistakes(Check $check): float
    {
        return $check->probe !== '' || $check->id === Check::FIRST ? self::SELDOM : self::MISTAKES;
    }

    /**
     * Shares in hundred made a whole: what is left goes to the other answers as on a box that is well, and a little to
     * every one.
     *
     * @param  array<string, float|int>  $percents
     * @param  list<array-key>  $answers
     * @param  array<string, float>  $usual  empty: what is left is spread evenly
     * @return array<string, float>
     */
    private static function whole(array $percents, array $answers, array $usual, float $mistakes): array
    {
        $named = array_sum($percents) / 100;
        $rest = array_filter(
            array_combine($answers, array_map(fn (int|string $one): float => $usual[$one] ?? 1.0, $answers)),
            fn (int|string $one): bool => ! isset($percents[$one]),
            ARRAY_FILTER_USE_KEY,
        );
        $spread = array_sum($rest);
        $left = $spread > 0 ? max(0.0, 1 - $named) : 0.0;
        $all = $named + $left;
        $whole = [];
        foreach ($answers as $answer) {
            $share = isset($percents[$answer])
                ? $percents[$answer] / 100
                : ($left > 0
                    ? ($rest[$answer] / $spread) * $left
                    : 0.0);
            $whole[(string) $answer] =
                (1 - $mistakes) * ($all > 0 ? $share / $all : 1 / count($answers)) + $mistakes / count($answers);
        }

        return $whole;
    }
}
