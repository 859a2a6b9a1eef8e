<?php

declare(strict_types=1);

namespace App\Http\Controllers\Ports;

use App\BringUp\StepFiles;
use App\Models\Box as BoxRecord;
use App\Models\Network;
use App\Models\Service;
use App\Ports\PagePorts;
use App\Ports\PortForm;
use App\View\Pages;
use Burrow\BringUp\Playbook\HouseWords;
use Burrow\Household\Box;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;
use Burrow\Ports\Certificates;
use Burrow\Ports\Comparison;
use Burrow\Ports\Draw\PortsPicture;
use Burrow\Ports\Draw\StripPicture;
use Burrow\Ports\EngineGroups;
use Burrow\Ports\Filter\FilterAgainstLedger;
use Burrow\Ports\Ledger;
use Burrow\Ports\LedgerRow;
use Burrow\Ports\PlainPages;
use Burrow\Ports\PortTable;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** Which box listens where, for whom, behind which door, and what cannot be so. */
final class PortsController
{
    /** Boxes that one can choose between above the strip; with more, it is chosen from the table. */
    private const CHOICES = 12;

    public function __invoke(Request $request, Household $house, StepFiles $files): View
    {
        $rows = Ledger::of($house);
        $boxes = collect($house->boxes())->keyBy(fn (Box $box): string => $box->name);
        $named = $request->string('box')->value();
        $worst = $rows[0]->box ?? '';
        $box = $boxes[$named] ?? ($boxes[$worst] ?? $boxes->first());
        $shown =
            $named === '' || ! isset($boxes[$named])
                ? $rows
                : array_values(array_filter($rows, fn (LedgerRow $row): bool => $row->box === $named));
        $scheme = PagePorts::scheme();
        $free = $scheme->propose();
        $keeps = $request->user()?->isKeeper() === true;

        return view('ports.index', [
            'rows' => Pages::of($shown),
            'total' => count($rows),
            'listening' => count(array_unique(array_map(fn (LedgerRow $row): string => $row->box, $rows))),
            'boxes' => $boxes,
            'choices' => $boxes->keys()->take(self::CHOICES),
            'box' => $box,
            'only' => isset($boxes[$named]) ? $named : '',
            'plainPages' => $box === null ? [] : PlainPages::of($house, $box),
            'stepFiles' => $box === null ? [] : array_keys($files->of(BoxRecord::query()->findOrFail($box->id))),
            'picture' => PortsPicture::of($rows),
            'comparison' => $box === null ? null : Comparison::of($house, $box),
            'filter' => $box === null ? null : $house->packetFilter($box),
            'strip' => $box === null ? null : StripPicture::of(Comparison::of($house, $box)),
            'findings' => self::findings($house, $keeps),
            'form' => $keeps ? $this->form($request, $house, $box) : null,
            'keeps' => $keeps,
            'engine' => HouseWords::engine(Network::home()->engine)['engine'],
            'free' => $free,
            'freeBecause' => $scheme->because($free),
            'listingFindings' => is_array(session('listening_findings')) ? session('listening_findings') : [],
        ]);
    }

    private static function findings(Household $house, bool $keeps): Findings
    {
        $findings = (new PortTable())
            ->findings($house)
            ->and((new FilterAgainstLedger())->findings($house)->list)
            ->and((new Certificates())->findings($house)->list);

        return $keeps ? $findings->and((new EngineGroups())->findings($house)->list) : $findings;
    }

    /** The row that is changed, or a new one; null while none is. */
    private function form(Request $request, Household $house, ?Box $box): ?PortForm
    {
        $service = Service::query()->with('box')->find($request->integer('edit'));
        $of =
            $service === null
                ? ($request->boolean('add') && $box !== null
                    ? BoxRecord::query()->find($box->id)
                    : null)
                : $service->box;

        return $of === null ? null : PortForm::shown($house, $of, $service);
    }
}
