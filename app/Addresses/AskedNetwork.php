<?php

declare(strict_types=1);

namespace App\Addresses;

use App\Models\Network;
use Illuminate\Http\Request;

/** Which of the house's networks a page is about, and how a link leads back to it. */
final class AskedNetwork
{
    private function __construct()
    {
    }

    /** The network that a page is asked about; the home network where nothing was said. */
    public static function of(Request $request): Network
    {
        $id = $request->integer('network');

        return $id === 0 ? Network::home() : Network::query()->findOrFail($id);
    }

    /** @return array<string, int> what leads back to a network's page: nothing for the home network */
    public static function shown(Network $network): array
    {
        // A long page has many such links.
        $home = once(fn (): mixed => Network::query()->min('id'));

        return $network->id === $home ? [] : ['network' => $network->id];
    }
}
