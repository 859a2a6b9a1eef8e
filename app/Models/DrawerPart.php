<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/** A part that lies in the drawer, by the label it has in the catalogue. */
class DrawerPart extends Model
{
    protected $guarded = [];

    /** @return list<string> */
    public static function labels(): array
    {
        /** @var list<string> */
        return self::query()->orderBy('label')->pluck('label')->all();
    }

    /** Puts a part in, or takes it out when it is there. */
    public static function toggle(string $label): void
    {
        if (self::query()->where('label', $label)->delete() === 0) {
            self::query()->create(['label' => $label]);
        }
    }
}
