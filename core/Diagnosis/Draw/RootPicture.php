<?php

declare(strict_types=1);

namespace Burrow\Diagnosis\Draw;

use Burrow\Diagnosis\Conversation;
use Burrow\Diagnosis\Know\Cause;
use Burrow\Diagnosis\Likely;
use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;

/**
 * Causes as roots that grow from the box: a root as thick and as long as its cause is likely, a tick where it stood
 * before the last answer, two twisted strands for two at once, and something else as a broken line.
 */
final readonly class RootPicture
{
    public const WIDTH = 320.0;

    private const TOP = 20.0;

    private const ROW = 58.0;

    private const TRUNK = 22.0;

    private const FROM = 34.0;

    private const LONGEST = 270.0;

    private const THICKEST = 16.0;

    private const SHOWN = 6;

    /** Two at once are drawn from here on. */
    private const TOGETHER = 0.04;

    /** Letters of 14.5 px. */
    private const LETTERS = 37;

    /** Letters of 12.5 px, beside the share. */
    private const REASON = 36;

    /** @param  list<Root>  $roots */
    private function __construct(public float $height, public array $roots, public string $trunk)
    {
    }

    /** @param  ?Conversation  $before  as it stood before the last answer */
    public static function of(Conversation $talk, ?Conversation $before): self
    {
        $was = [];
        foreach ($before?->causes() ?? [] as $likely) {
            $was[$likely->id()] = $likely->probability;
        }
        $rows = array_slice(
            array_values(array_filter($talk->causes(), fn (Likely $one): bool => $one->cause !== null)),
            0,
            self::SHOWN,
        );
        $roots = array_map(
            fn (Likely $one): array => [
                $one->label(),
                $one->probability,
                $one->because,
                $was[$one->id()] ?? null,
                'one',
            ],
            $rows,
        );
        foreach ($talk->explanations(4) as $explained) {
            if (count($explained->causes) === 2 && $explained->probability >= self::TOGETHER) {
                $names = array_map(fn (Cause $cause): string => $cause->label, $explained->causes);
                array_pop($roots);
                $roots[] = [implode(' + ', $names), $explained->probability, 'both at once', null, 'two'];
                break;
            }
        }
        usort($roots, fn (array $one, array $other): int => $other[1] <=> $one[1]);
        foreach ($talk->causes() as $likely) {
            if ($likely->cause === null) {
                $roots[] = [
                    $likely->label(),
                    $likely->probability,
                    $likely->because,
                    $was[Likely::ELSE] ?? null,
                    'else',
                ];
            }
        }
        $drawn = [];
        foreach ($roots as $row => [$label, $share, $because, $stood, $kind]) {
            $drawn[] = self::root(self::TOP + $row * self::ROW, $label, $share, $because, $stood, $kind);
        }
        $bottom = self::TOP + max(0, count($roots) - 1) * self::ROW + 18;

        return new self(
            self::TOP + count($roots) * self::ROW,
            $drawn,
            sprintf('M%.1f 0V%.1f', self::TRUNK, $bottom),
        );
    }

    /** How the likeliest cause came to its share: each answer held against a box that is well. */
    public static function working(Conversation $talk): ?Working
    {
        $top = $talk->causes()[0] ?? null;
        if ($top?->cause === null || $talk->seen === []) {
            return null;
        }
        $lines = [
            Line::given(
                'how often it is met',
                sprintf('%g of all', $top->cause->odds),
                'common practice, with what was found in this house',
            ),
        ];
        foreach ($talk->seen as $seen) {
            $under = $talk->knowledge->answers($seen->check, $top->cause->id)[$seen->answer];
            $well = $talk->knowledge->usual[$seen->check][$seen->answer];
            $check = $talk->knowledge->checks[$seen->check];
            $lines[] = Line::computed(
                $check->answers[$seen->answer]->label,
                sprintf('%.0f in 100 with it, %.0f in 100 on a box that is well', 100 * $under, 100 * $well),
                sprintf('× %.2g', $under / $well),
            );
        }

        return Working::of(
            'diagnosis.odds',
            'How “'.$top->label().'” came to its share',
            self::percent($top->probability),
            Source::standard('rule of Bayes')->and(Source::commonPractice()),
            ...$lines,
        );
    }

    public static function percent(float $share): string
    {
        return match (true) {
            $share > 0.995 => "over 99\u{a0}%",
            $share < 0.005 => "under 1\u{a0}%",
            default => round(100 * $share)."\u{a0}%",
        };
    }

    private static function root(
        float $y,
        string $label,
        float $share,
        string $because,
        ?float $before,
        string $kind,
    ): Root {
        $share = min(1.0, $share);
        $line = $y + 24;
        $end = self::FROM + self::reach($share);

        return new Root(
            mb_strimwidth($label, 0, self::LETTERS, '…'),
            self::percent($share),
            mb_strimwidth($because, 0, self::REASON, '…'),
            $y,
            match ($kind) {
                'two' => self::strand($line, $end, 1).' '.self::strand($line, $end, -1),
                'else' => sprintf(
                    'M%.1f %.1fQ%.1f %.1f %.1f %.1fH%.1f',
                    self::TRUNK,
                    $line - 12,
                    self::TRUNK,
                    $line,
                    self::FROM,
                    $line,
                    $end,
                ),
                default => self::taper($line, $end, max(1.5, self::THICKEST * $share)),
            },
            $end,
            $before === null ? null : self::FROM + self::reach(min(1.0, $before)),
            $kind === 'else',
            $kind === 'two',
        );
    }

    private static function reach(float $share): float
    {
        return 8 + (self::LONGEST - 8) * $share;
    }

    /** Thick at the trunk, to nothing at its end. */
    private static function taper(float $y, float $end, float $thick): string
    {
        $half = $thick / 2;

        return sprintf(
            'M%1$.1f %2$.1fQ%1$.1f %3$.1f %4$.1f %3$.1fL%5$.1f %6$.1fL%4$.1f %7$.1fQ%8$.1f %7$.1f %8$.1f %9$.1fZ',
            self::TRUNK + min(3.0, $half),
            $y - 14,
            $y - $half,
            self::FROM,
            $end,
            $y,
            $y + $half,
            self::TRUNK - min(3.0, $half),
            $y - 14 + $half,
        );
    }

    private static function strand(float $y, float $end, int $side): string
    {
        $path = sprintf('M%.1f %.1fQ%.1f %.1f %.1f %.1f', self::TRUNK, $y - 12, self::TRUNK, $y, self::FROM, $y);
        for ($x = self::FROM; $x + 12 <= $end; $x += 12) {
            $path .= sprintf('q6 %.1f 12 0', 7 * $side);
            $side = -$side;
        }

        return $path;
    }
}
