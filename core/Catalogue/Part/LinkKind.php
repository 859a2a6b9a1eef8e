<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Part;

/** How the box reaches the network. */
enum LinkKind: string
{
    case Wired = 'wired';
    case Wireless = 'wireless';
    case UsbWired = 'usb-wired';

    /** The board is plugged into a computer and appears there as a network device. */
    case UsbCable = 'usb-cable';

    public function isCable(): bool
    {
        return $this !== self::Wireless;
    }

    public function label(): string
    {
        return match ($this) {
            self::Wired => 'network cable',
            self::Wireless => 'Wi-Fi',
            self::UsbWired => 'network cable at a USB adapter',
            self::UsbCable => 'USB cable to a computer',
        };
    }
}
