<?php

declare(strict_types=1);

namespace App\Http\Controllers\Ports;

use App\BringUp\StepFiles;
use App\Household\Kept;
use App\Models\Box as BoxRecord;
use App\Models\Network;
use App\Models\Service;
use App\Ports\PortForm;
use App\Ports\PortsPage;
use App\View\Pages;
use Burrow\BringUp\Playbook\HouseWords;
use Burrow\Household\Household;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** Which box listens where, for whom, behind which door, and what cannot be so. */
final class PortsController
{
    public function __invoke(Request $request, Kept $kept, StepFiles $files): View
    {
        $network = Network::home();
        $keeps = $request->user()?->isKeeper() === true;
        $named = $request->string('box')->value();
        $page = PortsPage::kept($kept, $network, $files, $named, Pages::at(), $keeps);

        return view('ports.index', [
            'page' => $page,
            'rows' => Pages::shown($page->rows, $page->of),
            'form' => $keeps ? $this->form($request, $page) : null,
            'keeps' => $keeps,
            'engine' => HouseWords::engine($network->engine)['engine'],
            'listingFindings' => is_array(session('listening_findings')) ? session('listening_findings') : [],
        ]);
    }

    /** The row that is changed, or a new one; null while none is. */
    private function form(Request $request, PortsPage $page): ?PortForm
    {
        $service = Service::query()->with('box')->find($request->integer('edit'));
        $of =
            $service === null
                ? ($request->boolean('add') && $page->box !== null
                    ? BoxRecord::query()->find($page->boxes[$page->box]['id'])
                    : null)
                : $service->box;

        return $of === null ? null : PortForm::shown(app(Household::class), $of, $service);
    }
}
