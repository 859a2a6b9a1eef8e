<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Foundation\Auth\User as Authenticatable;

/** Somebody who may log in: a keeper, who may change things, or a guest, who may look. */
class User extends Authenticatable
{
    protected $guarded = [];

    protected $hidden = ['password', 'remember_token'];

    protected $casts = ['password' => 'hashed'];

    public function isKeeper(): bool
    {
        return $this->role === 'keeper';
    }
}
