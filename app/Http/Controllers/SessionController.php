<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;

final class SessionController
{
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
        if (! Auth::attempt($typed, remember: true)) {
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
