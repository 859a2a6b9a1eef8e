<?php

declare(strict_types=1);

namespace App\Models;

use Burrow\Catalogue\Part\DeskComputer;
use Burrow\Catalogue\Part\DeskSystem;
use Illuminate\Database\Eloquent\Model;

/** The profile of a desk computer, kept so that it is asked once. */
class Desk extends Model
{
    protected $table = 'desk_computers';

    protected $guarded = [];

    protected $casts = [
        'card_slot' => 'boolean',
        'local_names' => 'boolean',
        'login_client' => 'boolean',
        'plain_editor' => 'boolean',
        'file_copier' => 'boolean',
        'administrator' => 'boolean',
        'sleeps' => 'boolean',
        'restarts' => 'boolean',
        'hours' => 'float',
        'watts' => 'float',
    ];

    /** @return array{posix: bool, powershell: bool} which shells the desks of the house have; where nobody said, POSIX */
    public static function shells(): array
    {
        $systems = self::query()->distinct()->pluck('system');
        $power = $systems->contains(DeskSystem::GetDisk->value);

        return [
            'posix' => $systems->contains(fn (mixed $one): bool => $one !== DeskSystem::GetDisk->value) || ! $power,
            'powershell' => $power,
        ];
    }

    public function computer(): DeskComputer
    {
        return new DeskComputer(
            $this->name,
            DeskSystem::tryFrom($this->system) ?? DeskSystem::Lsblk,
            $this->usb_plug,
            $this->card_slot,
            $this->local_names,
            $this->login_client,
            $this->plain_editor,
            $this->file_copier,
            $this->administrator,
            $this->sleeps,
            $this->restarts,
            max(0.0, min(24.0, $this->hours)),
            max(0.0, min(2000.0, $this->watts)),
        );
    }
}
