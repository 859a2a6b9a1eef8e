<?php

declare(strict_types=1);

namespace App\Demo;

use App\Models\User;
use Illuminate\Support\Facades\Hash;

/** The logins that the demo prints for everybody to read. Outside of the demo they open nothing. */
final class DemoLogins
{
    /** name => [password, right] */
    public const ALL = ['warden' => ['thistledown-demo', 'keeper'], 'desk' => ['reading-room-demo', 'guest']];

    public static function isOne(User $user): bool
    {
        return isset(self::ALL[$user->name]) && Hash::check(self::ALL[$user->name][0], $user->password);
    }

    public static function isPassword(string $password): bool
    {
        return in_array($password, array_column(self::ALL, 0), true);
    }
}
