<?php

declare(strict_types=1);

namespace App\Http\Controllers\Ground;

use App\Models\Network;
use Burrow\Ground\Draw\Dwellings;
use Burrow\Ground\Draw\Gathered;
use Burrow\Ground\Draw\GroundPlan;
use Burrow\Ground\Without;
use Burrow\Household\Box;
use Burrow\Household\Household;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;

/** What if a box were off, or a switch: what goes dark, who notices, what goes on. Nothing is changed by asking. */
final class WithoutController
{
    public function __invoke(Request $request, Household $house): View
    {
        $boxes = array_map(fn (Box $one): string => $one->name, $house->standing());
        $power = $house->power($house->standing());
        $box = $request->string('off')->value();
        $switch = $request->string('switch')->value();
        $off = $switch !== '' && in_array($switch, $power->switches(), true) ? $power->goDark($switch) : [];
        in_array($box, $boxes, true) && ($off[] = $box);
        $without = Without::of($house, $off);

        return view('ground.without', [
            'boxes' => $boxes,
            'switches' => $power->switches(),
            'box' => $box,
            'switch' => $switch,
            'without' => $without,
            'network' => Network::home(),
            'ids' => array_column($house->boxes(), 'id', 'name'),
            'picture' => GroundPlan::draw(
                Gathered::of(Dwellings::of($house, [])),
                $request->has('narrow') ? GroundPlan::NARROW : GroundPlan::WIDE,
            ),
            'order' => $switch === '' ? [] : $power->goDark($switch),
        ]);
    }
}
