<?php

declare(strict_types=1);

namespace App\Models;

use Burrow\Addresses\Find\Change;
use Burrow\Net\SshPublicKey;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/** What a box was known by, from when to when: an address, a hardware address, a host key, a page's certificate. */
class Identity extends Model
{
    /** Column of a box => kind. */
    public const KINDS = ['address' => 'address', 'mac' => 'mac', 'host_key' => 'host-key'];

    /** What no column of a box holds: "443 sha256…" of each page that speaks TLS. */
    public const CERTIFICATE = 'certificate';

    protected $guarded = [];

    protected $casts = ['first_seen' => 'datetime', 'last_seen' => 'datetime'];

    /** @return BelongsTo<Box, $this> */
    public function box(): BelongsTo
    {
        return $this->belongsTo(Box::class);
    }

    /** The key behind the fingerprint that is on record, whole; another one is not kept under it. */
    public static function whole(Box $box, SshPublicKey $key): void
    {
        self::query()
            ->where(['box_id' => $box->id, 'kind' => self::KINDS['host_key'], 'value' => $key->fingerprint()])
            ->update(['whole' => "{$key->type} {$key->base64}", 'last_seen' => now()]);
    }

    /** It was known by this just now. */
    public static function note(int $box, string $kind, string $value): void
    {
        $known = self::query()->firstOrNew(['box_id' => $box, 'kind' => $kind, 'value' => $value]);
        $known->fill(['first_seen' => $known->first_seen ?? now(), 'last_seen' => now()])->save();
    }

    /** What of a box was recorded just now is kept, beside what it was before; a change of board or card is said. */
    public static function keep(Box $box): void
    {
        $isNew = $box->wasRecentlyCreated && $box->getChanges() === [];
        $before = $isNew ? [] : $box->getPrevious();
        foreach (self::KINDS as $column => $kind) {
            if ($box->{$column} === null || ! ($isNew || $box->wasChanged($column))) {
                continue;
            }
            self::note($box->id, $kind, mb_substr((string) $box->{$column}, 0, 200));
        }
        $change = Change::of(
            is_string($before['mac'] ?? null) ? $before['mac'] : $box->mac,
            $box->mac,
            is_string($before['host_key'] ?? null) ? $before['host_key'] : $box->host_key,
            $box->host_key,
        );
        $change === null || JournalEntry::write($box, 'identity', "{$box->called()}: {$change->label()}.");
    }
}
