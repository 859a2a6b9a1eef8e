<?php

declare(strict_types=1);

namespace Burrow\Card\Read;

/**
 * Who can log in after a cloud-config was read: its modules users-groups, ssh and set-passwords in their order
 * (cloud-init 22.4, `normalize_users_groups` and the handlers of the three).
 */
final class CloudAccounts
{
    /** The entry of `users` that means the image's own account. */
    private const STANDARD = 'default';

    /** How chpasswd lines tell a hash from a word (cc_set_passwords). */
    private const HASH_IN_LINE = '/^\$(?:1|2a|2y|5|6)(?:\$.+){2}/D';

    /** @var array<string, CloudAccount> */
    private array $accounts = [];

    /** @param  array<mixed>  $data */
    private function __construct(private readonly array $data)
    {
    }

    /**
     * @param  array<mixed>  $data  a cloud-config
     * @return list<CloudAccount>
     */
    public static function of(array $data): array
    {
        $reading = new self($data);
        $reading->users();
        $reading->keysOfTheStandardAccount();
        $reading->passwords();

        return array_values($reading->accounts);
    }

    private function users(): void
    {
        $user = $this->data['user'] ?? null;
        // Without a list the image's own stands: its standard account.
        $users = array_key_exists('users', $this->data)
            ? $this->data['users']
            : ($user === null
                ? [self::STANDARD]
                : []);
        foreach (self::entries($users) as [$name, $entry, $path]) {
            $this->add($name, $entry, $path);
        }
        if (is_string($user) && $user !== '') {
            $this->add(self::STANDARD, ['name' => $user], ['user']);
        } elseif (is_array($user) && $user !== []) {
            $this->add(self::STANDARD, $user, ['user']);
        }
        $standard = $this->accounts[self::STANDARD] ?? null;
        $namesake =
            $standard === null || $standard->name === self::STANDARD
                ? null
                : $this->accounts[$standard->name] ?? null;
        if ($standard !== null && $namesake !== null) {
            $this->accounts[self::STANDARD] = $standard->over($namesake);
            unset($this->accounts[$namesake->name]);
        }
    }

    /**
     * `users` may be a list, a map, or names between commas.
     *
     * @return iterable<array{string, array<mixed>, list<int|string>}>
     */
    private static function entries(mixed $users): iterable
    {
        if (is_string($users)) {
            foreach (self::names($users) as $name) {
                yield [$name, [], ['users']];
            }

            return;
        }
        foreach (is_array($users) ? $users : [] as $key => $entry) {
            $path = ['users', $key];
            if (is_string($key)) {
                if (is_array($entry) || self::isSwitchedOn($entry)) {
                    yield [$key, is_array($entry) ? $entry : [], $path];
                }
            } elseif (is_string($entry)) {
                foreach (self::names($entry) as $name) {
                    yield [$name, [], $path];
                }
            } elseif (is_array($entry)) {
                $name = $entry['name'] ?? self::STANDARD;
                yield [is_scalar($name) ? (string) $name : '', $entry, $path];
            }
        }
    }

    /** @return list<string> */
    private static function names(string $between): array
    {
        return array_values(
            array_filter(array_map(trim(...), explode(',', $between)), fn (string $name): bool => $name !== ''),
        );
    }

    /**
     * @param  array<mixed>  $entry
     * @param  list<int|string>  $path
     */
    private function add(string $name, array $entry, array $path): void
    {
        // Dashes are an older way of writing the same fields.
        $field = function (string $wanted) use ($entry): array {
            foreach ([$wanted, str_replace('_', '-', $wanted)] as $key) {
                if (array_key_exists($key, $entry)) {
                    return [$entry[$key], $key];
                }
            }

            return [null, $wanted];
        };
        if ($field('snapuser')[0] !== null) {
            return;
        }
        [$keys, $keysAt] = $field('ssh_authorized_keys');
        $passwords = [];
        foreach (['passwd' => true, 'hashed_passwd' => true, 'plain_text_passwd' => false] as $one => $hashed) {
            [$value, $at] = $field($one);
            if ($value !== null && $value !== '') {
                $passwords[] = new CloudPassword($value, $hashed, [...$path, $at]);
            }
        }
        [$locked] = $field('lock_passwd');
        $standard = $name === self::STANDARD;
        $known = $this->accounts[$name] ?? null;
        $account = new CloudAccount(
            $standard
                ? (is_string($entry['name'] ?? null) && $entry['name'] !== self::STANDARD
                    ? $entry['name']
                    : '')
                : $name,
            $standard,
            self::numbered($keys, [...$path, $keysAt]),
            $passwords,
            $known !== null && $locked === null ? $known->locked : $locked === null || self::isTrue($locked),
            $field('ssh_import_id')[0] !== null,
        );
        $this->accounts[$name] = $known === null ? $account : $known->over($account, $account->locked);
    }

    private function keysOfTheStandardAccount(): void
    {
        $standard = $this->accounts[self::STANDARD] ?? null;
        $keys = $this->data['ssh_authorized_keys'] ?? null;
        if ($standard !== null && is_array($keys)) {
            $this->accounts[self::STANDARD] = $standard->withKeys(self::numbered($keys, ['ssh_authorized_keys']));
        }
    }

    private function passwords(): void
    {
        $change = is_array($this->data['chpasswd'] ?? null) ? $this->data['chpasswd'] : [];
        $given = false;
        foreach (is_array($change['users'] ?? null) ? array_values($change['users']) : [] as $number => $user) {
            if (is_array($user) && is_string($user['name'] ?? null)) {
                $kind = $user['type'] ?? 'hash';
                $this->change(
                    $user['name'],
                    $kind === 'RANDOM' ? null : $user['password'] ?? null,
                    $kind === 'hash',
                    ['chpasswd', 'users', $number, 'password'],
                );
                $given = true;
            }
        }
        $lines = $change['list'] ?? [];
        $lines = is_string($lines) ? preg_split('/\R/', trim($lines)) : $lines;
        foreach (is_array($lines) ? $lines : [] as $number => $line) {
            if (is_string($line) && str_contains($line, ':')) {
                [$name, $password] = explode(':', $line, 2);
                $this->change(
                    $name,
                    in_array($password, ['R', 'RANDOM'], true) ? null : $password,
                    preg_match(self::HASH_IN_LINE, $password) === 1 && ! str_contains($password, ':'),
                    is_string($lines) ? ['chpasswd', 'list'] : ['chpasswd', 'list', $number],
                );
                $given = true;
            }
        }
        $password = $this->data['password'] ?? null;
        if (! $given && $password !== null && $password !== '' && isset($this->accounts[self::STANDARD])) {
            $this->change(
                self::STANDARD,
                $password,
                is_string($password) && preg_match(self::HASH_IN_LINE, $password) === 1,
                ['password'],
            );
        }
    }

    /** @param  list<int|string>  $path */
    private function change(string $name, mixed $password, bool $hashed, array $path): void
    {
        foreach ($this->accounts as $id => $account) {
            if ($id === $name || $account->name === $name) {
                $this->accounts[$id] = $account->withPassword(new CloudPassword($password, $hashed, $path));

                return;
            }
        }
        // It may be the image's own account, whose name only the image knows.
        $this->accounts[$name] = (new CloudAccount($name, false))->withPassword(
            new CloudPassword($password, $hashed, $path),
        );
    }

    /**
     * Keys in a list, in a map, or a single one.
     *
     * @param  list<int|string>  $path
     * @return list<array{mixed, list<int|string>}>
     */
    private static function numbered(mixed $keys, array $path): array
    {
        if (is_string($keys)) {
            return [[$keys, $path]];
        }

        return is_array($keys)
            ? array_map(fn (mixed $key, int|string $at): array => [$key, [...$path, $at]], $keys, array_keys($keys))
            : [];
    }

    private static function isSwitchedOn(mixed $value): bool
    {
        return is_scalar($value) && in_array(strtolower((string) $value), ['true', '1', 'on', 'yes'], true);
    }

    /** As Python takes a value for true. */
    private static function isTrue(mixed $value): bool
    {
        return ! in_array($value, [false, null, '', 0, 0.0, []], true);
    }
}
