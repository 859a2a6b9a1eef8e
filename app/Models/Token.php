<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** By which somebody fetches the calendar, or a program the figures, without a login. Only its sum is kept. */
class Token extends Model
{
    public const FEED = 'feed';

    public const METRICS = 'metrics';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['used_at' => 'datetime', 'created_at' => 'datetime'];

    /** @return string the token itself, which is seen this once */
    public static function give(string $kind, string $holder): string
    {
        $token = rtrim(strtr(base64_encode(random_bytes(32)), '+/', '-_'), '=');
        self::query()->create([
            'kind' => $kind,
            'holder' => $holder,
            'sum' => hash('sha256', $token),
            'created_at' => now(),
        ]);

        return $token;
    }

    /** Whether it is one; when it was used last is noted, to the hour. */
    public static function opens(string $kind, string $token): bool
    {
        $one =
            preg_match('/^[A-Za-z0-9_-]{43}$/D', $token) === 1
                ? self::query()->where('kind', $kind)->where('sum', hash('sha256', $token))->first()
                : null;
        if ($one !== null && ($one->used_at === null || $one->used_at->lt(now()->subHour()))) {
            $one->update(['used_at' => now()]);
        }

        return $one !== null;
    }
}
