<?php

declare(strict_types=1);

namespace App\Http\Controllers\Settings;

use App\House\Logins;
use App\House\SettingsFindings;
use App\Models\User;
use App\Session\Patience;
use Burrow\Card\LoginCheck;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;

/**
 * Logins and roles, for keepers; and everybody's own password. Of what is typed as a password only the sum is kept.
 */
final class LoginsController
{
    /** Logins of one house. */
    private const MOST = 100;

    public function __construct(private readonly Logins $logins, private readonly Patience $patience)
    {
    }

    public function index(Request $request): View
    {
        return view('settings.logins', [
            'users' => $request->user()?->isKeeper() === true
                    ? User::query()->orderBy('name')->limit(self::MOST)->get()
                    : collect(),
            'findings' => Findings::of(
                ...array_map(
                    Finding::kept(...),
                    array_filter(is_array(session('wrong')) ? session('wrong') : [], is_array(...)),
                ),
            ),
        ]);
    }

    /** One's own password: the one that is known first, and the new one twice. */
    public function password(Request $request): RedirectResponse
    {
        /** @var User $user */
        $user = $request->user();
        $now = $request->string('password_now')->value();
        $new = $request->string('password_new')->value();
        $place = (string) $request->ip();
        $wait = $this->patience->wait($place, $user->name);
        if ($wait > 0) {
            return $this->back('own', SettingsFindings::tooManyTries($wait));
        }
        if (! Hash::check($now, $user->password)) {
            $this->patience->wrong($place, $user->name);

            return $this->back('own', SettingsFindings::wrongPassword());
        }
        $this->patience->right($place, $user->name);
        if ($new !== $request->string('password_again')->value()) {
            return $this->back('own', SettingsFindings::notTheSame('password_again'));
        }
        $findings = LoginCheck::passwordFindings($new, 'password_new', [$user->name]);
        if ($findings->blocks()) {
            return $this->back('own', ...$findings->list);
        }
        Auth::login($this->logins->keep($user->name, $new, $user->role), remember: true);
        $request->session()->regenerate();
        $this->logins->tell("{$user->name} has another password.");

        return redirect()
            ->route('logins')
            ->with('told', 'Your password is the new one. Elsewhere you are logged out.');
    }

    /** A new login, or a new password for one. */
    public function store(Request $request): RedirectResponse
    {
        $name = strtolower($request->string('login_name')->value());
        $role = $request->string('login_role')->value();
        $password = $request->string('login_password')->value();
        $there = User::query()->where('name', $name)->first();
        $wrong = [
            ...LoginCheck::userFindings($name, 'login_name')->list,
            ...LoginCheck::passwordFindings($password, 'login_password', [$name])->list,
        ];
        if (! in_array($role, Logins::ROLES, true)) {
            $wrong[] = SettingsFindings::noRole();
        } elseif ($there !== null && $role !== 'keeper' && $this->logins->isLastKeeper($there)) {
            $wrong[] = SettingsFindings::lastKeeper($name, 'login_role');
        } elseif ($there === null && User::query()->count() >= self::MOST) {
            $wrong[] = SettingsFindings::tooManyLogins(self::MOST);
        }
        if (Findings::of(...$wrong)->blocks()) {
            return $this->back('logins', ...$wrong)->withInput($request->only(['login_name', 'login_role']));
        }
        $this->logins->keep($name, $password, $role);
        $this->logins->tell(
            $there === null
                ? "{$name} may log in as {$role}."
                : "{$name} has a new password, and is a {$role}.",
        );
        if ($there !== null && $there->is($request->user())) {
            Auth::login($there->refresh(), remember: true);
        }

        return redirect()
            ->to(route('logins').'#logins')
            ->with(
                'told',
                $there === null
                    ? "{$name} may log in as {$role}."
                    : "{$name} has a new password and is logged out everywhere.",
            );
    }

    public function destroy(Request $request, User $login): RedirectResponse
    {
        if ($login->is($request->user()) && ! $this->logins->isLastKeeper($login)) {
            return $this->back('logins', SettingsFindings::ownLogin());
        }
        if (! $this->logins->remove($login)) {
            return $this->back('logins', SettingsFindings::lastKeeper($login->name, 'login_name'));
        }
        $this->logins->tell("{$login->name} can no longer log in.");

        return redirect()
            ->to(route('logins').'#logins')
            ->with('told', "{$login->name} can no longer log in, and is logged out everywhere.");
    }

    private function back(string $part, Finding ...$findings): RedirectResponse
    {
        return redirect()
            ->to(route('logins')."#{$part}")
            ->with('wrong', array_map(fn (Finding $one): array => $one->jsonSerialize(), $findings));
    }
}
