<?php

declare(strict_types=1);

namespace Burrow\Net;

/** Keyboard layouts with two letters, as xkeyboard-config of Debian 12 lists them (base.lst). */
final class Keyboard
{
    private const LAYOUTS =
        'af al am at au az ba bd be bg br bt bw by ca cd ch cm cn cz de dk dz ee es et fi fo fr gb ge gh gn gr hr hu id ie il in iq ir is it jp jv ke kg kh kr kz '.
        'la lk lt lv ma md me mk ml mm mn mt mv my ng nl no np ph pk pl pt ro rs ru se si sk sn sy tg th tj tm tr tw tz ua us uz vn za';

    public static function isKnown(string $layout): bool
    {
        return in_array($layout, explode(' ', self::LAYOUTS), true);
    }
}
