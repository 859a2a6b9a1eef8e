<?php

declare(strict_types=1);

namespace Bench\Programs;

/** What is plugged in, and what the system says of itself. */
final class Devices implements Program
{
    private const SAYS = [
        'lsusb' => "Bus 001 Device 001: ID 1d6b:0002 root hub\nBus 001 Device 003: ID 0bda:2838 receiver\nBus 001 Device 004: ID 0d8c:0014 audio\nBus 001 Device 005: ID 0483:5740 serial\nBus 001 Device 006: ID 046d:0825 camera\n",
        'aplay' => "null\n    Discard all samples (playback) or generate zero samples (capture)\nhw:CARD=Device,DEV=0\n    USB Audio Device, USB Audio\n",
        'speaker-test' => "Playback device is hw:CARD=Device,DEV=0\n 0 - Front Left\n 1 - Front Right\nTime per period = 2.684\n",
        'rtl_test' => "Found 1 device(s):\n  0:  Generic, RTL2838, SN: 00000001\n",
        'mpc' => "volume: 40%   repeat: off   random: off   single: off   consume: off\n",
        'nmcli' => "IN-USE  SSID         MODE   CHAN  RATE       SIGNAL  SECURITY\n        Thistledown  Infra  6     130 Mbit/s  72      WPA2\n",
        'uname' => "aarch64\n",
        'free' => "               total        used        free      shared  buff/cache   available\nMem:            3793          98        3332           1         363        3623\n",
        'dpkg' => "arm64\n",
        'git' => "Cloning into 'source'...\n",
    ];

    public function names(): array
    {
        return array_keys(self::SAYS);
    }

    public function run(Call $call): Said
    {
        return Said::ok(self::SAYS[basename($call->words[0])]);
    }
}
