<?php

declare(strict_types=1);

namespace App\BringUp;

use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Run;
use App\Models\Service;
use App\Models\Store;
use Burrow\Role\Role;
use Burrow\Role\RolePort;

/** The end of a run: what was learned becomes part of the box's record, and the box stands in the burrow. */
final readonly class Moving
{
    public function in(Run $run, RunBook $book): void
    {
        $box = $run->box;
        $asked = array_map(fn (Role $role): ?RolePort => $role->servicePort(), $book->roles);
        foreach (array_merge(...array_map(fn (Role $role): array => $role->ports, $book->roles)) as $port) {
            Service::query()->firstOrCreate(
                ['box_id' => $box->id, 'protocol' => $port->protocol->value, 'port' => $port->port->number, 'purpose' => $port->purpose],
                ['state' => in_array($port, $asked, true) ? 'open' : null, 'looked_at' => in_array($port, $asked, true) ? now() : null],
            );
        }
        if ($run->learnedText('uuid') !== null) {
            Store::query()->firstOrCreate(
                ['box_id' => $box->id, 'uuid' => $run->learnedText('uuid')],
                [
                    'label' => RunBook::STORE['store_label'],
                    'serial' => $run->learnedText('disk_serial'),
                    'bytes' => (int) $run->learnedText('disk_bytes'),
                    'mount_point' => RunBook::STORE['mount_point'],
                    'share' => RunBook::STORE['share'],
                ],
            );
        }
        $box->update([
            'stage' => Box::IN_SERVICE,
            'in_service_at' => $box->in_service_at ?? now(),
            'updated_system_at' => $box->updated_system_at ?? now(),
            'answered_at' => now(),
            'silent_since' => null,
        ]);
        $run->update(['finished_at' => now()]);
        JournalEntry::write(
            $box,
            'in service',
            "{$box->called()} is in service: ".implode(', ', array_map(fn (Role $role): string => $role->label, $book->roles)).'.',
        );
    }
}
