<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\BenchClient;
use App\Card\CardRequest;
use App\Card\CardZip;
use App\Card\HouseKnowledge;
use App\Catalogue\Catalogue;
use App\Models\Box;
use App\Models\BoxJob;
use App\Models\JournalEntry;
use App\Models\Network;
use Burrow\Board\ImageKind;
use Burrow\Card\CardSet;
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
        $image = $this->image($box);
        $typed = ['user' => $box->user ?? 'warden', 'time_zone' => $network->time_zone, 'country' => $network->country ?? '', 'ssid_1' => $box->link === 'wireless' ? $network->ssids()[0] ?? '' : ''];

        return $this->sheet($box, $image, array_replace(CardRequest::blank($image), $typed), [$image->schools[0]->value], Findings::of());
    }

    public function make(Request $request, Box $box): View|RedirectResponse
    {
        $roles = array_values(array_filter($box->jobs->map(fn (BoxJob $job): ?Role => $this->catalogue->role($job->role))->all()));
        if ($box->name === null || $roles === []) {
            return redirect()->route('box.name', $box);
        }
        $network = Network::home();
        $image = $this->image($box);
        $known = HouseKnowledge::of($box, $network, $this->catalogue);
        $card = CardRequest::from($request, $image, $known);
        if ($card->findings->blocks()) {
            return $this->again($box, $image, $card, $card->findings);
        }
        $settings = $card->settings($box, $network, array_values(array_unique(array_merge(...array_map(fn (Role $role): array => $role->packages, $roles)))));
        $order = $card->order($image);
        $set = CardSet::of($settings, $order);
        if ($set->findings->blocks()) {
            return $this->again($box, $image, $card, $card->findings->and($set->findings));
        }
        $box->update([
            'user' => $settings->user, 'login' => $settings->key === null ? 'password' : 'key', 'login_fingerprint' => $settings->key?->fingerprint(),
            'instance' => $settings->instance, 'card_written_at' => now(),
        ]);
        JournalEntry::write($box, 'card', "First-boot files made for {$box->name}; login by ".($settings->key === null ? 'password' : 'key '.$settings->key->fingerprint()).'.');

        return view('card.files', [
            'box' => $box, 'set' => $set, 'fingerprint' => $settings->key?->fingerprint(),
            'findings' => $card->findings->and($set->findings)->and((new Linter)->lint($set->folder(), $known))->gravestFirst(),
            'zip' => base64_encode(CardZip::of($set->folder())), 'benchIsThere' => $this->bench->isThere(),
        ]);
    }

    private function again(Box $box, ImageKind $image, CardRequest $card, Findings $findings): View
    {
        $typed = str_contains($card->typed['public_key'], 'PRIVATE KEY') ? ['public_key' => ''] + $card->typed : $card->typed;

        return $this->sheet($box, $image, $typed, array_column($card->schools, 'value'), $findings);
    }

    /**
     * @param  array<string, string>  $typed
     * @param  list<string>  $schools
     */
    private function sheet(Box $box, ImageKind $image, array $typed, array $schools, Findings $findings): View
    {
        return view('card.edit', ['box' => $box, 'image' => $image, 'typed' => $typed, 'schools' => $schools, 'findings' => $findings, 'network' => Network::home()]);
    }

    private function image(Box $box): ImageKind
    {
        $images = $this->catalogue->shelf()->images;

        return $images[$box->image ?? ''] ?? $images['server-64'];
    }
}
