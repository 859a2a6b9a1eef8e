<?php

declare(strict_types=1);

namespace App\House;

/**
 * What holds for the fields of all forms by their names, once: how long a text may be, whether the blanks at its ends
 * belong to it, whether it is a secret, whether it is a list. A field that is not named here is one trimmed text.
 *
 * Forms that say a shorter length have a message of their own for it; the lengths here are the budget of those that
 * have none, and their inputs carry the same number, so that nothing which a browser sends is cut.
 */
final class Fields
{
    /** Letters of a field that is not named below. */
    public const LONGEST = 40_000;

    /** Letters. What people paste from a tool is bounded by the one who reads it, which says so. */
    private const LENGTHS = [
        'q' => 60,
        'fed' => 60,
        'fed_by' => 60,
        'care_what' => 80,
        'care_every' => 4,
        'care_done' => 10,
        'words' => 80,
        'of' => 63,
        'skip' => 3,
        'day_from' => 10,
        'day_to' => 10,
        'since' => 10,
        'noted' => 500,
        'note_box' => 63,
        'mail_to' => 254,
        'mail_server' => 21,
        'hook' => 240,
        'token_kind' => 8,
        'report' => 262_144,
        'counted' => 16_384,
        'cut_prefix' => 1200,
        'cut_length' => 3,
        'show' => 90,
        'order' => 8,
        'log_text' => 2_000_000,
        'restarts' => 1,
        'again_from' => 60,
        'drop_job' => 40,
        'rebuild_name' => 63,
        'day' => 10,
        'thing_a' => 60,
        'thing_b' => 60,
        'trials' => 3,
        'heard' => 120,
        'contact' => 160,
        'login_name' => 40,
        'login_role' => 8,
        'login_password' => 200,
        'password_now' => 200,
        'password_new' => 200,
        'password_again' => 200,
        'backup_gb' => 8,
        'desk_name' => 60,
        'kept_until' => 10,
        'difference' => 220,
        'pair_folder' => 191,
        'proof_box' => 20,
        'proof_name' => 253,
        'proof_expected' => 10,
        'client' => 60,
        'first' => 60,
        'lease_hours' => 8,
        'count_total' => 12,
        'count_refused' => 12,
        'asks' => 200,
        'tls_name' => 253,
        'local' => 45,
        'pair_peer' => 60,
        'pair_keeps' => 4,
        'warranty_until' => 10,
        'part' => 160,
        'reason' => 170,
        'because' => 500,
        'name' => 80,
        'prefix' => 80,
        'router' => 80,
        'pool_first' => 80,
        'pool_last' => 80,
        'what_if_first' => 15,
        'what_if_last' => 15,
        'domain' => 80,
        'wan' => 80,
        'time_zone' => 80,
        'country' => 80,
        'currency' => 80,
        'ssids' => 480,
        'desk' => 120,
        'card' => 40,
        'file' => 120,
        'typed_name' => 200,
        'engine' => 40,
        'again' => 10,
        'by' => 5,
        'check' => 40,
        'answer' => 40,
        'cause' => 40,
        'label' => 80,
        'new_address' => 45,
        'new_name' => 63,
        'board' => 40,
        'job' => 40,
        'names_in' => 2,
        'bench_dns' => 80,
        'mbit' => 7,
        'client_name' => 253,
        'walk' => 2,
        'longer' => 160,
        'router_clients' => 160,
        'router_reservations' => 160,
        'router_forwards' => 160,
        'router_dns' => 160,
        'router_apply' => 160,
        'dns' => 200,
        'ipv6' => 49,
        'ranges' => 2000,
        'kept_at' => 120,
        'port' => 6,
        'protocol' => 3,
        'purpose' => 60,
        'bound' => 47,
        'inner_port' => 6,
        'scheme' => 8,
        'path' => 120,
        'reach' => 8,
        'access' => 12,
        'codes_kept' => 120,
        'sends_home' => 160,
        'clients' => 4000,
        'device' => 40,
        'holder' => 80,
        'sources' => 160,
        'outside_port' => 6,
        'inside_port' => 6,
        'review_on' => 10,
        'outside_name' => 253,
        'tunnel_net' => 18,
        'tunnel_port' => 6,
        'endpoint_key' => 60,
        'device_key' => 60,
        'wan_kind' => 12,
        'program' => 40,
        'backup_box' => 20,
        'backup_name' => 31,
        'database' => 12,
        'database_file' => 200,
        'school' => 40,
        'target_box' => 20,
        'target_host' => 253,
        'target_account' => 32,
        'target_port' => 6,
        'target_folder' => 200,
        'key_kept_at' => 120,
        'runs_at' => 5,
        'disks' => 120,
        'list_name' => 60,
        'list_origin' => 200,
        'list_because' => 200,
        'exception' => 253,
        'exception_because' => 200,
        'why_name' => 253,
        'hours_what' => 60,
        'hours_kind' => 8,
        'retire_name' => 64,
        'wipe_on' => 10,
        'hours_from' => 5,
        'hours_to' => 5,
        'through' => 63,
        'rate' => 6,
        'bus' => 6,
        'keep_daily' => 3,
        'keep_weekly' => 3,
        'keep_monthly' => 3,
        'keep_yearly' => 3,
        'what' => 160,
        'minutes' => 5,
        'opening' => 40,
        'key_kind' => 12,
        'key_holder' => 80,
        'key_for' => 20,
        'key_ends' => 10,
        'key_back' => 160,
        'note' => 160,
        'owner' => 120,
        'recovery' => 120,
        'saw' => 170,
        'pasted' => null,
        'known' => null,
        'before' => null,
        'after' => null,
        'yaml' => null,
    ];

    private const SECRETS = [
        'password',
        'first_password',
        'passphrase_1',
        'passphrase_2',
        'passphrase_3',
        'login_password',
        'password_now',
        'password_new',
        'password_again',
    ];

    /** Not trimmed: a card's file means what it says, and a network's name may end in a blank. Secrets neither. */
    private const AS_TYPED = [
        'files.user-data',
        'files.meta-data',
        'files.network-config',
        'yaml',
        'pasted',
        'ssid_1',
        'ssid_2',
        'ssid_3',
        'ssids',
    ];

    private const LISTS = ['ports', 'files', 'along', 'plugged', 'schools', 'hours_days', 'hours_boxes'];

    /** @return int<1, max>|null letters; null: as long as the one who reads it takes */
    public static function longest(string $name): ?int
    {
        return array_key_exists($name, self::LENGTHS) ? self::LENGTHS[$name] : self::LONGEST;
    }

    public static function cut(string $name, string $text): string
    {
        return mb_substr($text, 0, self::longest($name));
    }

    /** What a form's input carries, so that a browser types no more than is kept. */
    public static function maxlength(string $name): string
    {
        $longest = self::longest($name);

        return $longest === null || $longest === self::LONGEST ? '' : "maxlength=\"{$longest}\"";
    }

    public static function isList(string $name): bool
    {
        return in_array($name, self::LISTS, true);
    }

    /** @return list<string> the fields whose blanks at the ends belong to them */
    public static function asTyped(): array
    {
        return [...self::AS_TYPED, ...self::SECRETS];
    }

    /** @return list<string> what is never put into a session or back into a form */
    public static function neverKept(): array
    {
        return [...self::SECRETS, 'public_key', '_token'];
    }
}
