<?php

declare(strict_types=1);

namespace Burrow\Stores\Alike;

/** What the look at a folder said, from one end or from both. */
final readonly class AlikeSaid
{
    /** Conflicts that are counted; more are as many. */
    private const MOST = 10_000;

    /**
     * @param  list<array{files: int, sum: string}>  $ends  in the order of the text
     * @param  array<string, int>  $conflicts  bytes by path, of both ends together
     */
    private function __construct(public array $ends, public array $conflicts)
    {
    }

    public static function of(string $text): self
    {
        $ends = $conflicts = [];
        preg_match_all(
            '/^\s*(?:alike (\d{1,9}) ([0-9a-f]{64}) (\S.{0,400}?)|conflict (\d{1,15}) (\.\/.{1,400}?))[ \t]*\r?$/mu',
            mb_scrub($text),
            $lines,
            PREG_SET_ORDER | PREG_UNMATCHED_AS_NULL,
        );
        foreach ($lines as [, $files, $sum, $end, $bytes, $path]) {
            if ($sum !== null) {
                // The same end told twice is one end; its later word counts.
                $ends[(string) $end] = ['files' => (int) $files, 'sum' => $sum];
            } elseif ($path !== null && count($conflicts) < self::MOST) {
                $conflicts[$path] = (int) $bytes;
            }
        }

        return new self(array_values($ends), $conflicts);
    }

    /** Whether both ends hold the same; null where not both were told. */
    public function isAlike(): ?bool
    {
        return count($this->ends) < 2 ? null : count(array_unique(array_column($this->ends, 'sum'))) === 1;
    }

    public function isEmpty(): bool
    {
        return $this->ends === [];
    }
}
