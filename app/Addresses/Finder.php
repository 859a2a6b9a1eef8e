<?php

declare(strict_types=1);

namespace App\Addresses;

use App\Models\Box;
use App\Models\Network;
use App\Models\Sighting;
use Burrow\Addresses\Find\Candidate;
use Burrow\Addresses\Find\Candidates;
use Burrow\Addresses\Find\Ours;
use Burrow\Addresses\Find\Seen;
use Burrow\Addresses\Find\Wanted;
use Illuminate\Support\Facades\DB;

/** Lists of machines as the household keeps them: the one from before, the one from now, and everybody ever seen. */
final readonly class Finder
{
    /** Rows of one statement. */
    private const AT_ONCE = 500;

    public function __construct(private Makers $makers)
    {
    }

    /**
     * This list is the one of now; everybody in it was seen.
     *
     * @param  list<Seen>  $seen
     */
    public function note(Network $network, array $seen): void
    {
        $now = now();
        DB::transaction(function () use ($network, $seen, $now): void {
            $keys = array_map(fn (Seen $one): string => $one->key(), $seen);
            $known = Sighting::query()
                ->where('network_id', $network->id)
                ->whereIn('known_by', $keys)
                ->get()
                ->keyBy('known_by');
            $rows = [];
            foreach ($seen as $one) {
                $before = $known->get($one->key());
                $rows[] = [
                    'network_id' => $network->id,
                    'known_by' => $one->key(),
                    'mac' => $one->mac,
                    'address' => $one->address,
                    'name' => $one->name === null ? $before?->name : mb_substr($one->name, 0, 253),
                    'open' => json_encode($one->open === [] ? $before->open ?? [] : $one->open),
                    'first_seen' => $before->first_seen ?? $now,
                    'last_seen' => $now,
                ];
            }
            foreach (array_chunk($rows, self::AT_ONCE) as $some) {
                Sighting::query()->upsert(
                    $some,
                    ['network_id', 'known_by'],
                    ['mac', 'address', 'name', 'open', 'last_seen'],
                );
            }
            $network->update(['list_now' => array_map(self::packed(...), $seen), 'list_now_at' => $now]);
        });
    }

    /** The list of now is the one that later ones are compared with. */
    public function keep(Network $network): void
    {
        $network->update(['list_before' => $network->list_now, 'list_before_at' => $network->list_now_at]);
    }

    /** @return list<Candidate> of the list of now, the likeliest first */
    public function candidates(Network $network, ?Box $wanted): array
    {
        $now = self::unpacked($network->list_now);

        return Candidates::among(
            $now,
            $network->list_before === null ? null : self::unpacked($network->list_before),
            $this->ours($network),
            $wanted?->name === null ? null : new Wanted($wanted->name, $wanted->mac, $wanted->address),
            $this->makers->of(array_values(array_filter(array_map(fn (Seen $one): ?string => $one->mac, $now)))),
        );
    }

    /** @return list<Seen> in the list before, and not in that of now */
    public function gone(Network $network): array
    {
        return $network->list_before === null || $network->list_now === null
            ? []
            : Candidates::gone(self::unpacked($network->list_now), self::unpacked($network->list_before));
    }

    private function ours(Network $network): Ours
    {
        $boxes = $devices = $addresses = [];
        foreach (Box::query()->where('network_id', $network->id)->whereNotNull('name')->get() as $box) {
            $box->mac === null || ($boxes[$box->mac] = $box->called());
            $box->address === null || ($addresses[$box->address] = $box->called());
        }
        foreach (Sighting::query()->where('network_id', $network->id)->whereNotNull('label')->get() as $one) {
            $devices[$one->known_by] = (string) $one->label;
        }

        return new Ours($boxes, $devices, $addresses);
    }

    /** @return array{?string, string, ?string, list<int>} */
    private static function packed(Seen $one): array
    {
        return [$one->mac, $one->address, $one->name, $one->open];
    }

    /** @return list<Seen> what of a kept list can be read */
    private static function unpacked(mixed $kept): array
    {
        $seen = [];
        foreach (is_array($kept) ? $kept : [] as $one) {
            if (is_array($one) && is_string($one[1] ?? null)) {
                $seen[] = new Seen(
                    is_string($one[0] ?? null) ? $one[0] : null,
                    $one[1],
                    is_string($one[2] ?? null) ? $one[2] : null,
                    array_values(array_filter(is_array($one[3] ?? null) ? $one[3] : [], is_int(...))),
                );
            }
        }

        return $seen;
    }
}
