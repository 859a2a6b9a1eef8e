<?php

declare(strict_types=1);

namespace App\Probe;

use Burrow\Intake\Neighbours\Neighbour;
use Burrow\Intake\Neighbours\NeighbourReader;

/**
 * Hardware addresses of machines that this one talked to just now, from the kernel's own list: only machines on the
 * same wire stand in it, and only for some minutes.
 */
final readonly class OwnNeighbours
{
    private const MOST = 1_000_000;

    public function __construct(private string $file = '/proc/net/arp')
    {
    }

    /** @return array<string, string> hardware address by IPv4 address; empty where there is no such list */
    public function macs(): array
    {
        $text = is_readable($this->file) ? file_get_contents($this->file, length: self::MOST) : false;
        $macs = [];
        foreach ($text === false ? [] : (new NeighbourReader())->read($text)->all(Neighbour::class) as $one) {
            if ($one->mac !== null) {
                $macs[$one->address] = $one->mac;
            }
        }

        return $macs;
    }
}
