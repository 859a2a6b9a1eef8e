<?php

declare(strict_types=1);

namespace App\BringUp;

use App\Bench\BenchClient;
use App\Catalogue\Playbooks;
use App\Models\Run;
use App\Models\RunStep;
use App\Models\Service;
use App\Probe\PageProbe;
use App\Probe\PingProbe;
use App\Probe\Target;
use App\Probe\TcpProbe;
use Burrow\BringUp\StartStage;
use Burrow\Household\DoorState;
use Burrow\Intake\Intake;
use Burrow\Intake\Leases\Lease;
use Burrow\Net\Ipv4;
use InvalidArgumentException;
use Throwable;

/**
 * Notes what a box that starts answers first and when, while a step waits for it: the box is measured, and not when
 * somebody came back from the kitchen.
 */
final readonly class StartWatch
{
    /** Seconds after which nobody looks any more. */
    private const LONGEST = 1800;

    private const LOGIN = 22;

    public function __construct(
        private Playbooks $playbooks,
        private TcpProbe $tcp,
        private PingProbe $pings,
        private PageProbe $pages,
        private Intake $intake,
        private BenchClient $bench,
    ) {
    }

    /** @return bool whether there is still something to watch */
    public function look(): bool
    {
        $more = false;
        foreach (
            Run::query()
                ->whereNull('finished_at')
                ->with(['box.network', 'box.jobs', 'box.services', 'steps'])
                ->get() as $run
        ) {
            $step = $run->steps->firstWhere('state', RunStep::RUNNING);
            try {
                $more = ($step !== null && $this->watch($run, $step)) || $more;
            } catch (Throwable $problem) {
                report($problem);
            }
        }

        return $more;
    }

    private function watch(Run $run, RunStep $step): bool
    {
        $book = new RunBook($run, $this->playbooks);
        $since = (float) $step->began_at?->diffInMilliseconds(now()) / 1000;
        if (! $book->step($step)->more->starts || $step->began_at === null || $since > self::LONGEST) {
            return false;
        }
        $stages = $step->stages ?? [];
        $before = count($stages);
        $leased = $this->leased($run);
        [$address, $door] = $this->met($run, [
            $leased,
            $book->address(),
            Ipv4::tryParse((string) $run->learnedText('found')),
        ]);
        // A box that was up before has to go down first, or its last answers would be taken for its first.
        $wasUp = $run->box->host_key !== null;
        if ($wasUp && ! isset($stages[StartStage::Away->value])) {
            $door === DoorState::Silent && ($stages[StartStage::Away->value] = $since);
        } else {
            $stages += $leased === null ? [] : [StartStage::Address->value => $since];
            $stages +=
                isset($stages[StartStage::Ping->value]) || ! $this->echoes($run, $address)
                    ? []
                    : [StartStage::Ping->value => $since];
            $stages += $door === DoorState::Open ? [StartStage::Login->value => $since] : [];
            $stages += $this->page($run, $address, $since);
        }
        if (count($stages) !== $before) {
            RunStep::query()
                ->whereKey($step->id)
                ->where('state', RunStep::RUNNING)
                ->update(['stages' => json_encode($stages, JSON_THROW_ON_ERROR)]);
        }

        return ! isset($stages[StartStage::Ready->value]);
    }

    /** Where the router's list has it by its name; null where that cannot be read from here. */
    private function leased(Run $run): ?Ipv4
    {
        if (! $run->box->on_bench) {
            return null;
        }
        foreach (
            $this->intake->read('leases', $this->bench->text('leases', 'text'))->all(Lease::class) as $lease
        ) {
            if (strtolower((string) $lease->name) === $run->box->name) {
                return Ipv4::tryParse($lease->address);
            }
        }

        return null;
    }

    /**
     * The first of the addresses that it may have where somebody answers; else the first, and silence.
     *
     * @param  list<?Ipv4>  $addresses
     * @return array{?Ipv4, DoorState}
     */
    private function met(Run $run, array $addresses): array
    {
        $addresses = array_values(array_filter($addresses));
        foreach ($addresses as $address) {
            $door = $this->door($run, $address, self::LOGIN);
            if ($door !== DoorState::Silent) {
                return [$address, $door];
            }
        }

        return [$addresses[0] ?? null, DoorState::Silent];
    }

    /** @return array<string, float> */
    private function page(Run $run, ?Ipv4 $address, float $since): array
    {
        $service = $run->box->services->first(
            fn (Service $one): bool => $one->protocol === 'tcp' && $one->port !== self::LOGIN,
        );
        if ($service === null || $address === null) {
            return [];
        }
        if ($this->door($run, $address, $service->port) !== DoorState::Open) {
            return [];
        }
        $seen = $this->pages->ask(
            Target::of($run->box, $address, $service->port),
            '/',
            $service->port === 443,
        );

        return [StartStage::Page->value => $since] +
            ($seen?->isReady() === true ? [StartStage::Ready->value => $since] : []);
    }

    /** Where nobody may ask for an echo, none was heard. */
    private function echoes(Run $run, ?Ipv4 $address): bool
    {
        try {
            return $address !== null &&
                ($this->pings->askAll([Target::of($run->box, $address, self::LOGIN)])[0] ?? false);
        } catch (InvalidArgumentException) {
            return false;
        }
    }

    private function door(Run $run, Ipv4 $address, int $port): DoorState
    {
        try {
            return $this->tcp->ask(Target::of($run->box, $address, $port));
        } catch (InvalidArgumentException) {
            return DoorState::Silent;
        }
    }
}
