<?php

declare(strict_types=1);

namespace App\Models;

use Burrow\Ports\ShownCertificate;
use Illuminate\Database\Eloquent\Model;

/** The certificate that a page showed when it was last asked. */
class Certificate extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = [
        'names' => 'array',
        'starts_at' => 'datetime',
        'ends_at' => 'datetime',
        'seen_at' => 'datetime',
        'changed_at' => 'datetime',
        'before_ended_at' => 'datetime',
    ];

    /** Keeps what was shown; another one in place of the one before is noted with the moment. */
    public static function keep(Service $service, ShownCertificate $shown): void
    {
        $kept = self::query()->where('service_id', $service->id)->first();
        $changed = $kept !== null && $kept->sha256 !== $shown->sha256;
        self::query()->updateOrCreate(
            ['service_id' => $service->id],
            [
                'sha256' => $shown->sha256,
                'holder' => $shown->holder,
                'issuer' => $shown->issuer,
                'names' => $shown->names,
                // What the column cannot hold is as good as no end.
                'starts_at' => self::inReach($shown->starts?->getTimestamp()),
                'ends_at' => self::inReach($shown->ends?->getTimestamp()),
                'seen_at' => now(),
                ...$changed ? ['changed_at' => now(), 'before_ended_at' => $kept->ends_at] : [],
            ],
        );
        Identity::note($service->box_id, Identity::CERTIFICATE, "{$service->port} {$shown->sha256}");
        if ($changed) {
            JournalEntry::write(
                $service->box,
                'certificate',
                "{$service->purpose} at {$service->port} shows another certificate.",
                'the burrow itself',
            );
        }
    }

    private static function inReach(?int $time): ?string
    {
        return $time === null || $time > 2_147_483_647 ? null : gmdate('Y-m-d H:i:s', $time);
    }
}
