<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\Service;
use App\Probe\Target;
use App\Probe\TcpProbe;
use Burrow\BringUp\DoorState;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;

/** Asks every port of every box in service whether it is open, and notes who has fallen silent. */
final class LookAround implements ShouldQueue
{
    use Queueable;

    public function handle(TcpProbe $tcp): void
    {
        $network = Network::query()->orderBy('id')->first();
        if ($network === null) {
            return;
        }
        $boxes = Box::query()
            ->inService()
            ->whereNotNull('address')
            ->with(['network', 'services'])
            ->get();
        $targets = [];
        foreach ($boxes as $box) {
            foreach ($box->services->where('protocol', 'tcp') as $service) {
                $address = $box->ipv4();
                if ($address !== null) {
                    $targets[$service->id] = Target::of($box, $address, $service->port);
                }
            }
        }
        $states = $tcp->askAll($targets);
        foreach ($boxes as $box) {
            $this->note($box, $states);
        }
    }

    /** @param  array<int, DoorState>  $states by service id */
    private function note(Box $box, array $states): void
    {
        $alive = false;
        foreach ($box->services as $service) {
            $state = $states[$service->id] ?? null;
            if ($state === null) {
                continue;
            }
            // A refusal comes from the box itself, so it is there.
            $alive = $alive || $state !== DoorState::Silent;
            Service::query()
                ->whereKey($service->id)
                ->update(['state' => $state->value, 'looked_at' => now()]);
        }
        if ($box->services->where('protocol', 'tcp')->isEmpty()) {
            return;
        }
        if ($alive) {
            if ($box->silent_since !== null) {
                JournalEntry::write($box, 'answers', "{$box->called()} answers again.", 'the burrow itself');
            }
            $box->update(['answered_at' => now(), 'silent_since' => null]);
        } elseif ($box->silent_since === null) {
            JournalEntry::write($box, 'silent', "{$box->called()} fell silent.", 'the burrow itself');
            $box->update(['silent_since' => now()]);
        }
    }
}
