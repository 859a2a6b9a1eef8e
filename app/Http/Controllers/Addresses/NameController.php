<?php

declare(strict_types=1);

namespace App\Http\Controllers\Addresses;

use App\Addresses\Books;
use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Network;
use Burrow\Household\Stage;
use Burrow\Judgement\Findings;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Name and address of a box: checked while typing, and again when saved. */
final class NameController
{
    public function edit(Request $request, Box $box): string
    {
        $network = Network::home();
        $proposed = Books::addresses($network, $box)->propose();
        $name = $request->string('name', old('name', $box->name ?? ''))->trim()->value();
        $address = $request
            ->string('address', old('address', $box->address ?? (string) $proposed))
            ->trim()
            ->value();
        $typed = $request->hasAny(['name', 'address']) || $request->session()->hasOldInput();

        return view('boxes.name', [
            'box' => $box,
            'network' => $network,
            'name' => $name,
            'address' => $address,
            'working' => $proposed === null ? null : Books::addresses($network, $box)->proposalWorking($proposed),
            'nameFindings' => ($typed && $name !== '') || $request->session()->hasOldInput()
                    ? Books::nameFindings($network, $name, $box)
                    : Findings::of(),
            'addressFindings' => $typed ? Books::addresses($network, $box)->check($address) : Findings::of(),
        ])->fragmentIf($request->hasHeader('HX-Request') && $request->hasHeader('HX-Trigger-Name'), 'checks');
    }

    public function update(Request $request, Box $box): RedirectResponse
    {
        $network = Network::home();
        $name = $request->string('name')->trim()->value();
        $address = $request->string('address')->trim()->value();
        $findings = Books::nameFindings($network, $name, $box)->and(
            Books::addresses($network, $box)->check($address),
        );
        if ($findings->blocks()) {
            return redirect()
                ->route('box.name', $box)
                ->withInput(['name' => $name, 'address' => $address]);
        }
        try {
            $box->update([
                'name' => strtolower($name),
                'address' => $address,
                'stage' => $box->stage === Stage::Planned ? Stage::Named : $box->stage,
            ]);
        } catch (UniqueConstraintViolationException) {
            // Somebody else took it between the check and the saving; the check above now says so.
            return redirect()
                ->route('box.name', $box)
                ->withInput(['name' => $name, 'address' => $address]);
        }
        JournalEntry::write($box, 'address', "{$box->called()} is to have {$address}.");

        return redirect()->route('box.card', $box);
    }
}
