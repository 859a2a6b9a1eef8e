<?php

declare(strict_types=1);

namespace Burrow\Intake;

use Burrow\Intake\Keys\KeySeen;
use Burrow\Intake\Updates\UpgradeSummary;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;
use Burrow\Text\TooMuch;

/** Every judgement of the readers, each with its one text; docs/formulas/intake.md lists them with their sources. */
final class IntakeFindings
{
    public static function deviceNotRead(int $unread, string $lacks, string $do): Finding
    {
        return Finding::note(
            'intake.device_not_read',
            ($unread === 1 ? 'A device in the list has ' : "{$unread} devices in the list have ").$lacks.'.',
            $unread === 1 ? 'It was left out.' : 'They were left out.',
            $do,
        );
    }

    public static function leaseNotPrivate(string $first, int $count): Finding
    {
        return Finding::warn(
            'intake.lease_not_private',
            $first.
                ($count === 1 ? ' is' : ' and '.($count - 1).' more are').
                ' outside of the private ranges.',
            'A home router hands out addresses of 10/8, 172.16/12 or 192.168/16 (RFC 1918); nothing else is ever asked from here.',
            'Look whether this is the list of your router.',
        );
    }

    public static function lineNotRead(string $kind, int $line, string $why): Finding
    {
        return Finding::note(
            'intake.line_not_read',
            "Line {$line} was passed over: {$why}.",
            'The rest was read.',
            '',
            Place::file($kind, $line),
        );
    }

    public static function moreLinesNotRead(int $more): Finding
    {
        return Finding::note(
            'intake.line_not_read',
            $more === 1 ? 'And one more line was passed over.' : "And {$more} more lines were passed over.",
            $more === 1 ? 'It has the same kind of trouble.' : 'They have the same kind of trouble.',
        );
    }

    public static function noHostKey(): Finding
    {
        return Finding::warn(
            'intake.no_host_key',
            'No host key was found.',
            'Either nothing answered on port 22, or only the error was pasted.',
            'Run ssh-keyscan again and paste all of it.',
        );
    }

    public static function hostKeyChanged(KeySeen $seen): Finding
    {
        return Finding::warn(
            'intake.host_key_changed',
            ($seen->host ?? 'The host').
                ' shows another key than before'.
                ($seen->line === null ? '.' : ": line {$seen->line} of {$seen->file} holds the old one."),
            'That is so when its card was written anew, and also when somebody else answers in its place.',
            'Was its card written anew since? Then remove that one entry. If not: stop, and look who answers.',
        );
    }

    public static function noLease(string $address, string $interface): Finding
    {
        return Finding::warn(
            'intake.no_lease',
            "{$interface} gave itself {$address}: no lease came.",
            'An address that begins with 169.254 is taken by the machine when nobody hands one out (RFC 3927).',
            'Look at the cable, the radio\'s passphrase and the router; then ask for a lease again.',
        );
    }

    public static function noLeases(): Finding
    {
        return Finding::warn(
            'intake.no_leases',
            'No lease was found in this text.',
            'A router\'s list names at least the desk computer you sit at.',
            'Paste the whole list, or the lease file itself.',
        );
    }

    public static function noUpgradeSummary(): Finding
    {
        return Finding::warn(
            'intake.no_upgrade_summary',
            'The line that counts the packages is missing.',
            'It reads “… upgraded, … newly installed, …” and stands before the scrolling part.',
            'Paste from the command on.',
        );
    }

    public static function noUuid(): Finding
    {
        return Finding::stop(
            'intake.no_uuid',
            'There is no UUID in this text.',
            'The mount line goes by the UUID; without it the box would mount whatever comes first.',
            'Run the blkid line again and paste its answer.',
        );
    }

    public static function notDiskutil(): Finding
    {
        return Finding::stop(
            'intake.not_diskutil',
            'This is not what diskutil list -plist prints.',
            'The property list is the form that can be read without guessing.',
            'Run the command as shown and paste everything from <?xml to </plist>.',
        );
    }

    public static function notGetDisk(): Finding
    {
        return Finding::stop(
            'intake.not_get_disk',
            'This is not what Get-Disk | ConvertTo-Json prints.',
            'The list in brackets is the form that can be read without guessing.',
            'Run the command as shown and paste everything from the first bracket to the last.',
        );
    }

    public static function notLsblkJson(): Finding
    {
        return Finding::stop(
            'intake.not_lsblk_json',
            'This is not what lsblk --json prints.',
            'The list in curly brackets is the one that can be read without guessing.',
            'Run the command as shown, with --json, and paste everything from the first { to the last }.',
        );
    }

    public static function notText(): Finding
    {
        return Finding::stop(
            'intake.not_text',
            'This is a packed or binary file, not text.',
            'The readers look at what a tool printed, as text.',
            'Unpack it, open the text inside and paste that.',
        );
    }

    /** @param  list<string>  $addresses */
    public static function oneMachineTwoLeases(string $mac, array $addresses): Finding
    {
        return Finding::note(
            'intake.one_machine_two_leases',
            "{$mac} holds ".implode(' and ', array_slice($addresses, 0, 4)).'.',
            'An older lease may not have run out yet.',
            'The newest one counts.',
        );
    }

    public static function overBudget(string $kind, TooMuch $tooMuch): Finding
    {
        return Finding::stop(
            'intake.over_budget',
            'The text was not looked at: '.$tooMuch->because.'.',
            'No tool read here prints that for a home network.',
            'Paste only the part about this network.',
            $tooMuch->line === null ? null : Place::file($kind, $tooMuch->line),
        );
    }

    public static function refused(string $found, int $line, string $text, string $why, string $do): Finding
    {
        return Finding::stop(
            'intake.refused',
            $found,
            'Line '.$line.' says “'.mb_strimwidth($text, 0, 120, '…')."”. {$why}",
            $do,
            Place::field('pasted'),
        );
    }

    public static function tooManyDevices(int $most): Finding
    {
        return Finding::warn(
            'intake.too_many_devices',
            'Only the first '.$most.' devices of this list were read.',
            'A desk computer has a dozen; what stands further down may be the disk you look for.',
            'Run the command again and paste its answer once.',
        );
    }

    /** @param  list<string>  $known */
    public static function unknownKind(string $kind, array $known): Finding
    {
        return Finding::stop(
            'intake.unknown_kind',
            "There is no reader for “{$kind}”.",
            'Every kind of text has a reader of its own.',
            'Known kinds: '.implode(', ', $known).'.',
        );
    }

    public static function upgraded(UpgradeSummary $summary): Finding
    {
        return Finding::fine(
            'intake.upgraded',
            "{$summary->upgraded} packages upgraded, {$summary->installed} new.",
        );
    }

    public static function uuidRead(string $uuid): Finding
    {
        return Finding::fine('intake.uuid_read', "The file system is {$uuid}.");
    }

    public static function wrongDisk(): Finding
    {
        return Finding::stop(
            'intake.wrong_disk',
            'The chain stopped before its end.',
            'Letters change between starts, so this may be another disk; or it is mounted, or a command failed.',
            'Take the step back, list the disks again, and look at the line before “STOPPED”.',
        );
    }

    public static function noTunnel(): Finding
    {
        return Finding::stop(
            'intake.no_tunnel',
            'No endpoint stands in this text.',
            'It should begin with “interface:”.',
            'Type the command with sudo, and paste the whole of what it prints.',
        );
    }

    public static function privateKeyPasted(): Finding
    {
        return Finding::warn(
            'intake.private_key_pasted',
            'A private key stands in this text.',
            'It was passed by and is kept nowhere here; whoever reads the text can come in with it.',
            'Paste files without their PrivateKey lines. If the text went anywhere else, make a new key.',
        );
    }

    public static function notThis(string $kind, string $tools): Finding
    {
        return Finding::stop(
            'intake.not_this',
            "Nothing of the kind “{$kind}” stands in this text.",
            "It is what these print: {$tools}.",
            'Paste the whole of what one of them printed.',
        );
    }

    /** @param  list<string>  $kinds */
    public static function noKindFits(array $kinds): Finding
    {
        return Finding::stop(
            'intake.no_kind_fits',
            'No reader knows this text by its looks.',
            'Readers: '.implode(', ', $kinds).'.',
            'Name the kind.',
        );
    }
}
