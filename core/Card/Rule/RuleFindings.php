<?php

declare(strict_types=1);

namespace Burrow\Card\Rule;

use Burrow\Card\Read\NetplanFault;
use Burrow\Card\Read\NetworkLink;
use Burrow\Card\Read\UserDataKind;
use Burrow\Catalogue\Part\ImageKind;
use Burrow\Catalogue\Part\OwnText;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;
use Burrow\Net\Ipv4;
use Burrow\Net\Prefix;

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

    public static function addressForm(mixed $text, Place $place): Finding
    {
        return Finding::stop(
            'card.address_form',
            (is_string($text) ? "“{$text}”" : 'This').' is no address with its prefix length.',
            'The file is refused as a whole, and the box stays silent.',
            'Such as 172.22.8.20/24.',
            $place,
        );
    }

    /** @param  string  $means  what that address stands for */
    public static function addressOfNetwork(Ipv4 $address, string $means, Prefix $prefix, Place $place): Finding
    {
        return Finding::stop(
            'card.address_of_network',
            "{$address} means {$means} in {$prefix}.",
            'No machine can have it, and the box stays silent.',
            'Choose an address between the first and the last.',
            $place,
        );
    }

    public static function allCommented(OwnText $form, Place $place): Finding
    {
        return Finding::stop(
            'card.all_commented',
            "{$form->file} says nothing: every line begins with #.",
            'The image starts with its own defaults, without network where it needs Wi-Fi.',
            'Take the # away from the lines that are yours.',
            $place,
        );
    }

    public static function bom(string $name, Place $place): Finding
    {
        return Finding::stop(
            'card.bom',
            "{$name} begins with an invisible mark (BOM).",
            'The first line is then not what it seems, and the file is ignored.',
            'Save it as UTF-8 without BOM.',
            $place,
        );
    }

    public static function bomInYaml(string $name, Place $place): Finding
    {
        return Finding::note(
            'card.bom',
            "{$name} begins with an invisible mark (BOM).",
            'YAML takes it here; before user-data the whole file would be ignored.',
            'Save it as UTF-8 without BOM.',
            $place,
        );
    }

    public static function cgroupMissing(Place $place): Finding
    {
        return Finding::warn(
            'card.cgroup_missing',
            'Containers cannot be held to a memory limit.',
            'On some images the account of memory is off; a container that grows takes the whole box down.',
            'Add “cgroup_memory=1 cgroup_enable=memory” to the one line.',
            $place,
        );
    }

    /** @param  non-empty-list<string>  $values */
    public static function cmdlineContradicts(string $name, array $values, Place $place): Finding
    {
        return Finding::stop(
            'card.cmdline_contradicts',
            "{$name}= stands there twice: ".implode(' and ', $values).'.',
            'Which of the two wins depends on the reader.',
            'Leave one.',
            $place,
        );
    }

    public static function cmdlineDoubled(string $name, Place $place): Finding
    {
        return Finding::note(
            'card.cmdline_doubled',
            "{$name}= stands there twice, with the same value.",
            'It does no harm, and shows that the line was edited twice.',
            'Leave one.',
            $place,
        );
    }

    /** @param  non-empty-array<int<0, max>, string>  $lines */
    public static function cmdlineLines(array $lines, Place $place): Finding
    {
        return Finding::stop(
            'card.cmdline_lines',
            'cmdline.txt has '.count($lines).' lines.',
            'Only the first is read; what stands below is lost, often the root partition.',
            'Join them with spaces into one line.',
            $place,
        );
    }

    public static function crlf(string $name, Place $place): Finding
    {
        return Finding::warn(
            'card.crlf',
            "{$name} has line ends of another desk system (CRLF).",
            'Some readers take the extra character for part of the value.',
            'Save it with LF line ends.',
            $place,
        );
    }

    public static function crlfInYaml(string $name, Place $place): Finding
    {
        return Finding::note(
            'card.crlf',
            "{$name} has line ends of another desk system (CRLF).",
            'YAML takes them; the files beside it do not, and the same editor made them.',
            'Save it with LF line ends.',
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

    public static function firmware32Bit(Place $place): Finding
    {
        return Finding::stop(
            'card.firmware_32_bit',
            'arm_64bit=0 starts the 32-bit kernel.',
            'A job on this box wants 64 bits; its programs do not start.',
            'Set it to 1, or take the line away on a 64-bit image.',
            $place,
        );
    }

    public static function firmwareContradicts(Place $place): Finding
    {
        return Finding::warn(
            'card.firmware_contradicts',
            'arm_64bit is set to 0 and to 1.',
            'The last one wins, and the next edit may change which that is.',
            'Leave one.',
            $place,
        );
    }

    public static function firmwareSection(string $section, Place $place): Finding
    {
        return Finding::warn(
            'card.firmware_section',
            "dtoverlay=dwc2 stands under [{$section}].",
            'It is read by the boards of that section only.',
            'Put it under [all].',
            $place,
        );
    }

    public static function gatewayOutside(Ipv4 $gateway, Prefix $prefix, ?Place $atGateway, Place $place): Finding
    {
        return Finding::stop(
            'card.gateway_outside',
            "The gateway {$gateway} is not in {$prefix}.",
            'The box cannot reach it, and so nothing outside.',
            'The router\'s address, or a prefix that holds both.',
            $atGateway ?? $place,
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

    public static function ipForm(string $wrong, Place $place): Finding
    {
        return Finding::stop(
            'card.ip_form',
            'ip= is malformed. '.$wrong,
            'The kernel passes it over, and the box has no address or the router\'s.',
            'ip=client::gateway:netmask:hostname:device:off (kernel documentation, nfsroot).',
            $place,
        );
    }

    public static function keyManagement(mixed $kind, Place $place): Finding
    {
        return Finding::warn(
            'card.key_management',
            (is_string($kind) ? "“{$kind}”" : 'This').
                ' is a way of keeping a network that not every release knows.',
            'netplan up to 0.106 (Debian 12) refuses the whole file for it, and the box stays silent.',
            'Let the router offer WPA2 as well, and write the key alone.',
            $place,
        );
    }

    /** @param  non-empty-list<NetworkLink>  $links */
    public static function linkWithoutAddress(array $links, Place $place): Finding
    {
        return Finding::stop(
            'card.link_without_address',
            "The link “{$links[0]->name}” gets no address.",
            'It asks the router for none and has none of its own.',
            'Add “dhcp4: true”.',
            $place,
        );
    }

    public static function radioWithoutAddress(NetworkLink $link, Place $place): Finding
    {
        return Finding::warn(
            'card.link_without_address',
            "The radio “{$link->name}” gets no address.",
            'It joins its network and stays silent there.',
            'Add “dhcp4: true”.',
            $place,
        );
    }

    public static function markerExtension(string $name, Place $place): Finding
    {
        return Finding::stop(
            'card.marker_extension',
            "“{$name}” is not the file “ssh”.",
            'Remote login stays off: the box looks for that name without extension and without a dot.',
            'Rename it; the file manager may hide the extension.',
            $place,
        );
    }

    /** @param  non-empty-list<string>  $markers */
    public static function markerNone(array $markers, Place $place): Finding
    {
        return Finding::stop(
            'card.marker_none',
            'No marker file says what is to start.',
            'The image starts nothing of its own; it waits for exactly one of: '.implode(', ', $markers).'.',
            'Put one of them there, empty and without extension.',
            $place,
        );
    }

    /** @param  non-empty-list<string>  $there */
    public static function markerSeveral(array $there, Place $place): Finding
    {
        return Finding::stop(
            'card.marker_several',
            'Several marker files: '.implode(', ', $there).'.',
            'The image wants exactly one; which of them wins is chance.',
            'Leave one, and move the others into a side folder.',
            $place,
        );
    }

    public static function modulesPlace(Place $place): Finding
    {
        return Finding::warn(
            'card.modules_place',
            'modules-load=dwc2,… does not stand right after rootwait.',
            'Elsewhere it is often passed over, and the USB cable carries no network (common practice).',
            'Move it there.',
            $place,
        );
    }

    public static function nameExtension(string $name, string $right, Place $place): Finding
    {
        return Finding::stop(
            'card.name_extension',
            "“{$name}” is not the file “{$right}”.",
            'It is not looked at: the name must be exact.',
            'Rename it; the file manager may hide the extension.',
            $place,
        );
    }

    public static function netplanRefuses(NetplanFault $fault, Place $place): Finding
    {
        return Finding::stop(
            'card.netplan_refuses',
            $fault->found,
            'The file is refused as a whole, and the box stays silent.',
            $fault->do,
            $place,
        );
    }

    /** @param  bool  $said  another version is written there */
    public static function networkVersion(bool $said, Place $place): Finding
    {
        return Finding::stop(
            'card.network_version',
            'network-config does not say “version: 2”.',
            'The links in it are not set up, and the box stays silent.',
            $said ? 'Write “version: 2”.' : 'Add that line at the top.',
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

    public static function noLinks(Place $place): Finding
    {
        return Finding::stop(
            'card.no_links',
            'network-config names no link.',
            'The box stays silent.',
            'Add an entry under “ethernets:”.',
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

    public static function noNetworks(Place $place): Finding
    {
        return Finding::stop(
            'card.no_networks',
            'The radio has no network to join.',
            'It stays silent.',
            'Add a name under “access-points:”.',
            $place,
        );
    }

    public static function noWpaNetworks(Place $place): Finding
    {
        return Finding::stop(
            'card.no_networks',
            'wpa_supplicant.conf names no network.',
            'Every line is a comment or of another kind, and the radio joins nothing.',
            'Take the comment marks away, or add a block “network={ … }”.',
            $place,
        );
    }

    public static function noPassphrase(Place $place): Finding
    {
        return Finding::stop(
            'card.no_passphrase',
            'A network block has neither a key nor “key_mgmt=NONE”.',
            'An open network must be called so; without it the box waits for a key it never gets.',
            'Add psk=… or key_mgmt=NONE.',
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

    public static function passphraseNotText(Place $place): Finding
    {
        return Finding::stop(
            'card.passphrase_not_text',
            'YAML reads this passphrase as something other than text.',
            'A number loses its leading zeros or changes its form, and the key is wrong.',
            'Put quotes around it.',
            $place,
        );
    }

    public static function passphraseReadable(Place $place): Finding
    {
        return Finding::note(
            'card.passphrase_readable',
            'The passphrase itself stands in the file.',
            'It works; whoever finds the card can read it.',
            'wpa_passphrase(8) makes a key of it that does as well.',
            $place,
        );
    }

    public static function pskForm(Place $place): Finding
    {
        return Finding::stop(
            'card.psk_form',
            'A key of 64 digits stands in quotes.',
            'In quotes it is a passphrase, and that has 63 characters at most.',
            'Take the quotes away.',
            $place,
        );
    }

    public static function pskNeitherTextNorKey(Place $place): Finding
    {
        return Finding::stop(
            'card.psk_form',
            'The key is neither a text in quotes nor 64 hexadecimal digits.',
            'The block is dropped, and the radio joins nothing.',
            'A passphrase goes in double quotes; a key has 64 digits and none.',
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

    public static function schoolNotRead(ImageKind $image, string $file, Place $place): Finding
    {
        return Finding::stop(
            'card.school_not_read',
            "{$image->label} does not read {$file}.",
            'It belongs to another way of giving first settings; what it says does not happen.',
            "It understands: {$image->schools[0]->label()}.",
            $place,
        );
    }

    public static function ssidEmpty(Place $place): Finding
    {
        return Finding::stop(
            'card.ssid_empty',
            'A network block has no name.',
            'The box finds nothing to join.',
            'Add a line “ssid="…"”.',
            $place,
        );
    }

    public static function ssidNotText(string $raw, Place $at): Finding
    {
        return Finding::stop(
            'card.ssid_not_text',
            "YAML reads the network name {$raw} as something other than text.",
            'on, no, 0123, 12:30 and the like need quotes; without them the box looks for another name.',
            'Put quotes around it.',
            $at,
        );
    }

    public static function ssidUnquoted(Place $place): Finding
    {
        return Finding::stop(
            'card.ssid_unquoted',
            'The network name stands without quotes.',
            'Without them it is read as hexadecimal digits, and the whole block is dropped.',
            'Put it in double quotes.',
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

    /**
     * @param  non-empty-list<string>  $kernel
     * @param  non-empty-list<string>  $given
     */
    public static function twoAddresses(array $kernel, array $given, Place $place): Finding
    {
        return Finding::stop(
            'card.two_addresses',
            "cmdline.txt gives the box {$kernel[0]}, network-config gives it {$given[0]}.",
            'It has both or either, and the record is wrong in any case.',
            'Leave one of the two.',
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

    public static function usbHalf(Place $place): Finding
    {
        return Finding::stop(
            'card.usb_half',
            'The kernel\'s line asks for a network over USB, and config.txt does not switch the socket over.',
            'The board is seen as nothing at all on the USB cable.',
            'Add “dtoverlay=dwc2” to config.txt, under [all].',
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
