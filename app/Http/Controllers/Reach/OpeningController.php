<?php

declare(strict_types=1);

namespace App\Http\Controllers\Reach;

use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\Opening;
use App\Reach\OpeningForm;
use Burrow\Household\Household;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Openings: written down with reason, owner and the day to look again; changed; closed. */
final class OpeningController
{
    public function store(Request $request, Household $house): RedirectResponse
    {
        return $this->save($request, $house, null);
    }

    public function update(Request $request, Household $house, Opening $opening): RedirectResponse
    {
        if ($request->integer('revision') !== (int) $opening->revision) {
            return $this->changedMeanwhile($opening);
        }

        return $this->save($request, $house, $opening);
    }

    public function close(Opening $opening): RedirectResponse
    {
        JournalEntry::write(
            $opening->box,
            'opening',
            "The way in by {$opening->outside_port} {$opening->protocol} is closed in the record.",
        );
        $opening->delete();

        return redirect()
            ->route('reach')
            ->with('told', 'It is out of the record. Close it in the router, too, and try it from outside.');
    }

    private function changedMeanwhile(Opening $opening): RedirectResponse
    {
        return redirect()
            ->route('reach', ['edit' => $opening->id])
            ->with(
                'told',
                'This opening was changed in another window meanwhile; nothing was written over.',
            );
    }

    private function save(Request $request, Household $house, ?Opening $opening): RedirectResponse
    {
        $typed = OpeningForm::typed($request);
        $form = OpeningForm::judged($house, $typed);
        $back = redirect()
            ->to(
                route('reach', $opening === null ? ['add' => 1] : ['edit' => $opening->id]).'#opening-form',
            )
            ->withInput($typed);
        $box = Box::query()
            ->where('network_id', Network::home()->id)
            ->find((int) $typed['box']);
        if ($form->blocks() || $box === null) {
            return $back;
        }
        $values = [
            'box_id' => $box->id,
            'outside_port' => (int) $typed['outside_port'],
            'inside_port' => (int) $typed['inside_port'],
            'protocol' => $typed['protocol'],
            'purpose' => $typed['purpose'],
            'reason' => $typed['reason'],
            'owner' => $typed['owner'] ?: null,
            'sources' => $typed['sources'] ?: null,
            'review_on' => $typed['review_on'],
        ];
        $isSaved = true;
        try {
            $opening === null
                ? Opening::query()->create($values + ['since' => now()])
                : ($isSaved = $opening->changeFrom($request->integer('revision'), $values));
        } catch (UniqueConstraintViolationException) {
            return $back->with('told', 'The router leads that port somewhere already; it has each once.');
        }
        if ($opening !== null && ! $isSaved) {
            return $this->changedMeanwhile($opening);
        }
        JournalEntry::write(
            $box,
            'opening',
            "A way in by {$typed['outside_port']} {$typed['protocol']} to {$box->called()} {$typed['inside_port']}: {$typed['reason']}",
        );

        return redirect()->route('reach');
    }
}
