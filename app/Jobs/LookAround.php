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
use Illuminate\Support\Facades\DB;
use InvalidArgumentException;
use Throwable;

/**
 * Asks every TCP port of every box that stands in the house whether it is open, and notes who has fallen silent. What
 * goes wrong with one box is that box's trouble and ends nobody else's look.
 */
final class LookAround implements ShouldBeUnique, ShouldQueue
{
    use Queueable;

    /** Records that one statement changes at most. */
    private const IDS = 500;

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
        $this->noteDoors($states);
        $alive = $silent = [];
        foreach ($boxes as $box) {
            $said = array_intersect_key($states, $box->services->keyBy('id')->all());
            if ($said === []) {
                continue;
            }
            // A refusal comes from the box itself, so it is there.
            if (array_filter($said, fn (DoorState $state): bool => $state !== DoorState::Silent) !== []) {
                $alive[] = $box->id;
                $this->tell($box, $box->silent_since !== null, 'answers', 'answers again');
            } else {
                $silent[] = $box->id;
                $this->tell($box, $box->silent_since === null, 'silent', 'fell silent');
            }
        }
        $this->noteBoxes($alive, ['asked_at' => now(), 'answered_at' => now(), 'silent_since' => null]);
        $this->noteBoxes($silent, [
            'asked_at' => now(),
            'silent_since' => DB::raw(
                'coalesce(silent_since, '.DB::escape(now()->toDateTimeString()).')',
            ),
        ]);
        // Whoever is to be told that one fell silent is told now, and not at the full hour.
        if ($boxes->whereIn('id', $silent)->whereNull('silent_since')->isNotEmpty()) {
            dispatch(new TellHouse());
        }
        dispatch(new PagesAhead());
    }

    /**
     * @param  list<int>  $ids
     * @param  array<string, mixed>  $noted
     */
    private function noteBoxes(array $ids, array $noted): void
    {
        foreach (array_chunk($ids, self::IDS) as $some) {
            Box::query()->whereKey($some)->update($noted);
        }
    }

    private function tell(Box $box, bool $isNew, string $kind, string $what): void
    {
        if (! $isNew) {
            return;
        }
        try {
            JournalEntry::write($box, $kind, "{$box->called()} {$what}.", 'the burrow itself');
        } catch (Throwable $problem) {
            report($problem);
        }
    }

    /** @param  array<int, DoorState>  $states  by service id */
    private function noteDoors(array $states): void
    {
        foreach (DoorState::cases() as $state) {
            $ids = array_keys(array_filter($states, fn (DoorState $one): bool => $one === $state));
            foreach (array_chunk($ids, self::IDS) as $some) {
                Service::query()
                    ->whereKey($some)
                    ->update(['state' => $state->value, 'looked_at' => now()]);
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
}
