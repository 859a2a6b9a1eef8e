<?php

declare(strict_types=1);

namespace Burrow\Card\Rule;

use Burrow\Card\CardContext;
use Burrow\Card\CardDocument;
use Burrow\Card\CardFolder;
use Burrow\Card\CloudAccount;
use Burrow\Card\CloudAccounts;
use Burrow\Card\CloudKeys;
use Burrow\Card\CloudPassword;
use Burrow\Card\LoginCheck;
use Burrow\Card\PlainScalar;
use Burrow\Card\UserDataKind;
use Burrow\Net\Hostname;
use Burrow\Net\TimeZone;
use Burrow\Sheet\Finding;
use Burrow\Sheet\Findings;
use Burrow\Sheet\Place;

/** The checks of `user-data`: is it read at all, can somebody log in, is remote login on, is the name one. */
final class UserDataRule implements CardRule
{
    public function lint(CardFolder $folder, CardContext $context): Findings
    {
        if (! $folder->has('user-data')) {
            return Findings::of();
        }
        $text = $folder->text('user-data');
        $kind = UserDataKind::of($text);
        if ($kind === null) {
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
        if ($kind !== UserDataKind::Settings) {
            return Findings::of(
                Finding::note(
                    'card.user_data_of_another_kind',
                    "This user-data is {$kind->label()}.",
                    'cloud-init takes it; what comes of it on the box cannot be told from here.',
                    'Settings begin with “#cloud-config”.',
                    Place::file('user-data', 1),
                ),
            );
        }
        $document = CardDocument::read('user-data', $text);
        if ($document->data === null) {
            return $document->findings;
        }

        return $this->keys($document, $document->data)
            ->and($this->name($document, $document->data, $folder, $context))
            ->and($this->timeZone($document, $document->data))
            ->and($this->logins($document, $document->data))
            ->and($this->remoteLogin($document->data));
    }

    /** @param  array<mixed>  $data */
    private function keys(CardDocument $document, array $data): Findings
    {
        $findings = array_map(
            fn (int|string $key): Finding => $this->unknown($document, [$key], CloudKeys::top()),
            array_values(array_diff(array_keys($data), CloudKeys::top())),
        );
        foreach (is_array($data['users'] ?? null) ? $data['users'] : [] as $index => $user) {
            foreach (is_array($user) ? array_keys($user) : [] as $key) {
                if (! in_array(str_replace('-', '_', (string) $key), CloudKeys::ofAnAccount(), true)) {
                    $findings[] = $this->unknown($document, ['users', $index, $key], CloudKeys::ofAnAccount());
                }
            }
        }

        return Findings::of(...$findings);
    }

    /**
     * @param  non-empty-list<int|string>  $path
     * @param  list<string>  $known
     */
    private function unknown(CardDocument $document, array $path, array $known): Finding
    {
        $key = (string) $path[count($path) - 1];
        $meant = CloudKeys::nearest($key, $known);
        $place = match (true) {
            count($path) > 1 && in_array($key, CloudKeys::top(), true) => 'It is a key of the whole file: begin it at the margin.',
            count($path) === 1 && in_array($key, CloudKeys::ofAnAccount(), true) => 'It is a key of an account: put it under users.',
            default => 'It may belong under another key; look at the indentation.',
        };

        return Finding::warn(
            'card.unknown_key',
            "“{$key}” means nothing to cloud-init at this place.",
            'It is passed over without a word.',
            $meant === null ? $place : "Perhaps “{$meant}” was meant.",
            $document->place($path),
        );
    }

    /** @param  array<mixed>  $data */
    private function name(CardDocument $document, array $data, CardFolder $folder, CardContext $context): Findings
    {
        if (! array_key_exists('hostname', $data)) {
            $named = isset($data['fqdn']) || isset(CardDocument::read('meta-data', $folder->text('meta-data'))->data['local-hostname']);

            return $named ? Findings::of() : Findings::of(
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
        $byKey = $byPassword = false;
        $accounts = CloudAccounts::of($data);
        if (array_filter($accounts, fn (CloudAccount $account): bool => $account->standard) === []) {
            $findings = $this->forNobody($document, $data);
        }
        foreach ($accounts as $account) {
            $byKey = $byKey || $account->imports;
            $byPassword = $byPassword || $account->hasPassword();
            foreach ($account->keys as [$key, $path]) {
                $decodes = is_string($key) && ! LoginCheck::keyFindings($key)->blocks();
                $byKey = $byKey || $decodes;
                $findings = $decodes ? $findings : $findings->and([$this->badKey($document->place($path))]);
            }
            foreach ($account->passwords as $password) {
                $findings = $findings->and($this->password($password, $document->place($password->path)));
            }
        }
        $place = Place::file('user-data', isset($data['users']) ? $document->place(['users'])->line : 1);

        return match (true) {
            $byKey || ($byPassword && ! $this->refusesPasswords($data)) => $findings,
            $byPassword => $findings->and([
                Finding::stop(
                    'card.passwords_refused',
                    'Remote login takes no passwords here, and there is no key.',
                    'ssh_pwauth is off: the password works at a screen with a keyboard only.',
                    'Add a public key, or set ssh_pwauth: true.',
                    $document->place(['ssh_pwauth']),
                ),
            ]),
            default => $findings->and([
                Finding::stop(
                    'card.nobody_can_log_in',
                    'No account in user-data could log in.',
                    'There is no key, and no password that is not locked.',
                    'Add a public key, or hashed_passwd with lock_passwd: false.',
                    $place,
                ),
            ]),
        };
    }

    /**
     * What stands at the margin goes to the image's own account, and `users` leaves that out here.
     *
     * @param  array<mixed>  $data
     */
    private function forNobody(CardDocument $document, array $data): Findings
    {
        $findings = Findings::of();
        foreach (array_intersect(['ssh_authorized_keys', 'password'], array_keys($data)) as $key) {
            $findings = $findings->and([
                Finding::warn(
                    'card.login_for_nobody',
                    "“{$key}” at the margin is for the image's own account.",
                    'users leaves that account out, so this goes to nobody.',
                    'Put it under the account it is for, or add “- default” to users.',
                    $document->place([$key]),
                ),
            ]);
        }

        return is_string($data['password'] ?? null)
            ? $findings->and($this->password(new CloudPassword($data['password'], str_starts_with($data['password'], '$'), ['password']), $document->place(['password'])))
            : $findings;
    }

    /** @param  array<mixed>  $data */
    private function refusesPasswords(array $data): bool
    {
        $says = $data['ssh_pwauth'] ?? null;

        return $says === false || (is_string($says) && in_array(strtolower($says), ['off', 'no', 'false', '0'], true));
    }

    private function badKey(Place $place): Finding
    {
        return Finding::stop(
            'card.key_does_not_decode',
            'A public key in user-data does not decode.',
            'The box would refuse that login without a word.',
            'Paste the whole line of the .pub file again, in quotes.',
            $place,
        );
    }

    private function password(CloudPassword $password, Place $place): Findings
    {
        if ($password->hashed || ! is_string($password->value)) {
            return $password->hashed ? LoginCheck::hashFindings($password->value, $place) : Findings::of();
        }

        return Findings::of(
            ...array_map(fn (Finding $finding): Finding => $finding->at($place), LoginCheck::passwordFindings($password->value)->list),
        )->and([
            Finding::warn(
                'card.password_in_clear',
                'A password stands in user-data as it is typed.',
                'Whoever finds the card can read it.',
                'Put its hash there instead: hashed_passwd, or chpasswd with type: hash.',
                $place,
            ),
        ]);
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
