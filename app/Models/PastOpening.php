<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** A way in that was open once, from when to when. */
class PastOpening extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['opened_at' => 'datetime', 'closed_at' => 'datetime'];

    /** What a way in was until now, when it is closed or becomes another one. */
    public static function keep(Opening $opening): void
    {
        self::query()->create([
            'box' => mb_substr($opening->loadMissing('box')->box->called(), 0, 63),
            'outside_port' => $opening->getOriginal('outside_port'),
            'protocol' => $opening->getOriginal('protocol'),
            'purpose' => $opening->getOriginal('purpose'),
            'opened_at' => $opening->since ?? ($opening->created_at ?? now()),
            'closed_at' => now(),
        ]);
    }
}
