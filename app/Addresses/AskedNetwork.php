<?php

declare(strict_types=1);

namespace App\Addresses;

use App\Models\Box;
use App\Models\Network;
use Illuminate\Http\Request;

/** Which of the house's networks a page is about, and how a link leads back to it. */
final class AskedNetwork
{
    private function __construct()
    {
    }

    /** The network that a page is asked about, or that of the box it is asked about; else the home network. */
    public static function of(Request $request): Network
    {
        $id = $request->integer('network');

        if ($id !== 0) {
            return Network::query()->findOrFail($id);
        }
        $box = Box::query()->find($request->integer('box'));

        return $box === null ? Network::home() : $box->network;
    }

    /** @return array<string, int> what leads back to a network's page: nothing for the home network */
    public static function shown(Network $network): array
    {
        // A long page has many such links.
        $home = once(fn (): mixed => Network::query()->min('id'));

        return $network->id === $home ? [] : ['network' => $network->id];
    }
}
