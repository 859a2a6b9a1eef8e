<?php

declare(strict_types=1);

namespace App\Http\Controllers\Addresses;

use App\Models\Box;
use App\Models\Network;
use App\Models\Networks;
use Burrow\Household\Household;
use Illuminate\Contracts\View\View;

/** The network on paper: who has which address by which hardware address, and which ways lead in. */
final class RegisterController
{
    private const MOST = 500;

    public function __invoke(Household $house): View
    {
        $network = Network::home();

        return view('addresses.register', [
            'network' => $network,
            'networks' => Networks::all(),
            'boxes' => Box::query()
                ->here()
                ->whereNotNull('name')
                ->with('jobs')
                ->orderByRaw('address IS NULL, INET_ATON(address), name')
                ->limit(self::MOST)
                ->get(),
            'openings' => $house->openings(),
            'ids' => array_column($house->boxes(), null, 'id'),
            'now' => now(Network::zone()),
        ]);
    }
}
