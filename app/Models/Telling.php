<?php

declare(strict_types=1);

namespace App\Models;

use Burrow\Intake\Firewall\FirewallRule;
use Burrow\Intake\Reading;
use Burrow\Intake\System\GroupFact;
use Carbon\CarbonInterface;
use Closure;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;

/** What a box told last of all of one kind: the rules of its packet filter, or who may command its container engine. */
class Telling extends Model
{
    public const FIREWALL = 'firewall';

    public const GROUPS = 'groups';

    public const REPORT = 'report';

    /** More rules of one box are not kept. */
    private const MOST = 2000;

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['taken_at' => 'datetime'];

    /**
     * Keeps what was read, in place of what was kept.
     *
     * @param  string  $engine  the container engine's command, after which its group is called
     * @return ?string what was taken, in words; null when there is nothing of that kind in it
     */
    public static function keep(Box $box, Reading $reading, string $engine): ?string
    {
        if ($reading->kind === self::FIREWALL) {
            $rules = array_slice($reading->all(FirewallRule::class), 0, self::MOST);
            self::put($box, self::FIREWALL, [
                'rules' => $rules,
                'active' => $reading->totals['active'] ?? true,
            ]);

            return count($rules).' rules of the packet filter were read and held against the record.';
        }
        foreach ($reading->all(GroupFact::class) as $group) {
            if ($group->group === $engine) {
                self::put($box, self::GROUPS, ['group' => $engine, 'accounts' => $group->accounts]);

                return count($group->accounts) === 1
                    ? "One account is in the group {$engine}."
                    : count($group->accounts)." accounts are in the group {$engine}.";
            }
        }

        return null;
    }

    /** @return array<mixed> what is kept of one kind; empty where nothing is */
    public static function kept(Box $box, string $kind): array
    {
        return self::keptOf([$box->id], $kind)[$box->id] ?? [];
    }

    /**
     * @param  list<int>  $boxes  ids
     * @return array<int, array<mixed>> what is kept of one kind, by box; without those of which nothing is
     */
    public static function keptOf(array $boxes, string $kind): array
    {
        $told = self::query()
            ->whereIn('box_id', $boxes)
            ->where('kind', $kind)
            ->toBase()
            ->pluck('told', 'box_id');
        $kept = [];
        foreach ($told as $box => $text) {
            $one = json_decode(is_string($text) ? $text : '', true, 16);
            $kept[(int) $box] = is_array($one) ? $one : [];
        }

        return $kept;
    }

    /**
     * What is kept is changed from what is there, and when it was told stays as it is. Nobody else changes or takes in
     * what this box tells meanwhile: whoever does holds its row.
     *
     * @param  Closure(array<mixed>): array<string, mixed>  $change
     */
    public static function change(Box $box, string $kind, Closure $change): void
    {
        DB::transaction(function () use ($box, $kind, $change): void {
            Box::query()->lockForUpdate()->findOrFail($box->id);
            $kept = self::kept($box, $kind);
            if ($kept !== []) {
                self::query()
                    ->where('box_id', $box->id)
                    ->where('kind', $kind)
                    ->update([
                        'told' => json_encode(
                            $change($kept),
                            JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE,
                        ),
                    ]);
            }
        }, 3);
    }

    /** @param  array<string, mixed>  $told */
    public static function put(Box $box, string $kind, array $told): void
    {
        self::putAll($kind, [$box->id => $told], [$box->id => now()]);
    }

    /**
     * @param  non-empty-array<int, array<string, mixed>>  $told  by box
     * @param  non-empty-array<int, CarbonInterface>  $at  when each was told
     */
    public static function putAll(string $kind, array $told, array $at): void
    {
        $rows = [];
        foreach ($told as $box => $one) {
            $rows[] = [
                'box_id' => $box,
                'kind' => $kind,
                'told' => json_encode($one, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE),
                'taken_at' => $at[$box],
            ];
        }
        self::query()->upsert($rows, ['box_id', 'kind'], ['told', 'taken_at']);
    }
}
