<?php

declare(strict_types=1);

namespace App\Http\Controllers\Addresses;

use App\Models\Box;
use Burrow\Addresses\Find\KnownKeys;
use Burrow\Intake\Intake;
use Burrow\Intake\Keys\KeySeen;
use Burrow\Judgement\Findings;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** A desk computer's known_hosts file held against the keys that are kept; nothing of it is stored. */
final class KnownHostsController
{
    public function __invoke(Request $request, Intake $intake): View
    {
        abort_unless($request->user()?->isKeeper() === true, 403);
        $pasted = $request->string('known')->value();
        $reading = $intake->read('hostkeys', $pasted);

        return view('addresses.known', [
            'pasted' => $pasted,
            'entries' => count($reading->facts),
            'keys' => $pasted === '' ? [] : KnownKeys::against($reading->all(KeySeen::class), self::boxes()),
            'findings' => $pasted === '' ? Findings::of() : $reading->findings,
        ]);
    }

    /** @return array<string, array{names: list<string>, sha256: ?string}> every name and address that a box has or had */
    private static function boxes(): array
    {
        $boxes = [];
        foreach (
            Box::query()
                ->whereNotNull('name')
                ->with(['network', 'identities'])
                ->get() as $box
        ) {
            $names = ["{$box->name}", "{$box->name}.{$box->network->domain}", "{$box->name}.local"];
            $box->address === null || ($names[] = $box->address);
            foreach ($box->identities->where('kind', 'address') as $had) {
                $names[] = $had->value;
            }
            $boxes[$box->called()] = ['names' => array_values(array_unique($names)), 'sha256' => $box->host_key];
        }

        return $boxes;
    }
}
