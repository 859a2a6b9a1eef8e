<?php

declare(strict_types=1);

namespace App\Ground;

use App\Models\Box;
use App\Models\Dependency;
use Burrow\Ground\Feed;
use Burrow\Ground\PowerGraph;
use Illuminate\Support\Collection;

/** The boxes with what they hang on, as the core's graph. */
final class Power
{
    /** @param  Collection<int, Box>  $boxes with their dependencies and who provides them */
    public static function graph(Collection $boxes): PowerGraph
    {
        return new PowerGraph(
            array_values(
                $boxes
                    ->map(
                        fn (Box $box): Feed => new Feed(
                            $box->called(),
                            $box->fed_by ?? '',
                            array_values($box->dependencies->map(fn (Dependency $dependency): string => $dependency->provider->called())->all()),
                        ),
                    )
                    ->all(),
            ),
        );
    }
}
