<?php

declare(strict_types=1);

namespace App\Filter;

use App\Models\JournalEntry;
use App\Models\NameCheck;
use App\Probe\NameProbe;
use App\Probe\Target;
use Burrow\Filter\Proof\Asked;
use Burrow\Household\NameExpected;
use Burrow\Net\Ipv4;
use Burrow\Net\Protocol;
use Illuminate\Support\Collection;
use InvalidArgumentException;

/** Asks the resolvers of the house what they should refuse and answer, and notes what came of it. */
final readonly class AskedAgain
{
    /** Seconds that one round of questions may take; what was not reached is asked in the next. */
    private const BUDGET = 20.0;

    /** The same while somebody waits for the page. */
    public const WAITED = 5.0;

    public function __construct(private NameProbe $names)
    {
    }

    /**
     * @param  Collection<int, NameCheck>  $checks  with their boxes, longest not asked first
     * @return int how many were asked
     */
    public function ask(Collection $checks, float $seconds = self::BUDGET): int
    {
        $until = microtime(true) + $seconds;
        $asked = 0;
        foreach ($checks as $check) {
            $expected = NameExpected::tryFrom((string) $check->expected);
            $address = Ipv4::tryParse((string) $check->box->address);
            if (microtime(true) > $until || $expected === null || $address === null) {
                continue;
            }
            try {
                $target = Target::of($check->box, $address, 53);
            } catch (InvalidArgumentException) {
                // It lies outside of the network now; nobody asks it, and the page says since when.
                continue;
            }
            $came = Asked::of(
                $expected,
                $this->names->ask($target, (string) $check->name, Protocol::Udp),
                $this->names->ask($target, (string) $check->name, Protocol::Tcp),
            );
            self::note($check, $came->held, $came->said);
            $asked++;
        }

        return $asked;
    }

    public static function note(NameCheck $check, bool $held, string $said): void
    {
        $who = $check->via === '' ? 'this machine' : $check->via;
        if ($check->held !== null && $check->held !== $held) {
            JournalEntry::write(
                $check->box,
                'filter',
                "{$check->name}, asked by {$who} of {$check->box->called()}: ".
                    ($held ? 'as it should be again.' : "no longer as it should be ({$said})."),
            );
        }
        $check->update(['held' => $held, 'said' => mb_substr($said, 0, 200), 'asked_at' => now()]);
    }
}
