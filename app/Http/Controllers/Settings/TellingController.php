<?php

declare(strict_types=1);

namespace App\Http\Controllers\Settings;

use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\Token;
use App\Upkeep\Teller;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;
use Burrow\Upkeep\Tell\TypedTelling;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Whom the house tells, and who fetches its calendar and its figures. */
final class TellingController
{
    private const MOST = 40;

    public function index(): View
    {
        $network = Network::home();
        $typed = [];
        foreach (TypedTelling::FIELDS as $field) {
            $kept = old($field) ?? $network->getAttribute($field);
            $typed[$field] = is_string($kept) ? $kept : '';
        }

        return view('settings.telling', [
            'network' => $network,
            'typed' => $typed,
            'findings' => old('mail_to') === null
                    ? Findings::of()
                    : TypedTelling::of($typed, $network->asLocalNetwork())->findings,
            'tokens' => Token::query()->orderBy('id')->get(),
            'given' => is_array(session('given')) ? session('given') : null,
        ]);
    }

    public function update(Request $request): RedirectResponse
    {
        $network = Network::home();
        $typed = [];
        foreach (TypedTelling::FIELDS as $field) {
            $typed[$field] = trim($request->string($field)->value());
        }
        if (TypedTelling::of($typed, $network->asLocalNetwork())->findings->blocks()) {
            return redirect()->route('telling')->withInput($typed);
        }
        $network->update(
            array_map(fn (string $text): ?string => $text ?: null, $typed) + ['told_wrong' => null],
        );
        JournalEntry::write($network, 'telling', 'Whom the house tells was changed.');

        return redirect()->route('telling')->with('told', 'Kept.');
    }

    public function now(Teller $teller, Household $house): RedirectResponse
    {
        $network = Network::home();
        $message = $teller->tell($house, $network, true);

        return redirect()
            ->route('telling')
            ->with(
                'told',
                match (true) {
                    $message === null => 'There is nothing to be told, or nobody to tell.',
                    $network->refresh()->told_wrong !== null => 'It did not arrive everywhere.',
                    default => 'Told: '.$message->subject.'.',
                },
            );
    }

    public function give(Request $request): RedirectResponse
    {
        $kind = $request->string('token_kind')->value();
        $holder = trim($request->string('holder')->value());
        if (
            ! in_array($kind, [Token::FEED, Token::METRICS], true) ||
            $holder === '' ||
            mb_strlen($holder) > 60 ||
            Token::query()->count() >= self::MOST
        ) {
            return redirect()
                ->to(route('telling').'#tokens')
                ->withInput(['holder' => mb_substr($holder, 0, 60)])
                ->with('told', 'For whom is it? Up to 60 letters, and forty tokens in all.');
        }
        $token = Token::give($kind, $holder);
        JournalEntry::write(
            Network::home(),
            'telling',
            "{$holder} may fetch the ".($kind === Token::FEED ? 'calendar.' : 'figures.'),
        );

        return redirect()
            ->to(route('telling').'#tokens')
            ->with('given', ['kind' => $kind, 'token' => $token]);
    }

    public function away(Token $token): RedirectResponse
    {
        JournalEntry::write(Network::home(), 'telling', "{$token->holder} may no longer fetch it.");
        $token->delete();

        return redirect()
            ->to(route('telling').'#tokens')
            ->with('told', 'It opens nothing any more.');
    }
}
