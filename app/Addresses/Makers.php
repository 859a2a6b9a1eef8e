<?php

declare(strict_types=1);

namespace App\Addresses;

/** Who has which first half of a hardware address, by the IEEE's list where Debian's package ieee-data has put it. */
final readonly class Makers
{
    private const LIST = '/usr/share/ieee-data/oui.txt';

    private const NAMES = 60;

    /**
     * @param  list<string>  $macs  in lower case with colons
     * @return array<string, string> "02:4b:1e" => the name in the list; those that stand in none are left out
     */
    public function of(array $macs): array
    {
        $halves = array_slice(
            array_unique(array_map(fn (string $mac): string => substr($mac, 0, 8), $macs)),
            0,
            self::NAMES,
        );
        $text = $halves !== [] && is_readable(self::LIST) ? (string) file_get_contents(self::LIST) : '';
        $makers = [];
        foreach ($text === '' ? [] : $halves as $half) {
            $at = strpos($text, strtoupper(str_replace(':', '-', $half)).'   (hex)');
            if ($at !== false) {
                $line = substr($text, $at, 200);
                $makers[$half] = trim((string) preg_replace('/^.*\(hex\)\s*([^\r\n]*).*$/s', '$1', $line));
            }
        }

        return $makers;
    }
}
