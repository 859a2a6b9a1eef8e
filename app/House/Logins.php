<?php

declare(strict_types=1);

namespace App\House;

use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\User;
use Burrow\Card\LoginCheck;
use Burrow\Judgement\Findings;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Who may log in: made, given another role or password, taken away. There is always a keeper. */
final class Logins
{
    public const ROLES = ['keeper', 'guest'];

    /** What speaks against a name and a password; at the fields of those names where a form has them. */
    public static function judge(string $name, string $password): Findings
    {
        return LoginCheck::userFindings($name)->and(LoginCheck::passwordFindings($password));
    }

    /** A new login, or a new password and role of one that is there. Whoever was logged in with the old one is not. */
    public function keep(string $name, string $password, string $role): User
    {
        $user = User::query()->updateOrCreate(['name' => $name], ['password' => $password, 'role' => $role]);
        $user->forceFill(['remember_token' => Str::random(60)])->save();

        return $user;
    }

    /**
     * Takes a login away, unless nobody could change anything any more: of two keepers who remove each other at one
     * time, the second one is told.
     *
     * @return bool whether it is gone
     */
    public function remove(User $user): bool
    {
        return DB::transaction(function () use ($user): bool {
            $keepers = User::query()->where('role', 'keeper')->lockForUpdate()->pluck('id');
            if ($keepers->all() === [$user->id]) {
                return false;
            }
            User::query()->whereKey($user->id)->delete();

            return true;
        });
    }

    public function isLastKeeper(User $user): bool
    {
        return $user->isKeeper() &&
            User::query()->where('role', 'keeper')->whereKeyNot($user->id)->doesntExist();
    }

    /** In the journal: that it was done and to whom, never what a password is. */
    public function tell(string $text): void
    {
        Network::query()->exists() && JournalEntry::write(Network::home(), 'login', $text);
    }
}
