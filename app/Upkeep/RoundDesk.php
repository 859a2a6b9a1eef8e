<?php

declare(strict_types=1);

namespace App\Upkeep;

use App\Catalogue\Playbooks;
use App\Models\Box;
use App\Models\BoxJob;
use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\Service;
use App\Probe\NameProbe;
use App\Probe\Target;
use App\Probe\TcpProbe;
use Burrow\BringUp\Playbook\HouseWords;
use Burrow\Household\Box as HeldBox;
use Burrow\Household\DoorState;
use Burrow\Household\Household;
use Burrow\Net\Ipv4;
use Burrow\Net\Protocol;
use Burrow\Upkeep\Plan\HousePlan;
use Burrow\Upkeep\Round\Round;
use Burrow\Upkeep\Round\Route;
use Closure;
use Illuminate\Support\Facades\DB;
use InvalidArgumentException;

/** Carries the round along: what is asked of the network, what is kept, and what goes into the record. */
final readonly class RoundDesk
{
    /** TCP ports of one box that are asked. */
    private const PORTS = 40;

    /** A local question to a resolver: its own answer, whatever it is, tells that it answers (RFC 6761 6.4). */
    private const NAME = 'invalid';

    public function __construct(
        private TcpProbe $doors,
        private NameProbe $names,
        private Playbooks $playbooks,
    ) {
    }

    public function open(): ?Round
    {
        return self::kept(Network::home());
    }

    /** @throws RoundTold while one is under way, or nothing is due */
    public function start(Household $house, ?string $through): Round
    {
        $plan = HousePlan::of($house, $through);
        if ($plan === null || $plan->doings === []) {
            throw new RoundTold('Nothing that is due fits into the coming days.');
        }
        $round = Round::of($plan, now()->getTimestamp());

        return $this->change(function (?Round $open) use ($round): Round {
            if ($open !== null) {
                throw new RoundTold('A round is under way already.');
            }
            JournalEntry::write(
                Network::home(),
                'round',
                'A round of upkeep began: '.
                    implode(', ', array_map(fn ($one): string => $one->box, $round->stops)).
                    '.',
            );

            return $round;
        });
    }

    /** The rest of the round is planned anew; without anything that fits it is over where it stands. */
    public function replan(Household $house, ?string $through): void
    {
        $plan = HousePlan::of($house, $through);
        $this->step(
            fn (Round $round): Round => $plan === null
                ? throw new RoundTold('Nothing that is due fits into the coming days.')
                : $round->replanned($plan),
        );
    }

    /**
     * What its TCP ports on record meet now, and whether it answers names.
     *
     * @return array{array<int, DoorState>, bool}
     */
    public function meets(Box $box): array
    {
        $address = Ipv4::tryParse((string) $box->address);
        if ($address === null) {
            return [[], false];
        }
        $targets = [];
        $names = false;
        foreach (
            Service::query()->where('box_id', $box->id)->orderBy('port')->limit(self::PORTS)->get() as $one
        ) {
            $loopback = $one->bound !== null && str_starts_with((string) $one->bound, '127.');
            if (! $loopback && $one->protocol === Protocol::Tcp->value) {
                $targets[(int) $one->port] = Target::of($box, $address, (int) $one->port);
            }
            $names = $names || ((int) $one->port === 53 && ! $loopback);
        }
        $targets[22] ??= Target::of($box, $address, 22);

        return [
            $this->doors->askAll($targets),
            $names &&
            ! $this->names->ask(Target::of($box, $address, 53), self::NAME, Protocol::Udp)->isSilent(),
        ];
    }

    /** @param  callable(Round): Round  $step */
    public function step(callable $step): Round
    {
        return $this->change(function (?Round $open) use ($step): Round {
            if ($open === null) {
                throw new RoundTold('No round is under way.');
            }
            try {
                return $step($open);
            } catch (InvalidArgumentException) {
                throw new RoundTold(
                    'The round has gone on since, perhaps in another tab. Nothing was changed.',
                );
            }
        });
    }

    /** It is over, or broken off: what is left falls due as it did. */
    public function end(): void
    {
        DB::transaction(function (): void {
            $network = Network::query()
                ->lockForUpdate()
                ->findOrFail(Network::home()->id);
            $round = self::kept($network);
            $network->update(['round' => null]);
            $round === null ||
                JournalEntry::write(
                    $network,
                    'round',
                    $round->isOver() ? 'The round of upkeep is over.' : 'The round of upkeep was broken off.',
                );
        });
    }

    /** @return list<Route> how each thing on the box is brought up to date, in the order in which it is done */
    public function routes(Box $box, HeldBox $held): array
    {
        $routes = [Route::packages()];
        foreach ($held->jobs as $job) {
            $row = $box->jobs->firstWhere('job', $job->job->id);
            $route = Route::of($job, $row === null ? [] : $this->values($box, $row));
            $route === null || ($routes[] = $route);
        }

        return [...$routes, Route::restart()];
    }

    /** @return array<string, string> */
    private function values(Box $box, BoxJob $job): array
    {
        $fixed = [];
        foreach ($this->playbooks->for($job)->steps ?? [] as $step) {
            $fixed += $step->values;
        }

        return [...$fixed, ...$job->answers, ...HouseWords::engine(Network::engine())];
    }

    /** @param  Closure(?Round): Round  $change */
    private function change(Closure $change): Round
    {
        return DB::transaction(function () use ($change): Round {
            $network = Network::query()
                ->lockForUpdate()
                ->findOrFail(Network::home()->id);
            $round = $change(self::kept($network));
            $network->update(['round' => json_encode($round->toArray(), JSON_THROW_ON_ERROR)]);

            return $round;
        });
    }

    private static function kept(Network $network): ?Round
    {
        $text = $network->getAttributes()['round'] ?? null;

        return Round::from(json_decode(is_string($text) ? $text : '', true));
    }
}
