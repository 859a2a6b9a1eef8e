<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Service;
use App\Probe\Target;
use App\Probe\TcpProbe;
use Burrow\Household\DoorState;
use Burrow\Net\Ipv4;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use InvalidArgumentException;
use Throwable;

/**
 * Asks every TCP port of every box that stands in the house whether it is open, and notes who has fallen silent. What
 * goes wrong with one box is that box's trouble and ends nobody else's look.
 */
final class LookAround implements ShouldBeUnique, ShouldQueue
{
    use Queueable;

    /** One round at a time; a lock that a killed worker left is gone after this many seconds. */
    public int $uniqueFor = 120;

    /** The next minute brings the next round. */
    public int $tries = 1;

    public function handle(TcpProbe $tcp): void
    {
        $boxes = Box::query()
            ->standing()
            ->whereNotNull('address')
            ->with(['network', 'services'])
            ->get();
        $targets = [];
        foreach ($boxes as $box) {
            try {
                $targets += $this->targets($box);
            } catch (InvalidArgumentException) {
                // It lies outside of the network now; nobody asks it, and its page says since when.
                continue;
            }
        }
        $states = $tcp->askAll($targets);
        foreach ($boxes as $box) {
            try {
                $this->note($box, array_intersect_key($states, $box->services->keyBy('id')->all()));
            } catch (Throwable $problem) {
                report($problem);
            }
        }
    }

    /**
     * @return array<int, Target> by service id
     *
     * @throws InvalidArgumentException when the box's address is none, or is not in its network
     */
    private function targets(Box $box): array
    {
        $targets = [];
        $address = Ipv4::parse((string) $box->address);
        foreach ($box->services->where('protocol', 'tcp') as $service) {
            if ($service->isForItself()) {
                continue;
            }
            $targets[$service->id] = Target::of($box, $address, $service->port);
        }

        return $targets;
    }

    /** @param  array<int, DoorState>  $states  of the box's ports that were asked, by service id */
    private function note(Box $box, array $states): void
    {
        if ($states === []) {
            return;
        }
        foreach ($states as $id => $state) {
            Service::query()
                ->whereKey($id)
                ->update(['state' => $state->value, 'looked_at' => now()]);
        }
        // A refusal comes from the box itself, so it is there.
        $alive = array_filter($states, fn (DoorState $state): bool => $state !== DoorState::Silent) !== [];
        if ($alive && $box->silent_since !== null) {
            JournalEntry::write($box, 'answers', "{$box->called()} answers again.", 'the burrow itself');
        } elseif (! $alive && $box->silent_since === null) {
            JournalEntry::write($box, 'silent', "{$box->called()} fell silent.", 'the burrow itself');
        }
        $box->update(
            ['asked_at' => now()] +
                ($alive
                    ? ['answered_at' => now(), 'silent_since' => null]
                    : ['silent_since' => $box->silent_since ?? now()]),
        );
    }
}
