<?php

declare(strict_types=1);

namespace App\Http\Controllers\BringUp;

use App\Addresses\Books;
use App\BringUp\RunStart;
use App\BringUp\StepTold;
use App\Models\Box;
use App\Models\Networks;
use App\Models\Run;
use Burrow\BringUp\Change;
use Burrow\Household\Dependency;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Changes of a box that is up begin here, when nothing speaks against what was typed. */
final class ChangeController
{
    public function __construct(private readonly RunStart $start)
    {
    }

    public function address(Request $request, Box $box): RedirectResponse
    {
        $to = $request->string('new_address')->value();

        return $this->begin(
            $box,
            Change::Address,
            $to,
            Books::addresses(Networks::of($box, $to), $box)->check($to),
            $box->address,
        );
    }

    public function name(Request $request, Box $box): RedirectResponse
    {
        $to = strtolower($request->string('new_name')->value());

        return $this->begin(
            $box,
            Change::Name,
            $to,
            Books::nameFindings($box->network, $to, $box),
            $box->name,
        );
    }

    /** Its steps are played again, from one of them on. */
    public function again(Request $request, Box $box): RedirectResponse
    {
        // One that is not in service takes up what was passed over; playing a part of its steps would not earn that.
        abort_unless($box->isInService(), 409, 'It is not in service.');

        return $this->told(
            $box,
            fn (): Run => $this->start->again($box, $request->string('again_from')->value()),
        );
    }

    /** One job less. */
    public function dropJob(Request $request, Household $house, Box $box): RedirectResponse
    {
        abort_unless($box->stage->stands(), 409, 'It is not up yet.');
        $job = $request->string('drop_job')->value();
        if ($box->jobs()->where('job', $job)->doesntExist()) {
            return redirect()->route('box', $box)->with('told', 'Choose one of its jobs.');
        }
        $holders = array_unique(
            array_column(
                array_filter($house->dependencies(), fn (Dependency $one): bool => $one->on === $box->name),
                'box',
            ),
        );

        return $this->told(
            $box,
            fn (): Run => $this->start->dropJob(
                $box,
                $job,
                implode(', ', $holders) ?: 'nobody that is on record',
            ),
        );
    }

    /** @param  callable(): Run  $begin */
    private function told(Box $box, callable $begin): RedirectResponse
    {
        try {
            return redirect()->route('run', $begin());
        } catch (StepTold $told) {
            return redirect()->route('box', $box)->with('told', $told->getMessage());
        }
    }

    private function begin(
        Box $box,
        Change $change,
        string $to,
        Findings $findings,
        ?string $now,
    ): RedirectResponse {
        abort_unless($box->stage->stands(), 409, 'It is not up yet; its naming page changes this.');
        if (! $box->isInService() && $box->passedOver()->exists()) {
            // Only the last run of a box can be taken up again, and that is to stay the one that brings it up.
            return redirect()
                ->route('box', $box)
                ->withInput()
                ->with(
                    'told',
                    'Something of its last run was passed over. Take that up first, then change it.',
                );
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

        return $this->told($box, fn (): Run => $this->start->alter($box, $change, $to));
    }
}
