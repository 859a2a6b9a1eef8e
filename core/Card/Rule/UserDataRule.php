<?php

declare(strict_types=1);

namespace Burrow\Card\Rule;

use Burrow\Card\CardContext;
use Burrow\Card\CardDocument;
use Burrow\Card\CardFolder;
use Burrow\Card\LoginCheck;
use Burrow\Card\PlainScalar;
use Burrow\Net\Hostname;
use Burrow\Net\TimeZone;
use Burrow\Sheet\Finding;
use Burrow\Sheet\Findings;
use Burrow\Sheet\Place;

/** The checks of `user-data`: is it read at all, can somebody log in, is remote login on, is the name one. */
final class UserDataRule implements CardRule
{
    /** Top-level keys of cloud-init's modules that make sense on a card. */
    private const KEYS = [
        'apt',
        'bootcmd',
        'chpasswd',
        'disable_root',
        'disk_setup',
        'final_message',
        'fqdn',
        'fs_setup',
        'groups',
        'growpart',
        'hostname',
        'keyboard',
        'locale',
        'manage_etc_hosts',
        'mounts',
        'ntp',
        'output',
        'package_reboot_if_required',
        'package_update',
        'package_upgrade',
        'packages',
        'password',
        'phone_home',
        'power_state',
        'prefer_fqdn_over_hostname',
        'preserve_hostname',
        'resize_rootfs',
        'runcmd',
        'ssh',
        'ssh_authorized_keys',
        'ssh_deletekeys',
        'ssh_genkeytypes',
        'ssh_keys',
        'ssh_pwauth',
        'swap',
        'timezone',
        'user',
        'users',
        'write_files',
    ];

    public function lint(CardFolder $folder, CardContext $context): Findings
    {
        if (! $folder->has('user-data')) {
            return Findings::of();
        }
        $text = $folder->text('user-data');
        $firstLine = strtok(str_replace("\r", '', (string) preg_replace('/^\xEF\xBB\xBF/', '', $text)), "\n");
        if ($firstLine === false || rtrim($firstLine) !== '#cloud-config') {
            return Findings::of(
                Finding::stop(
                    'card.no_cloud_config_line',
                    'The first line of user-data is not “#cloud-config”.',
                    'The whole file is ignored: no name, no user, no remote login.',
                    'Make it the very first line, without a space before or after the #.',
                    Place::file('user-data', 1),
                ),
            );
        }
        $document = CardDocument::read('user-data', $text);
        if ($document->data === null) {
            return $document->findings;
        }

        return $this->keys($document, $document->data)
            ->and($this->name($document, $document->data, $context))
            ->and($this->timeZone($document, $document->data))
            ->and($this->logins($document, $document->data))
            ->and($this->remoteLogin($document->data));
    }

    /** @param  array<mixed>  $data */
    private function keys(CardDocument $document, array $data): Findings
    {
        $findings = Findings::of();
        foreach (array_keys($data) as $key) {
            if (! in_array($key, self::KEYS, true)) {
                $findings = $findings->and([
                    Finding::warn(
                        'card.unknown_key',
                        "“{$key}” means nothing to cloud-init at this place.",
                        'It is passed over without a word.',
                        $this->nearest((string) $key),
                        $document->place([$key]),
                    ),
                ]);
            }
        }

        return $findings;
    }

    private function nearest(string $key): string
    {
        $best = '';
        foreach (self::KEYS as $known) {
            if (levenshtein(substr($key, 0, 60), $known) <= 2) {
                $best = $known;
            }
        }

        return $best === '' ? 'It may belong under another key; look at the indentation.' : "Perhaps “{$best}” was meant.";
    }

    /** @param  array<mixed>  $data */
    private function name(CardDocument $document, array $data, CardContext $context): Findings
    {
        if (! array_key_exists('hostname', $data)) {
            return Findings::of(
                Finding::warn(
                    'card.no_hostname',
                    'user-data gives the box no name.',
                    'It announces itself under the image\'s own name, like every other one.',
                    'Add a line “hostname: ”.',
                    Place::file('user-data', 1),
                ),
            );
        }
        $name = $data['hostname'];
        $checked =
            is_string($name) && PlainScalar::isText($document->raw(['hostname']))
                ? Hostname::check($name)->and(
                    in_array(strtolower($name), $context->names, true)
                        ? [
                            Finding::stop(
                                'addresses.name_taken',
                                "Another box is called “{$name}”.",
                                'Both announce the same name, and neither is found for sure.',
                                'Choose another.',
                            ),
                        ]
                        : [],
                )
                : Findings::of(
                    Finding::stop(
                        'card.hostname_not_text',
                        'YAML reads this name as something other than text.',
                        'on, no, 0123 and the like need quotes.',
                        'Put quotes around it.',
                    ),
                );

        return Findings::of(...array_map(fn (Finding $f): Finding => $f->at($document->place(['hostname'])), $checked->list));
    }

    /** @param  array<mixed>  $data */
    private function timeZone(CardDocument $document, array $data): Findings
    {
        $zone = $data['timezone'] ?? null;

        return $zone === null || (is_string($zone) && TimeZone::isKnown($zone))
            ? Findings::of()
            : Findings::of(
                Finding::warn(
                    'card.time_zone',
                    (is_scalar($zone) ? "“{$zone}”" : 'This').' is no time zone.',
                    'The box stays at its own, and every log and timer is off.',
                    'A region and a city, such as Europe/London.',
                    $document->place(['timezone']),
                ),
            );
    }

    /** @param  array<mixed>  $data */
    private function logins(CardDocument $document, array $data): Findings
    {
        $findings = Findings::of();
        $users = is_array($data['users'] ?? null) ? $data['users'] : [];
        $someone = isset($data['ssh_authorized_keys']) || isset($data['password']) || isset($data['chpasswd']);
        foreach ($users as $index => $user) {
            if (! is_array($user)) {
                continue;
            }
            foreach (is_array($user['ssh_authorized_keys'] ?? null) ? array_values($user['ssh_authorized_keys']) : [] as $number => $key) {
                $bad = ! is_string($key) || LoginCheck::keyFindings($key)->blocks();
                if ($bad) {
                    $findings = $findings->and([
                        Finding::stop(
                            'card.key_does_not_decode',
                            'A public key in user-data does not decode.',
                            'The box would refuse that login without a word.',
                            'Paste the whole line of the .pub file again, in quotes.',
                            $document->place(['users', (int) $index, 'ssh_authorized_keys', $number]),
                        ),
                    ]);
                } else {
                    $someone = true;
                }
            }
            foreach (['passwd', 'hashed_passwd'] as $field) {
                if (isset($user[$field])) {
                    $someone = $someone || ($user['lock_passwd'] ?? true) === false;
                    $findings = $findings->and(LoginCheck::hashFindings($user[$field], $document->place(['users', (int) $index, $field])));
                }
            }
            if (isset($user['plain_text_passwd'])) {
                $someone = $someone || ($user['lock_passwd'] ?? true) === false;
                $weak = is_string($user['plain_text_passwd']) ? LoginCheck::passwordFindings($user['plain_text_passwd']) : Findings::of();
                $findings = $findings->and(
                    array_map(
                        fn (Finding $finding): Finding => $finding->at($document->place(['users', (int) $index, 'plain_text_passwd'])),
                        $weak->list,
                    ),
                );
                $findings = $findings->and([
                    Finding::warn(
                        'card.password_in_clear',
                        'A password stands in user-data as it is typed.',
                        'Whoever finds the card can read it.',
                        'Put its hash there as hashed_passwd.',
                        $document->place(['users', (int) $index, 'plain_text_passwd']),
                    ),
                ]);
            }
        }

        foreach ($this->clearPasswords($data) as [$password, $path]) {
            $place = $document->place($path);
            $findings = $findings
                ->and(array_map(fn (Finding $finding): Finding => $finding->at($place), LoginCheck::passwordFindings($password)->list))
                ->and([
                    Finding::warn(
                        'card.password_in_clear',
                        'A password stands in user-data as it is typed.',
                        'Whoever finds the card can read it.',
                        'Put its hash there instead.',
                        $place,
                    ),
                ]);
        }

        return $someone
            ? $findings
            : $findings->and([
                Finding::stop(
                    'card.nobody_can_log_in',
                    'No account in user-data could log in.',
                    'There is no key, and no password that is not locked.',
                    'Add a public key, or hashed_passwd with lock_passwd: false.',
                    Place::file('user-data', isset($data['users']) ? $document->place(['users'])->line : 1),
                ),
            ]);
    }

    /**
     * @param  array<mixed>  $data
     * @return list<array{string, list<int|string>}> password and where it stands
     */
    private function clearPasswords(array $data): array
    {
        $found = [];
        if (is_string($data['password'] ?? null) && ! str_starts_with($data['password'], '$')) {
            $found[] = [$data['password'], ['password']];
        }
        $users = is_array($data['chpasswd'] ?? null) && is_array($data['chpasswd']['users'] ?? null) ? $data['chpasswd']['users'] : [];
        foreach (array_values($users) as $index => $user) {
            if (is_array($user) && is_string($user['password'] ?? null) && ($user['type'] ?? '') === 'text') {
                $found[] = [$user['password'], ['chpasswd', 'users', $index, 'password']];
            }
        }

        return $found;
    }

    /** @param  array<mixed>  $data */
    private function remoteLogin(array $data): Findings
    {
        $commands = json_encode([$data['runcmd'] ?? [], $data['bootcmd'] ?? []], JSON_PARTIAL_OUTPUT_ON_ERROR) ?: '';

        return preg_match('/\bsshd?\b/', $commands) === 1 || in_array('openssh-server', (array) ($data['packages'] ?? []), true)
            ? Findings::of()
            : Findings::of(
                Finding::warn(
                    'card.remote_login_off',
                    'Nothing in user-data switches remote login on.',
                    'A plain server image ships with it off, so port 22 is refused.',
                    'Add “runcmd: [[systemctl, enable, --now, ssh]]”.',
                    Place::file('user-data'),
                ),
            );
    }
}
