<?php

declare(strict_types=1);

namespace Burrow\Card\Read;

use Burrow\Judgement\Place;

/** A network block of wpa_supplicant.conf. */
final readonly class WpaNetwork
{
    /** @param  array<string, WpaField>  $fields */
    public function __construct(public Place $place, public array $fields)
    {
    }
}
