<?php

declare(strict_types=1);

namespace App\Http\Controllers\Addresses;

use App\Addresses\Books;
use App\Models\Box;
use App\Models\Network;
use App\View\Pages;
use Burrow\Addresses\Draw\AddressBand;
use Burrow\Net\Ipv4;
use Illuminate\Contracts\View\View;

/** Who has which address, and what is free. */
final class AddressesController
{
    public function __invoke(): View
    {
        $network = Network::home();
        $boxes = Box::query()
            ->where('network_id', $network->id)
            ->whereNotNull('address')
            ->orderByRaw('INET_ATON(address)')
            ->get();
        $held = array_values(array_filter($boxes->map(fn (Box $box): ?Ipv4 => $box->ipv4())->all()));

        return view('addresses.index', [
            'network' => $network,
            'boxes' => Pages::of($boxes->all()),
            'free' => Books::addresses($network)->propose(),
            'band' => AddressBand::of($network->asLocalNetwork(), $held),
        ]);
    }
}
