<?php

declare(strict_types=1);

namespace App\Http\Controllers\Ground;

use App\Models\Network;
use Burrow\Ground\PlainHouse;
use Burrow\Household\Household;
use Illuminate\Contracts\View\View;

/** Is it on, whom to tell, what to do: for whoever lives here. */
final class PlainController
{
    public function __invoke(Household $house): View
    {
        return view('ground.plain', [
            'plain' => PlainHouse::of($house),
            'contact' => Network::contact(),
            'now' => now(Network::zone()),
        ]);
    }
}
