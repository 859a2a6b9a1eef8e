<?php

declare(strict_types=1);

namespace Burrow\Diagnosis;

use Burrow\Diagnosis\Know\Cause;
use Burrow\Diagnosis\Know\Knowledge;

/**
 * The explanations of what was seen with their probabilities, by the rule of Bayes: prior odds times the share of
 * every answer under the explanation, made a whole.
 *
 * Explanations are each cause alone, each two at once, and something else. Two at once are as likely as their odds'
 * product, in all TOGETHER of the cases; something else is ELSE of them.
 */
final class Odds
{
    /** Two things at once, of all evenings. Common practice: one in eight. */
    public const TOGETHER = 0.125;

    /** What none of the causes explains, of all evenings. From experience. */
    public const ELSE = 0.04;

    /** Share of an unknown trouble's answers that no known one foretells. From experience. */
    private const UNLIKE = 0.35;

    /** Explanations less likely than this part of the likeliest are let go; together they hold next to nothing. */
    private const NEGLIGIBLE = 2e-6;

    /** @var array<string, array<string, float>> check => what an unknown trouble shows there */
    private array $elsewhere = [];

    /**
     * @param  list<array{string, string, float}>  $list  cause, other cause or "", probability; likeliest first;
     *         something else is two times ""
     * @param  array<string, float>  $resembled  cause => how much an unknown trouble resembles it by now; sums to 1
     */
    private function __construct(
        private readonly Knowledge $knowledge,
        public readonly array $list,
        private readonly array $resembled,
    ) {
    }

    /**
     * @param  list<array{string, string, float}>  $seen  check, answer, and how much it counts: 1 whole, 0.5 half
     * @param  list<string>  $cleared  causes that are out of the way
     */
    public static function of(
        Knowledge $knowledge,
        Circumstances $circumstances,
        array $seen,
        array $cleared = [],
    ): self {
        $prior = [];
        foreach ($knowledge->causes as $id => $cause) {
            $odds = in_array($id, $cleared, true) ? 0.0 : $cause->odds * $circumstances->weight($cause->needs);
            if ($odds > 0) {
                $prior[$id] = $odds;
            }
        }
        $total = array_sum($prior) ?: 1.0;
        $prior = array_map(fn (float $odds): float => $odds / $total, $prior);
        $list = self::alone($knowledge, $prior, $seen);
        $list = [...$list, ...self::together($knowledge, $prior, $seen)];
        $resembled = self::resembled($knowledge, $prior, $seen);
        $list[] = ['', '', self::ELSE * array_sum($resembled)];
        $most = max(array_map(fn (array $one): float => $one[2], $list)) * self::NEGLIGIBLE;
        $list = array_values(array_filter($list, fn (array $one): bool => $one[2] >= $most));
        usort($list, fn (array $one, array $other): int => $other[2] <=> $one[2]);
        $sum = array_sum(array_map(fn (array $one): float => $one[2], $list)) ?: 1.0;

        $like = array_sum($resembled) ?: 1.0;

        return new self(
            $knowledge,
            array_map(fn (array $one): array => [$one[0], $one[1], $one[2] / $sum], $list),
            array_map(fn (float $weight): float => $weight / $like, $resembled),
        );
    }

    /**
     * What an unknown trouble shows at one more check, after all that was seen: as the known ones that it resembles by
     * now, and by UNLIKE of the cases anything at all.
     *
     * @return array<string, float> answer => share
     */
    public function byElse(string $check): array
    {
        if (isset($this->elsewhere[$check])) {
            return $this->elsewhere[$check];
        }
        $mean = array_fill_keys(array_keys($this->knowledge->usual[$check]), 0.0);
        foreach ($this->resembled as $cause => $weight) {
            foreach ($this->knowledge->answers($check, $cause) as $answer => $share) {
                $mean[$answer] += $weight * $share;
            }
        }
        $count = count($mean);

        return $this->elsewhere[$check] = array_map(
            fn (float $share): float => (1 - self::UNLIKE) * $share + self::UNLIKE / $count,
            $mean,
        );
    }

    /** The share of an answer under the explanation at a place of the list. */
    public function share(int $at, string $check, string $answer): float
    {
        [$cause, $other] = $this->list[$at];

        return $cause === ''
            ? $this->byElse($check)[$answer]
            : $this->knowledge->answers($check, $cause, $other === '' ? null : $other)[$answer];
    }

    /** @return array<string, float> cause => probability that it is there; something else under "" */
    public function byCause(): array
    {
        $by = [];
        foreach ($this->list as [$cause, $other, $probability]) {
            $by[$cause] = ($by[$cause] ?? 0.0) + $probability;
            if ($other !== '') {
                $by[$other] = ($by[$other] ?? 0.0) + $probability;
            }
        }
        arsort($by);

        return $by;
    }

    /** Doubt about what is wrong, in bits (Shannon's entropy of the explanations). */
    public function doubt(): float
    {
        return self::entropy(array_map(fn (array $one): float => $one[2], $this->list));
    }

    /**
     * @param  array<array-key, float>  $shares  sum to 1
     */
    public static function entropy(array $shares): float
    {
        $bits = 0.0;
        foreach ($shares as $share) {
            if ($share > 0) {
                $bits -= $share * log($share, 2);
            }
        }

        return $bits;
    }

    /** @return list<Hypothesis> the likeliest explanations */
    public function explanations(int $most): array
    {
        return array_map(
            fn (array $one): Hypothesis => new Hypothesis(
                array_map(
                    fn (string $id): Cause => $this->knowledge->causes[$id],
                    array_values(array_filter([$one[0], $one[1]], fn (string $id): bool => $id !== '')),
                ),
                $one[2],
            ),
            array_slice($this->list, 0, $most),
        );
    }

    /**
     * @param  array<string, float>  $prior
     * @param  list<array{string, string, float}>  $seen
     * @return list<array{string, string, float}>
     */
    private static function alone(Knowledge $knowledge, array $prior, array $seen): array
    {
        $list = [];
        foreach ($prior as $id => $odds) {
            $p = $odds * (1 - self::TOGETHER - self::ELSE);
            foreach ($seen as [$check, $answer, $counts]) {
                $p *= ($knowledge->shares[$check][$id] ?? $knowledge->usual[$check])[$answer] ** $counts;
            }
            $list[] = [$id, '', $p];
        }

        return $list;
    }

    /**
     * How likely all that was seen is under an unknown trouble: it resembles one of those that are known, but each of
     * its answers is by UNLIKE of the cases anything at all. So it gains where nothing known fits, and only there.
     *
     * @param  array<string, float>  $prior
     * @param  list<array{string, string, float}>  $seen
     * @return array<string, float> by the cause that it resembles; their sum is the likelihood
     */
    private static function resembled(Knowledge $knowledge, array $prior, array $seen): array
    {
        foreach ($prior as $id => $odds) {
            foreach ($seen as [$check, $answer, $counts]) {
                $shares = $knowledge->shares[$check][$id] ?? $knowledge->usual[$check];
                $odds *= ((1 - self::UNLIKE) * $shares[$answer] + self::UNLIKE / count($shares)) ** $counts;
            }
            $prior[$id] = $odds;
        }

        return $prior;
    }

    /**
     * @param  array<string, float>  $prior
     * @param  list<array{string, string, float}>  $seen
     * @return list<array{string, string, float}>
     */
    private static function together(Knowledge $knowledge, array $prior, array $seen): array
    {
        // What all pairs share is worked out once: as on a box that is well; each pair then says where it differs.
        $well = 1.0;
        $differs = [];
        foreach ($seen as $at => [$check, $answer, $counts]) {
            $usual = $knowledge->usual[$check][$answer] ** $counts;
            $well *= $usual;
            foreach ($knowledge->shares[$check] ?? [] as $id => $shares) {
                if (isset($prior[$id])) {
                    $differs[$id][$at] = [$shares[$answer], $usual, $counts];
                }
            }
        }
        $ids = array_keys($prior);
        $depths = array_map(fn (string $id): int => $knowledge->causes[$id]->layer->depth(), $ids);
        $lone = array_map(
            fn (string $id): float => array_reduce(
                $differs[$id] ?? [],
                fn (float $p, array $one): float => $p * ($one[0] ** $one[2] / $one[1]),
                1.0,
            ),
            $ids,
        );
        // All pairs, whatever is seen: the square of the whole less the doubled.
        $pairs = (1 - array_sum(array_map(fn (float $odds): float => $odds ** 2, $prior))) / 2 ?: 1.0;
        $scale = (self::TOGETHER / $pairs) * $well;
        $list = [];
        foreach ($ids as $i => $one) {
            $mine = $differs[$one] ?? [];
            $own = $scale * $prior[$one] * $lone[$i];
            for ($j = $i + 1, $count = count($ids); $j < $count; $j++) {
                $p = $own * $prior[$ids[$j]] * $lone[$j];
                $shared = array_intersect_key($mine, $differs[$ids[$j]] ?? []);
                if ($shared !== []) {
                    $first = 0.5 + 0.45 * ($depths[$j] <=> $depths[$i]);
                    foreach ($shared as $at => [$share, $usual, $counts]) {
                        $its = $differs[$ids[$j]][$at][0];
                        // Both were multiplied in; the mixture takes their place.
                        $mixed = $first * $share + (1 - $first) * $its;
                        $p *=
                            $counts === 1.0
                                ? ($mixed * $usual) / ($share * $its)
                                : ($mixed / ($share * $its)) ** $counts * $usual;
                    }
                }
                $list[] = [$ids[$i], $ids[$j], $p];
            }
        }

        return $list;
    }
}
