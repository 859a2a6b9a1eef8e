<?php

declare(strict_types=1);

namespace Burrow\Card\Write;

use InvalidArgumentException;

/** SHA-512 crypt ("$6$"), the form that the shadow file of the box keeps passwords in. 5000 rounds. */
final class Sha512Crypt
{
    /**
     * @param  string  $salt  1 to 16 characters from ./0-9A-Za-z, new for every password
     *
     * @throws InvalidArgumentException for any other salt
     */
    public static function hash(#[\SensitiveParameter] string $password, string $salt): string
    {
        if (preg_match('~^[./0-9A-Za-z]{1,16}$~D', $salt) !== 1) {
            throw new InvalidArgumentException('A salt is 1 to 16 characters from ./0-9A-Za-z.');
        }

        return crypt($password, '$6$'.$salt.'$');
    }
}
