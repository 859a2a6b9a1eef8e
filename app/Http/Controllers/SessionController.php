<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Validation\ValidationException;

final class SessionController
{
    /** Wrong passwords a minute from one address, for one name and for all together. */
    private const TRIES_A_NAME = 6;

    private const TRIES = 30;

    public function create(): View
    {
        return view('auth.login', ['demo' => config()->boolean('burrow.demo')]);
    }

    public function store(Request $request): RedirectResponse
    {
        $typed = $request->validate(
            ['name' => ['required', 'string', 'max:40'], 'password' => ['required', 'string', 'max:200']],
            ['name.required' => 'Type your login name.', 'password.required' => 'Type your password.'],
        );
        $limits = ['login '.$request->ip().' '.mb_strtolower($typed['name']) => self::TRIES_A_NAME, 'login '.$request->ip() => self::TRIES];
        foreach ($limits as $key => $most) {
            abort_if(RateLimiter::tooManyAttempts($key, $most), 429);
        }
        if (! Auth::attempt($typed, remember: true)) {
            array_map(RateLimiter::hit(...), array_keys($limits));
            throw ValidationException::withMessages(['password' => 'Name and password do not belong together.']);
        }
        $request->session()->regenerate();

        return redirect()->intended('/');
    }

    public function destroy(Request $request): RedirectResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect('/login');
    }
}
