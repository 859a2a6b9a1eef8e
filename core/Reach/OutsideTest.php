<?php

declare(strict_types=1);

namespace Burrow\Reach;

use Burrow\Household\Household;
use Burrow\Household\Opening;
use Burrow\Household\Trial;

/** What is to be tried from outside, over a phone's own connection: what must answer, and what must not. */
final readonly class OutsideTest
{
    /** Ports that a stranger tries first, and that a house has no reason to show (common practice). */
    private const NEVER = [22 => 'remote login', 53 => 'name lookups', 445 => 'file share'];

    private function __construct(
        public int $port,
        public string $protocol,
        public string $what,
        public bool $mustAnswer,
        public string $command,
        public ?Trial $trial,
    ) {
    }

    /**
     * @param  string  $outside  name or address of the house
     * @return list<self> what must answer first; a port that was tried when the record wanted something else of it
     *     counts as not tried
     */
    public static function plan(Household $house, string $outside): array
    {
        $tests = [];
        $open = [];
        foreach ($house->openings() as $opening) {
            $open["{$opening->port} {$opening->protocol}"] = true;
            $tests[] = self::of($opening->port, $opening->protocol, self::purpose($opening), true, $outside);
        }
        foreach (self::NEVER as $port => $what) {
            if (! isset($open["{$port} tcp"])) {
                $tests[] = self::of($port, 'tcp', $what, false, $outside);
            }
        }
        foreach ($house->openings() as $opening) {
            // The port inside is not the one outside: that it leads in by its own number as well is a slip.
            $inside = $opening->inside;
            if (
                $inside !== null &&
                $inside !== $opening->port &&
                ! isset($open["{$inside} {$opening->protocol}"])
            ) {
                $open["{$inside} {$opening->protocol}"] = true;
                $tests[] = self::of(
                    $inside,
                    $opening->protocol,
                    'the same by its inner number',
                    false,
                    $outside,
                );
            }
        }

        $planned = [];
        foreach ($tests as $test) {
            $planned["{$test->port} {$test->protocol}"] = true;
        }
        foreach ($house->trials() as $trial) {
            // What led in once and is closed in the record may still be open in the router; it stays here until it
            // was seen to be shut.
            if (
                ($trial->mustAnswer || $trial->answered) &&
                ! isset($planned["{$trial->port} {$trial->protocol}"])
            ) {
                $tests[] = self::of($trial->port, $trial->protocol, 'led in before', false, $outside);
            }
        }
        $trials = [];
        foreach ($house->trials() as $trial) {
            $trials["{$trial->port} {$trial->protocol} ".(int) $trial->mustAnswer] = $trial;
        }

        return array_map(
            fn (self $one): self => $one->with(
                $trials["{$one->port} {$one->protocol} ".(int) $one->mustAnswer] ?? null,
            ),
            $tests,
        );
    }

    /** It was tried and did what it must not; false as well while nobody tried it. */
    public function isWrong(): bool
    {
        return $this->trial !== null && $this->trial->answered !== $this->mustAnswer;
    }

    private function with(?Trial $trial): self
    {
        return new self($this->port, $this->protocol, $this->what, $this->mustAnswer, $this->command, $trial);
    }

    private static function purpose(Opening $opening): string
    {
        return $opening->purpose === '' ? "to {$opening->box}" : "{$opening->purpose}, to {$opening->box}";
    }

    private static function of(int $port, string $protocol, string $what, bool $must, string $outside): self
    {
        $command = match (true) {
            $protocol === 'udp' && $must => 'switch the tunnel on and open a page of the house',
            $protocol === 'udp' => "nc -zuvw3 {$outside} {$port}",
            default => "nc -zvw3 {$outside} {$port}",
        };

        return new self($port, $protocol, $what, $must, $command, null);
    }
}
