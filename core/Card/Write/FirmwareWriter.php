<?php

declare(strict_types=1);

namespace Burrow\Card\Write;

/** Adds lines to `config.txt`, the firmware's settings, under [all] so that every board reads them. */
final class FirmwareWriter
{
    /**
     * @param  string  $present  what config.txt holds now; empty when nobody looked
     * @param  bool  $sixtyFour  start the 64-bit kernel
     * @param  bool  $usbNetwork  the USB socket speaks as a device
     */
    public function write(string $present, bool $sixtyFour, bool $usbNetwork): CardFile
    {
        $kept = array_map(
            fn (string $line): CardLine => new CardLine($line),
            $present === '' ? [] : explode("\n", rtrim(str_replace("\r\n", "\n", $present), "\n")),
        );
        $new = array_filter(
            [
                $sixtyFour ? new CardLine('arm_64bit=1', 'Starts the 64-bit kernel, which containers want.') : null,
                $usbNetwork ? new CardLine('dtoverlay=dwc2', 'The USB socket then speaks as a device.') : null,
            ],
            fn (?CardLine $line): bool => $line !== null && ! self::holds($present, $line->text),
        );

        return new CardFile(
            'config.txt',
            $new === []
                ? $kept
                : [...$kept, new CardLine('[all]', 'What follows is for every board.'), ...array_values($new)],
        );
    }

    private static function holds(string $present, string $line): bool
    {
        return in_array($line, array_map(trim(...), explode("\n", $present)), true);
    }
}
