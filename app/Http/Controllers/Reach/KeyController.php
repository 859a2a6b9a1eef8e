<?php

declare(strict_types=1);

namespace App\Http\Controllers\Reach;

use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\WayIn;
use Burrow\Household\Household;
use Burrow\Reach\TypedKey;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Keys that programs hold, and accounts: who has one, for what, until when, how it is taken back. Never the key. */
final class KeyController
{
    public const FIELDS = [
        'program',
        'key_kind',
        'key_holder',
        'key_for',
        'key_ends',
        'key_back',
        'starts_alone',
    ];

    public function __invoke(Request $request, Household $house): RedirectResponse
    {
        $typed = [];
        foreach (self::FIELDS as $field) {
            $typed[$field] = $request->string($field)->value();
        }
        $key = TypedKey::of($house, $typed);
        $back = redirect()->to(route('reach').'#key-form');
        if ($key->findings->blocks()) {
            return $back->withInput($request->only(self::FIELDS));
        }
        $network = Network::home();
        $name = trim($typed['program']);
        try {
            WayIn::query()->create([
                'network_id' => $network->id,
                'device' => $name,
                'holder' => trim($typed['key_holder']),
                'kind' => $key->kind,
                'service_id' => $key->service?->id,
                'given_on' => now(),
                'ends_on' => $key->ends,
                'starts_alone' => $request->boolean('starts_alone'),
                'taken_back_by' => trim($typed['key_back']),
            ]);
        } catch (UniqueConstraintViolationException) {
            return $back
                ->withInput($request->only(self::FIELDS))
                ->with(
                    'told',
                    "There is one of {$name} already; take that back first, or call this one otherwise.",
                );
        }
        JournalEntry::write($network, 'key', "{$name} has a key for {$key->service?->purpose}.");

        return redirect()
            ->to(route('reach').'#who')
            ->with('told', "{$name} is written down. Its key itself is kept nowhere here.");
    }
}
