<?php

declare(strict_types=1);

namespace Burrow\Ground\Draw;

/**
 * Which boxes the cross-section shows, and what stands beside what: all of them in the order of the record, or those of
 * one job, of one switch or supply, of one network, that are silent, that can be reached from outside; like stands
 * beside like.
 */
final readonly class Choice
{
    public const ALL = '';

    public const SILENT = 'silent';

    public const OPEN = 'open';

    /** What boxes may be gathered by. */
    public const ORDERS = ['', 'job', 'power', 'network'];

    private const MOST = 40;

    private function __construct(public string $show, public string $by)
    {
    }

    /** What is no choice is none. */
    public static function of(string $show, string $by): self
    {
        return new self(
            preg_match('/^(silent|open|(job|power|network):[^\x00-\x1f]{1,80})$/Du', $show) === 1
                ? $show
                : self::ALL,
            in_array($by, self::ORDERS, true) ? $by : '',
        );
    }

    public function isAll(): bool
    {
        return $this->show === self::ALL;
    }

    /**
     * @param  list<Dwelling>  $boxes
     * @return list<Dwelling>
     */
    public function apply(array $boxes): array
    {
        [$of, $what] = [...explode(':', $this->show, 2), ''];
        $shown = array_filter(
            $boxes,
            fn (Dwelling $one): bool => match ($of) {
                self::SILENT => $one->state === ChamberState::Silent,
                self::OPEN => $one->openings !== [],
                'job' => $one->job === $what,
                'power' => $one->fedBy === $what,
                'network' => $one->network === $what,
                default => true,
            },
        );
        $key = fn (Dwelling $one): string => match ($this->by) {
            'job' => $one->job,
            'power' => $one->fedBy === '' ? "\u{10FFFF}" : $one->fedBy,
            'network' => $one->network,
            default => '',
        };
        // The order of the record stays among those that are alike.
        usort($shown, fn (Dwelling $a, Dwelling $b): int => $key($a) <=> $key($b));

        return $shown;
    }

    /**
     * What there is to choose from.
     *
     * @param  list<Dwelling>  $boxes
     * @return array<string, string> choice => its words
     */
    public static function options(array $boxes): array
    {
        $options = [
            self::ALL => 'all boxes',
            self::SILENT => 'those that are silent',
            self::OPEN => 'those with a way in',
        ];
        foreach (['job' => 'job', 'power' => 'fedBy', 'network' => 'network'] as $of => $field) {
            $names = array_values(
                array_unique(
                    array_filter(
                        array_map(fn (Dwelling $one): string => $one->{$field}, $boxes),
                        fn (string $one): bool => $one !== '',
                    ),
                ),
            );
            sort($names);
            foreach (array_slice($names, 0, self::MOST) as $name) {
                $options["{$of}:{$name}"] = match ($of) {
                    'job' => "for {$name}",
                    'power' => "on {$name}",
                    default => "in {$name}",
                };
            }
        }

        return $options;
    }
}
