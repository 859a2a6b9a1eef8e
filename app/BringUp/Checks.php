<?php

declare(strict_types=1);

namespace App\BringUp;

use App\Bench\BenchAway;
use App\Bench\BenchClient;
use App\Models\Box;
use App\Probe\HostKeyProbe;
use App\Probe\Target;
use App\Probe\TcpProbe;
use Burrow\BringUp\DoorState;
use Burrow\BringUp\HostKeyHistory;
use Burrow\BringUp\LeaseMatch;
use Burrow\Intake\Intake;
use Burrow\Intake\Leases\Lease;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Net\Hostname;
use Burrow\Net\Ipv4;
use Burrow\Net\Protocol;

/** The checks that a run makes by itself: the router's list, ports, the host key. */
final readonly class Checks
{
    public function __construct(private Intake $intake, private TcpProbe $tcp, private HostKeyProbe $keys, private BenchClient $bench)
    {
    }

    /** @param  string  $pasted the router's list where it cannot be read from here */
    public function check(RunBook $book, string $probe, string $pasted): Outcome
    {
        $box = $book->run->box;

        return match ($probe) {
            'lease' => $this->lease($book, $pasted),
            'port:22' => $this->door($box, $this->foundAddress($book), 22),
            'host_key' => $this->hostKey($box, $this->foundAddress($book)),
            'pinned', 'back' => $this->pinned($box, $this->foundAddress($book)),
            default => $this->service($book),
        };
    }

    private function lease(RunBook $book, string $pasted): Outcome
    {
        $box = $book->run->box;
        try {
            $text = trim($pasted) === '' && $box->on_bench ? $this->bench->text('leases', 'text') : $pasted;
        } catch (BenchAway $away) {
            return Outcome::notYet(
                Findings::of(
                    Finding::warn('bringup.bench_away', $away->getMessage(), 'The bench is a program of its own.', 'Start it: ./burrow up.'),
                ),
            );
        }
        $reading = $this->intake->read('leases', $text);
        if ($reading->findings->blocks()) {
            return Outcome::notYet($reading->findings);
        }
        $before = $book->run->learned['leases_before'] ?? [];
        $match = LeaseMatch::find(
            Hostname::parse((string) $box->name),
            $reading->all(Lease::class),
            is_array($before) ? array_values(array_filter($before, is_string(...))) : [],
        );
        $findings = $match->findings->and($reading->findings);

        return $match->lease === null
            ? Outcome::notYet($findings)
            : Outcome::over("at {$match->lease->address}", $findings, [
                'found' => (string) $match->lease->address,
                'mac' => (string) $match->lease->mac,
            ]);
    }

    private function foundAddress(RunBook $book): Ipv4
    {
        return Ipv4::parse($book->run->learnedText('found') ?? (string) $book->run->box->address);
    }

    private function door(Box $box, Ipv4 $address, int $port): Outcome
    {
        $state = $this->tcp->ask(Target::of($box, $address, $port));

        return new Outcome(
            $state === DoorState::Open,
            $state === DoorState::Open ? "port {$port} open" : '',
            Findings::of($state->finding($address, $port)),
            looked: ["tcp/{$port}" => $state],
        );
    }

    private function hostKey(Box $box, Ipv4 $address): Outcome
    {
        $key = $this->keys->ask(Target::of($box, $address, 22));
        if ($key === null) {
            return Outcome::notYet(
                Findings::of(
                    Finding::warn(
                        'bringup.no_host_key',
                        'Port 22 showed no host key.',
                        'Either it is not remote login that answers there, or it is just starting.',
                        'Look again in half a minute.',
                    ),
                ),
            );
        }
        $finding = HostKeyHistory::judge(
            $key,
            $box->host_key,
            $box->host_key_at?->toDateTimeImmutable(),
            $box->card_written_at?->toDateTimeImmutable(),
        );
        $findings = Findings::of($finding);

        return $findings->blocks()
            ? Outcome::notYet($findings)
            : Outcome::over(mb_strimwidth($key->fingerprint(), 0, 20, '…'), $findings, ['host_key' => $key->fingerprint()]);
    }

    /** @param  Ipv4  $before  where it was found before it was pinned */
    private function pinned(Box $box, Ipv4 $before): Outcome
    {
        $address = Ipv4::parse((string) $box->address);
        $door = $this->door($box, $address, 22);
        if ($door->over) {
            $key = $this->hostKey($box, $address);

            return $key->over ? $door->with(Outcome::over("at {$address}", $key->findings)) : $door->with($key);
        }
        $old = $before->number === $address->number ? null : $this->door($box, $before, 22);

        return $old === null || ! $old->over
            ? $door
            : Outcome::notYet(
                Findings::of(
                    Finding::warn(
                        'bringup.still_at_old',
                        "It answers at {$before}, where it was found, and not at {$address}.",
                        'The reservation is missing or not applied yet, or the box was not restarted since.',
                        "Look at the router's reservations for {$address}, apply them, and restart the box once more.",
                    ),
                ),
            );
    }

    /** The first TCP port of every job must be open. */
    private function service(RunBook $book): Outcome
    {
        $box = $book->run->box;
        $outcome = Outcome::over('no TCP port to ask', Findings::of());
        foreach ($book->jobs as $job) {
            $port = $job->servicePort();
            if ($port !== null && $port->protocol === Protocol::Tcp) {
                $outcome = $outcome->with($this->door($box, Ipv4::parse((string) $box->address), $port->port->number));
            }
        }

        return $outcome;
    }
}
