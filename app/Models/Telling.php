<?php

declare(strict_types=1);

namespace App\Models;

use Burrow\Intake\Firewall\FirewallRule;
use Burrow\Intake\Reading;
use Burrow\Intake\System\GroupFact;
use Illuminate\Database\Eloquent\Model;

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
        $told = self::query()->where('box_id', $box->id)->where('kind', $kind)->value('told');
        $kept = json_decode(is_string($told) ? $told : '', true, 16);

        return is_array($kept) ? $kept : [];
    }

    /** @param  array<string, mixed>  $told */
    public static function put(Box $box, string $kind, array $told): void
    {
        self::query()->upsert(
            [
                'box_id' => $box->id,
                'kind' => $kind,
                'told' => json_encode($told, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE),
                'taken_at' => now(),
            ],
            ['box_id', 'kind'],
            ['told', 'taken_at'],
        );
    }
}
