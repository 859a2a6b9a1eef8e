<?php

declare(strict_types=1);

namespace Burrow\Card;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;

/** What is said of passwords, keys and accounts, each with its one text; sources: docs/formulas/card.md. */
final class LoginFindings
{
    public static function keyDoesNotDecode(Place $place): Finding
    {
        return Finding::stop(
            'card.key_does_not_decode',
            'This public key does not decode.',
            'A character is missing or was added, and the box would refuse the login without a word.',
            'Paste the whole line of the .pub file: ssh-…, a long text, a name.',
            $place,
        );
    }

    public static function keyInUserDataDoesNotDecode(Place $place): Finding
    {
        return Finding::stop(
            'card.key_does_not_decode',
            'A public key in user-data does not decode.',
            'The box would refuse that login without a word.',
            'Paste the whole line of the .pub file again, in quotes.',
            $place,
        );
    }

    public static function keyLineBreaks(Place $place): Finding
    {
        return Finding::note(
            'card.key_line_breaks',
            'The key came with line breaks; they were taken out.',
            'It is one line.',
            '',
            $place,
        );
    }

    public static function keySmall(int $bits, Place $place): Finding
    {
        return Finding::warn(
            'card.key_small',
            "This RSA key has {$bits} bits.",
            'Below 2048 it is not to be used any more (NIST SP 800-131A), and some systems refuse it without a word.',
            'Make one with ssh-keygen -t ed25519.',
            $place,
        );
    }

    public static function keyTooOld(Place $place): Finding
    {
        return Finding::stop(
            'card.key_too_old',
            'Keys of the kind ssh-dss are refused by current systems.',
            'They were switched off in 2015.',
            'Make one with ssh-keygen -t ed25519.',
            $place,
        );
    }

    public static function loginForNobody(string $key, Place $place): Finding
    {
        return Finding::warn(
            'card.login_for_nobody',
            "“{$key}” at the margin is for the image's own account.",
            'users leaves that account out, so this goes to nobody.',
            'Put it under the account it is for, or add “- default” to users.',
            $place,
        );
    }

    public static function nobodyCanLogIn(Place $place): Finding
    {
        return Finding::stop(
            'card.nobody_can_log_in',
            'No account in user-data could log in.',
            'There is no key, and no password that is not locked.',
            'Add a public key, or hashed_passwd with lock_passwd: false.',
            $place,
        );
    }

    public static function passwordHashOld(Place $place): Finding
    {
        return Finding::warn(
            'card.password_hash_old',
            'This password is hashed in an old way (MD5).',
            'It works, and whoever finds the card tries millions of passwords a second.',
            'Make the hash anew with openssl passwd -6.',
            $place,
        );
    }

    public static function passwordInClear(Place $place): Finding
    {
        return Finding::warn(
            'card.password_in_clear',
            'A password stands in user-data as it is typed.',
            'Whoever finds the card can read it.',
            'Put its hash there instead: hashed_passwd, or chpasswd with type: hash.',
            $place,
        );
    }

    public static function passwordKnown(Place $place): Finding
    {
        return Finding::stop(
            'card.password_known',
            'This is the hash of a password that anyone tries first.',
            'NIST SP 800-63B asks to refuse those.',
            'Choose another and make its hash anew.',
            $place,
        );
    }

    public static function passwordAmongTheFirst(Place $place): Finding
    {
        return Finding::stop(
            'card.password_known',
            'This password is among the first that anyone tries.',
            'NIST SP 800-63B asks to refuse those.',
            'Take a few words in a row.',
            $place,
        );
    }

    public static function passwordLikeName(Place $place): Finding
    {
        return Finding::stop(
            'card.password_like_name',
            'This password is a name of the box or of its user, with little more.',
            'NIST SP 800-63B asks to refuse words that stand beside the password.',
            'Take a few words in a row.',
            $place,
        );
    }

    public static function passwordNotHashed(Place $place): Finding
    {
        return Finding::stop(
            'card.password_not_hashed',
            'This password is not a hash the box knows.',
            'The login would be refused.',
            'A hash begins with $6$ or $y$; make one with openssl passwd -6.',
            $place,
        );
    }

    public static function passwordShort(Place $place): Finding
    {
        return Finding::stop(
            'card.password_short',
            'The password has fewer than 8 characters.',
            'NIST SP 800-63B asks for 8 at least.',
            'Take a few words in a row.',
            $place,
        );
    }

    public static function passwordWalk(Place $place): Finding
    {
        return Finding::warn(
            'card.password_walk',
            'This password is a walk along the keys, or one letter over and over.',
            'Programs that guess try those before any word (NIST SP 800-63B: repetitive or sequential characters).',
            'Take a few words in a row.',
            $place,
        );
    }

    public static function passwordsRefused(Place $place): Finding
    {
        return Finding::stop(
            'card.passwords_refused',
            'Remote login takes no passwords here, and there is no key.',
            'ssh_pwauth is off: the password works at a screen with a keyboard only.',
            'Add a public key, or set ssh_pwauth: true.',
            $place,
        );
    }

    public static function privateKey(Place $place): Finding
    {
        return Finding::stop(
            'card.private_key',
            'This is the private key.',
            'It must never leave the desk computer, and it was not kept here.',
            'Paste the file that ends in .pub.',
            $place,
        );
    }

    public static function userName(string $user, Place $place): Finding
    {
        return Finding::stop(
            'card.user_name',
            "“{$user}” is no user name.",
            'Small letters, digits, - and _, beginning with a letter, 32 at most (useradd(8)).',
            'One short word, such as “warden”.',
            $place,
        );
    }

    public static function userRoot(Place $place): Finding
    {
        return Finding::stop(
            'card.user_root',
            'Remote login as root is refused on current systems.',
            'And every slip would be final.',
            'Choose a name of your own; it may use sudo.',
            $place,
        );
    }
}
