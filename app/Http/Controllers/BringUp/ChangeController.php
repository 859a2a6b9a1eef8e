<?php

declare(strict_types=1);

namespace App\Http\Controllers\BringUp;

use App\Addresses\Books;
use App\BringUp\RunDesk;
use App\Models\Box;
use App\Models\Network;
use Burrow\BringUp\Change;
use Burrow\Judgement\Findings;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Changes of a box that is up begin here, when nothing speaks against what was typed. */
final class ChangeController
{
    public function __construct(private readonly RunDesk $desk)
    {
    }

    public function address(Request $request, Box $box): RedirectResponse
    {
        $to = $request->string('new_address')->value();

        return $this->begin(
            $box,
            Change::Address,
            $to,
            Books::addresses(Network::home(), $box)->check($to),
            $box->address,
        );
    }

    public function name(Request $request, Box $box): RedirectResponse
    {
        $to = strtolower($request->string('new_name')->value());

        return $this->begin($box, Change::Name, $to, Books::nameFindings(Network::home(), $to, $box), $box->name);
    }

    private function begin(Box $box, Change $change, string $to, Findings $findings, ?string $now): RedirectResponse
    {
        abort_unless($box->stage->stands(), 409, 'It is not up yet; its naming page changes this.');
        if (! $box->isInService() && $box->passedOver()->exists()) {
            // Only the last run of a box can be taken up again, and that is to stay the one that brings it up.
            return redirect()
                ->route('box', $box)
                ->withInput()
                ->with('told', 'Something of its last run was passed over. Take that up first, then change it.');
        }
        if ($findings->blocks() || $to === $now) {
            return redirect()
                ->route('box', $box)
                ->withInput()
                ->with(
                    'told',
                    $to === $now
                        ? 'That is what it has already.'
                        : "{$findings->list[0]->found} {$findings->list[0]->advice()}",
                );
        }

        return redirect()->route('run', $this->desk->alter($box, $change, $to));
    }
}
