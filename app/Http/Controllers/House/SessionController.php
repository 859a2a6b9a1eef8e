<?php

declare(strict_types=1);

namespace App\Http\Controllers\House;

use App\Demo\DemoLogins;
use App\Session\Patience;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Validator;

/** Logging in and out. A stranger has no session: what is wrong is said on the page that answers. */
final class SessionController
{
    private const LONGEST_WAY_BACK = 1000;

    public function __construct(private readonly Patience $patience)
    {
    }

    public function create(Request $request): Response
    {
        return $this->page($request, []);
    }

    public function store(Request $request): Response|RedirectResponse
    {
        abort_unless(
            $this->cameFromHere($request),
            403,
            'This login was sent by another page. Open the login here and type it there.',
        );
        $rules = Validator::make(
            $request->all(),
            ['name' => ['required', 'string', 'max:40'], 'password' => ['required', 'string', 'max:200']],
            [
                'name.required' => 'Type your login name.',
                'password.required' => 'Type your password.',
                'name.*' => 'A login name has up to 40 letters.',
                'password.*' => 'A password has up to 200 letters.',
            ],
        );
        if ($rules->fails()) {
            return $this->page(
                $request,
                array_map(fn (array $messages): string => $messages[0], $rules->errors()->messages()),
            );
        }
        /** @var array{name: string, password: string} $typed */
        $typed = $rules->validated();
        $place = (string) $request->ip();
        $wait = $this->patience->wait($place, $typed['name']);
        if ($wait > 0) {
            return $this->page(
                $request,
                ['password' => "Too many wrong tries. Wait {$wait} s, then try again."],
                429,
            )->header('Retry-After', (string) $wait);
        }
        if (
            (! config()->boolean('burrow.demo') && DemoLogins::isPassword($typed['password'])) ||
            ! Auth::attempt($typed, remember: true)
        ) {
            $this->patience->wrong($place, $typed['name']);

            return $this->page($request, ['password' => 'Name and password do not belong together.']);
        }
        $this->patience->right($place, $typed['name']);
        $request->session()->regenerate();

        return redirect($this->wayBack($request));
    }

    /** The web server asks before it takes in what is large: somebody who may keep things, or nobody. */
    public function maySend(Request $request): Response
    {
        return response()->noContent($request->user()?->isKeeper() === true ? 204 : 401);
    }

    public function destroy(Request $request): RedirectResponse
    {
        Auth::logout();
        $request->session()->invalidate();

        return redirect('/login');
    }

    /** @param  array<string, string>  $wrong  message by field */
    private function page(Request $request, array $wrong, int $status = 422): Response
    {
        return response(
            view('auth.login', [
                'demo' => config()->boolean('burrow.demo'),
                'name' => $request->string('name')->limit(40, '')->value(),
                'wrong' => $wrong,
                'to' => $this->wayBack($request),
            ])->render(),
            $wrong === [] ? 200 : $status,
        );
    }

    /** A path of this application, or its front page. */
    private function wayBack(Request $request): string
    {
        $to = $request->string('to')->value();

        return strlen($to) <= self::LONGEST_WAY_BACK &&
            preg_match('~^/(?![/\\\\])[\x21-\x7e]*$~D', $to) === 1 &&
            ! str_contains($to, '\\') &&
            preg_match('~^/log(?:in|out)\b~', $to) !== 1
            ? $to
            : '/';
    }

    /**
     * Without a session there is no token; a browser says by itself where a form was sent from (Fetch Metadata, and
     * Origin of RFC 6454). What is no browser says nothing, and carries no cookies of anybody either.
     */
    private function cameFromHere(Request $request): bool
    {
        $origin = $request->headers->get('Origin');
        $site = $request->headers->get('Sec-Fetch-Site');

        return in_array($site, [null, 'same-origin', 'none'], true) &&
            ($origin === null || parse_url($origin, PHP_URL_HOST) === $request->getHost());
    }
}
