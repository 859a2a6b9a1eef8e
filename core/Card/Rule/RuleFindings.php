<?php

declare(strict_types=1);

namespace Burrow\Card\Rule;

use Burrow\Card\Read\UserDataKind;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;

/** What the rules say of a card, each with its one text; sources: docs/formulas/card.md. */
final class RuleFindings
{
    public static function accountBlanks(Place $place): Finding
    {
        return Finding::stop(
            'card.account_blanks',
            'There are blanks or empty lines around the account.',
            'They become part of the name or of the hash, and the login is refused.',
            'Leave the one line alone, without blanks.',
            $place,
        );
    }

    public static function accountLine(Place $place): Finding
    {
        return Finding::stop(
            'card.account_line',
            'userconf.txt holds no “user:hash”.',
            'No account is made, and nobody can log in.',
            'One line: the user, a colon, the hash that “openssl passwd -6” prints.',
            $place,
        );
    }

    public static function defaultAccount(Place $place): Finding
    {
        return Finding::warn(
            'card.default_account',
            'Remote login is on with the account that every such image has.',
            'Its password stands in every guide; whoever is in the house network can log in until it is changed.',
            'Change the password at the first login, before anything else.',
            $place,
        );
    }

    public static function hostnameNotText(): Finding
    {
        return Finding::stop(
            'card.hostname_not_text',
            'YAML reads this name as something other than text.',
            'on, no, 0123 and the like need quotes.',
            'Put quotes around it.',
        );
    }

    public static function instanceUsed(Place $place): Finding
    {
        return Finding::stop(
            'card.instance_used',
            'This card was started under the same instance-id.',
            'A box takes first settings once for each instance-id; what was changed since then is not read.',
            'Give it a new one: any word that was not used before.',
            $place,
        );
    }

    public static function noCloudConfigLine(Place $place): Finding
    {
        return Finding::stop(
            'card.no_cloud_config_line',
            'The first line of user-data is not “#cloud-config”.',
            'The whole file is ignored: no name, no user, no remote login.',
            'Make it the very first line, without a space before or after the #.',
            $place,
        );
    }

    public static function noHostname(Place $place): Finding
    {
        return Finding::warn(
            'card.no_hostname',
            'user-data gives the box no name.',
            'It announces itself under the image\'s own name, like every other one.',
            'Add a line “hostname: ”.',
            $place,
        );
    }

    public static function noInstanceId(Place $place): Finding
    {
        return Finding::warn(
            'card.no_instance_id',
            'meta-data has no instance-id.',
            'The box cannot tell new settings from old ones.',
            'Add a line “instance-id: ” with a new word.',
            $place,
        );
    }

    public static function noMetaData(Place $place): Finding
    {
        return Finding::stop(
            'card.no_meta_data',
            'meta-data is missing.',
            'Without it user-data is not even looked at (cloud-init, NoCloud).',
            'Put a meta-data file with an instance-id beside it.',
            $place,
        );
    }

    public static function nobodyCanLogIn(Place $place): Finding
    {
        return Finding::stop(
            'card.nobody_can_log_in',
            'Remote login is on, and there is no account.',
            'Current releases have no default user.',
            'Add userconf.txt, or the declarative files.',
            $place,
        );
    }

    public static function remoteLoginOff(string $found, string $do, Place $place): Finding
    {
        return Finding::warn(
            'card.remote_login_off',
            $found,
            'A plain server image ships with it off, so port 22 is refused.',
            $do,
            $place,
        );
    }

    public static function remoteLoginUnsaid(string $found, string $do, Place $place): Finding
    {
        return Finding::note(
            'card.remote_login_unsaid',
            $found,
            'Many images ship with it on, some with it off; which image it is was not said.',
            "Say which, or be sure. {$do}",
            $place,
        );
    }

    public static function timeZone(mixed $zone, Place $place): Finding
    {
        return Finding::warn(
            'card.time_zone',
            (is_scalar($zone) ? "“{$zone}”" : 'This').' is no time zone.',
            'The box stays at its own, and every log and timer is off.',
            'A region and a city, such as Europe/London.',
            $place,
        );
    }

    public static function twoAccounts(string $name, string $other, Place $place): Finding
    {
        return Finding::warn(
            'card.two_accounts',
            "user-data makes the account “{$name}”, userconf.txt makes “{$other}”.",
            'Whichever school the image reads, the other account is missing, or both are there.',
            'Leave one of the two files.',
            $place,
        );
    }

    public static function twoNames(string $name, string $file, string $other, Place $place): Finding
    {
        return Finding::warn(
            'card.two_names',
            "user-data calls the box “{$name}”, {$file} calls it “{$other}”.",
            'It asks the router under one name and answers under the other.',
            'Write the same name in both.',
            $place,
        );
    }

    /** @param  string  $do  what to do when nothing like it is known */
    public static function unknownKey(string $key, ?string $meant, string $do, Place $place): Finding
    {
        return Finding::warn(
            'card.unknown_key',
            "“{$key}” means nothing to cloud-init at this place.",
            'It is passed over without a word.',
            $meant === null ? $do : "Perhaps “{$meant}” was meant.",
            $place,
        );
    }

    public static function userDataOfAnotherKind(UserDataKind $kind, Place $place): Finding
    {
        return Finding::note(
            'card.user_data_of_another_kind',
            "This user-data is {$kind->label()}.",
            'cloud-init takes it; what comes of it on the box cannot be told from here.',
            'Settings begin with “#cloud-config”.',
            $place,
        );
    }

    public static function valueKind(string $key, string $wants, string $do, Place $place): Finding
    {
        return Finding::warn(
            'card.value_kind',
            "“{$key}” wants {$wants} here.",
            'cloud-init notes an error in its log and does nothing of what stands under it; nobody sees that without logging in.',
            $do,
            $place,
        );
    }
}
