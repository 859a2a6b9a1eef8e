<?php

declare(strict_types=1);

namespace Burrow\Card\Read;

use Burrow\Judgement\Place;

/** A line `name=value` of wpa_supplicant.conf. */
final readonly class WpaField
{
    public function __construct(public string $value, public Place $place)
    {
    }
}
