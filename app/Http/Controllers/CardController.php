<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\BenchClient;
use App\Card\CardRequest;
use App\Card\CardZip;
use App\Catalogue\Catalogue;
use App\Models\Box;
use App\Models\BoxJob;
use App\Models\JournalEntry;
use App\Models\Network;
use Burrow\Card\CardFolder;
use Burrow\Card\DeclarativeWriter;
use Burrow\Card\Linter;
use Burrow\Role\Role;
use Burrow\Sheet\Findings;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The first-boot files of a box. What is typed here is turned into files in one request and forgotten. */
final class CardController
{
    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly BenchClient $bench,
    ) {
    }

    public function edit(Box $box): View|RedirectResponse
    {
        if ($box->name === null) {
            return redirect()->route('box.name', $box);
        }
        $network = Network::home();

        return view('card.edit', [
            'box' => $box, 'findings' => Findings::of(),
            'typed' => ['user' => $box->user ?? 'warden', 'public_key' => '', 'time_zone' => $network->time_zone, 'keyboard' => 'gb'],
        ]);
    }

    public function make(Request $request, Box $box): View|RedirectResponse
    {
        $roles = array_filter($box->jobs->map(fn (BoxJob $job): ?Role => $this->catalogue->role($job->role))->all());
        if ($box->name === null || $roles === []) {
            return redirect()->route('box.name', $box);
        }
        $card = CardRequest::from($request);
        $typed = ['user' => $card->user, 'public_key' => $card->publicKey, 'time_zone' => $card->timeZone, 'keyboard' => $card->keyboard];
        if ($card->findings->blocks()) {
            return view('card.edit', ['box' => $box, 'findings' => $card->findings, 'typed' => str_contains($card->publicKey, 'PRIVATE KEY') ? ['public_key' => ''] + $typed : $typed]);
        }
        $settings = $card->settings($box, Network::home(), array_values(array_unique(array_merge(...array_map(fn (Role $role): array => $role->packages, array_values($roles))))));
        $files = (new DeclarativeWriter)->write($settings);
        $box->update([
            'user' => $card->user, 'login' => $settings->key === null ? 'password' : 'key', 'login_fingerprint' => $settings->key?->fingerprint(),
            'instance' => $settings->instance, 'card_written_at' => now(),
        ]);
        JournalEntry::write($box, 'card', "First-boot files made for {$box->name}; login by ".($settings->key === null ? 'password' : 'key '.$settings->key->fingerprint()).'.');

        return view('card.files', [
            'box' => $box, 'files' => $files, 'fingerprint' => $settings->key?->fingerprint(),
            'findings' => $card->findings->and((new Linter)->lint(new CardFolder(array_combine(array_map(fn ($file): string => $file->name, $files), array_map(fn ($file): string => $file->text(), $files))))),
            'zip' => base64_encode(CardZip::of($files)), 'benchIsThere' => $this->bench->isThere(),
        ]);
    }
}
