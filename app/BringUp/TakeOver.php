<?php

declare(strict_types=1);

namespace App\BringUp;

use App\Models\Backup;
use App\Models\Box;
use App\Models\Dependency;
use App\Models\FolderPair;
use App\Models\JournalEntry;
use App\Models\Medium;
use App\Models\Opening;
use App\Models\Run;
use App\Models\Service;
use App\Models\Store;
use App\Models\WayIn;
use Burrow\Household\Stage;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;

/**
 * The moment at which one box takes another one's place in the record: its address, what depends on it, its openings,
 * the keys to its programs. It comes when the new one answered there and no sooner, and can be taken back as long as
 * the old card is kept. Where its disks are plugged over, what lies on them and what is copied from and to them
 * follows.
 *
 * @phpstan-type Took array{
 *     dependencies: list<int>, openings: list<int>, keys: array<int, int>, disks: array<string, list<int>>,
 *     drive: ?string, name: ?string, was: ?string
 * }
 */
final readonly class TakeOver
{
    /** Within the transaction of the step. */
    public function forth(Run $run): void
    {
        $from = $this->from($run);
        if ($from === null || isset($run->learned['took'])) {
            return;
        }
        $to = $run->box;
        $took = [
            'dependencies' => $this->dependencies($from, $to),
            'openings' => Opening::query()->where('box_id', $from->id)->pluck('id')->all(),
            'keys' => $this->keys($from, $to),
            'disks' => isset($run->learned['takes_disk']) ? $this->disks($from) : [],
            'drive' => $to->drive,
            'name' => $from->name,
            'was' => $to->name,
        ];
        Opening::query()
            ->whereKey($took['openings'])
            ->update(['box_id' => $to->id]);
        foreach ($took['disks'] as $what => $ids) {
            $this->carry($what, $ids, $to);
        }
        $took['disks'] === [] || $to->update(['drive' => $from->drive]);
        $from->update([
            'stage' => Stage::Retired,
            'retired_at' => now(),
            'wipe_on' => $run->learnedText('kept_until'),
            'wiped_at' => null,
            'address' => null,
            'pinned_at' => null,
            'name' => isset($run->learned['new_name']) ? $this->nameBefore($from) : $from->name,
        ]);
        $run->update([
            'learned' => [...$run->learned, 'took' => $took, 'took_at' => now()->toIso8601String()],
        ]);
        JournalEntry::write(
            $from,
            'retired',
            "{$from->called()} gave its address to {$to->called()} and is out of service; its card is kept until ".
                ($from->wipe_on?->format('j M Y') ?? 'somebody says otherwise').
                '.',
        );
    }

    /** The run is over: what was counted goes into the journal. */
    public function end(Run $run): void
    {
        $counted = str_replace(
            "\n",
            ', ',
            $run->learnedText('inventory_after') ?? 'nothing was counted again',
        );
        JournalEntry::write(
            $run->box,
            'moved',
            "{$run->learnedText('from_name')} moved to {$run->box->called()}. Counted there: ".
                mb_strimwidth($counted, 0, 400, '…').
                '.',
        );
    }

    /** Whether the record still holds what is needed to go back. */
    public function canGoBack(Run $run): bool
    {
        $from = $this->from($run);

        return $this->took($run) !== null &&
            $from !== null &&
            $from->stage === Stage::Retired &&
            $from->wiped_at === null &&
            $run->box->address === ($run->learned['new_address'] ?? null);
    }

    /**
     * The old one has its place again. It stands unfinished until somebody has looked at it; the new one keeps what
     * it had before where that is free.
     */
    public function back(Run $run): void
    {
        DB::transaction(function () use ($run): void {
            $from = $this->from($run);
            $to = Box::query()->lockForUpdate()->findOrFail($run->box->id);
            $took = $this->took($run);
            if ($from === null || $took === null || ! $this->canGoBack($run)) {
                throw new StepTold('The way back is closed: the old one was wiped, or stands again already.');
            }
            $address = $run->learnedText('new_address');
            $interim = $run->learnedText('old_address');
            $free =
                $interim !== null &&
                Box::query()->where('network_id', $to->network_id)->where('address', $interim)->doesntExist();
            $to->update([
                'address' => $free ? $interim : null,
                'pinned_at' => null,
                'name' => $to->name === $took['name'] ? $this->free($to, (string) $took['was']) : $to->name,
                'stage' => Stage::Unfinished,
            ]);
            $from->update([
                'stage' => Stage::Unfinished,
                'retired_at' => null,
                'wipe_on' => null,
                'address' => $address,
                'name' => $took['name'],
            ]);
            Dependency::query()
                ->whereKey($took['dependencies'])
                ->update(['on_box_id' => $from->id]);
            Opening::query()
                ->whereKey($took['openings'])
                ->update(['box_id' => $from->id]);
            foreach ($took['disks'] as $what => $ids) {
                $this->carry($what, $ids, $from);
            }
            $took['disks'] === [] || $to->update(['drive' => $took['drive']]);
            foreach ($took['keys'] as $way => $service) {
                WayIn::query()
                    ->whereKey($way)
                    ->update(['service_id' => $service]);
            }
            $run->update([
                'finished_at' => $run->finished_at ?? now(),
                'learned' => [
                    ...array_diff_key($run->learned, ['took' => true]),
                    'went_back' => now()->toIso8601String(),
                ],
            ]);
            JournalEntry::write(
                $from,
                'moved',
                "The way back was gone: {$from->called()} is at {$address} on record again, and {$to->called()} has ".
                    ($free ? $interim : 'no address').
                    '.',
            );
        });
    }

    /** @return ?Took */
    private function took(Run $run): ?array
    {
        /** @var ?Took $took */
        $took = $run->learned['took'] ?? null;

        return $took;
    }

    public function from(Run $run): ?Box
    {
        return Box::query()->find((int) ($run->learnedText('from_box') ?? '0'));
    }

    /** @return array<string, list<int>> ids of what lies on its disks, and of what goes there and from there */
    private function disks(Box $from): array
    {
        $ids = fn (Builder $query): array => array_values(
            array_filter($query->pluck('id')->all(), is_int(...)),
        );

        return [
            'stores' => $ids(Store::query()->where('box_id', $from->id)),
            'backups' => $ids(Backup::query()->where('box_id', $from->id)),
            'copies' => $ids(Backup::query()->where('target_box_id', $from->id)),
            'pairs' => $ids(FolderPair::query()->where('box_id', $from->id)),
            'media' => $ids(Medium::query()->where('box_id', $from->id)->where('kind', 'drive')),
        ];
    }

    /** @param  list<int>  $ids */
    private function carry(string $what, array $ids, Box $to): void
    {
        match ($what) {
            'stores' => Store::query()
                ->whereKey($ids)
                ->update(['box_id' => $to->id]),
            'backups' => Backup::query()
                ->whereKey($ids)
                ->update(['box_id' => $to->id]),
            'copies' => Backup::query()
                ->whereKey($ids)
                ->update(['target_box_id' => $to->id]),
            'pairs' => FolderPair::query()
                ->whereKey($ids)
                ->update(['box_id' => $to->id]),
            'media' => Medium::query()
                ->whereKey($ids)
                ->update(['box_id' => $to->id]),
            default => 0,
        };
    }

    /** @return list<int> ids of what hung on the old box and hangs on the new one now */
    private function dependencies(Box $from, Box $to): array
    {
        $moved = [];
        foreach (Dependency::query()->where('on_box_id', $from->id)->get() as $one) {
            $there = Dependency::query()
                ->where(['box_id' => $one->box_id, 'on_box_id' => $to->id, 'what' => $one->what])
                ->exists();
            if ($one->box_id !== $to->id && ! $there) {
                $one->update(['on_box_id' => $to->id]);
                $moved[] = (int) $one->id;
            }
        }

        return $moved;
    }

    /** @return array<int, int> key => the service of the old box that it opened */
    private function keys(Box $from, Box $to): array
    {
        $moved = [];
        foreach (Service::query()->where('box_id', $from->id)->get() as $had) {
            $has = Service::query()
                ->where(['box_id' => $to->id, 'protocol' => $had->protocol, 'port' => $had->port])
                ->first();
            if ($has === null) {
                continue;
            }
            // Who uses the port of the old one uses the same port of the new one.
            ($has->clients ?? []) === [] && $has->update(['clients' => $had->clients]);
            foreach (WayIn::query()->where('service_id', $had->id)->get() as $way) {
                $way->update(['service_id' => $has->id]);
                $moved[(int) $way->id] = (int) $had->id;
            }
        }

        return $moved;
    }

    private function nameBefore(Box $box): string
    {
        return $this->free($box, mb_substr((string) $box->name, 0, 52).'-before');
    }

    /** The name, or the next one like it that nobody of the house has. */
    private function free(Box $box, string $name): string
    {
        for ($number = 1; ; $number++) {
            $one = $number === 1 ? $name : "{$name}-{$number}";
            $held = Box::query()->where('name', $one)->exists();
            if (! $held) {
                return $one;
            }
        }
    }
}
