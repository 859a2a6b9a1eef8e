<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Part;

/**
 * What matters of a processor when files go through it: cores, bits, and how many milliseconds of one core
 * a megabyte (10⁶ bytes) costs in serving the file, in the network and in the USB driver.
 */
final readonly class Processor
{
    public function __construct(
        public int $cores,
        public int $bits,
        public float $serveMsPerMegabyte,
        public float $networkMsPerMegabyte,
        public float $usbMsPerMegabyte,
    ) {
    }
}
