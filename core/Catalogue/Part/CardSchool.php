<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Part;

/** The ways of giving a box its first settings. */
enum CardSchool: string
{
    case Declarative = 'declarative';
    case BootFiles = 'boot-files';
    case KernelLine = 'kernel-line';
    case Firmware = 'firmware';
    case UsbCable = 'usb-cable';
    case Marker = 'marker';
    case OwnText = 'own-text';
    case Dialog = 'dialog';
    case Menu = 'menu';
    case Screen = 'screen';

    public function label(): string
    {
        return match ($this) {
            self::Declarative => 'declarative files: user-data, meta-data, network-config',
            self::BootFiles => 'files on the boot partition: ssh, userconf.txt, wpa_supplicant.conf',
            self::KernelLine => 'the kernel\'s line: cmdline.txt',
            self::Firmware => 'the firmware\'s settings: config.txt',
            self::UsbCable => 'network over the USB cable',
            self::Marker => 'a marker file that chooses what starts',
            self::OwnText => 'the image\'s own text file',
            self::Dialog => 'the writing tool\'s own dialog: a sheet to type from',
            self::Menu => 'the box\'s text menu after the first login',
            self::Screen => 'at a screen with a keyboard',
        };
    }

    /** It gives the box an account; of those, one is enough. */
    public function makesAccount(): bool
    {
        return in_array($this, [self::Declarative, self::BootFiles, self::Dialog, self::Screen], true);
    }
}
