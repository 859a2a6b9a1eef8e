<?php

declare(strict_types=1);

namespace Bench\Board;

/** The accounts that a cloud-config makes on a board, and the first that lets somebody in over the network. */
final class Accounts
{
    /**
     * @var array<string, array{keys: list<mixed>, password: bool, locked: bool}> by name; the image's own is "default"
     */
    private array $made = [];

    private string $standard = 'standard';

    /** @param  array<mixed>  $config */
    public function __construct(private readonly array $config)
    {
        $this->make($config['users'] ?? (isset($config['user']) ? [] : ['default']));
        $this->makeStandard($config['user'] ?? null);
        $change = is_array($config['chpasswd'] ?? null) ? $config['chpasswd'] : [];
        $lines = is_string($change['list'] ?? null)
            ? explode("\n", trim($change['list']))
            : (array) ($change['list'] ?? []);
        $names = [
            ...array_column((array) ($change['users'] ?? []), 'name'),
            ...array_map(fn (mixed $line): string => explode(':', self::text($line))[0], $lines),
        ];
        if ($names === [] && ($config['password'] ?? '') !== '' && isset($this->made['default'])) {
            $names = ['default'];
        }
        foreach ($names as $name) {
            $this->unlock($name === $this->standard ? 'default' : self::text($name));
        }
    }

    /** Empty for what is no text. */
    private static function text(mixed $value): string
    {
        return is_scalar($value) ? (string) $value : '';
    }

    public function first(): ?string
    {
        $passwords = ! in_array($this->config['ssh_pwauth'] ?? null, [false, 'no', 'off', '0', 'false'], true);
        foreach ($this->made as $name => $account) {
            if (
                array_filter($account['keys'], self::isKey(...)) !== [] ||
                ($passwords && $account['password'] && ! $account['locked'])
            ) {
                return $name === 'default' ? $this->standard : (string) $name;
            }
        }

        return null;
    }

    private function make(mixed $users): void
    {
        foreach (is_string($users) ? explode(',', $users) : (array) $users as $key => $user) {
            if (is_string($key)) {
                $user = is_array($user) ? ['name' => $key] + $user : ($user === true ? $key : null);
            }
            if (is_string($user)) {
                foreach (explode(',', $user) as $name) {
                    $this->account(trim($name), []);
                }
            } elseif (is_array($user)) {
                $this->account(self::text($user['name'] ?? 'default'), $user);
            }
        }
    }

    private function makeStandard(mixed $user): void
    {
        if (is_string($user) || is_array($user)) {
            $this->standard = self::text(is_string($user) ? $user : $user['name'] ?? $this->standard);
            $before = $this->made[$this->standard] ?? ($this->made['default'] ?? null);
            unset($this->made['default'], $this->made[$this->standard]);
            $this->account('default', is_array($user) ? $user : []);
            $this->made['default']['keys'] = $this->made['default']['keys'] ?: $before['keys'] ?? [];
            $this->made['default']['password'] =
                $this->made['default']['password'] || ($before['password'] ?? false);
        }
        if (isset($this->made['default'])) {
            array_push(
                $this->made['default']['keys'],
                ...array_values((array) ($this->config['ssh_authorized_keys'] ?? [])),
            );
        }
    }

    /** @param  array<mixed>  $fields */
    private function account(string $name, array $fields): void
    {
        if ($name === '' || isset($this->made[$name])) {
            return;
        }
        $fields = array_combine(
            array_map(fn (int|string $key): string => str_replace('-', '_', (string) $key), array_keys($fields)),
            $fields,
        );
        $this->made[$name] = [
            'keys' => array_values((array) ($fields['ssh_authorized_keys'] ?? [])),
            'password' => str_starts_with(self::text($fields['hashed_passwd'] ?? ($fields['passwd'] ?? '')), '$') ||
                ($fields['plain_text_passwd'] ?? '') !== '',
            'locked' => (bool) ($fields['lock_passwd'] ?? true),
        ];
    }

    private function unlock(string $name): void
    {
        $this->made[$name] = ['keys' => $this->made[$name]['keys'] ?? [], 'password' => true, 'locked' => false];
    }

    /** The login service takes a line for a key when its blob is whole: length-prefixed fields to the last byte. */
    private static function isKey(mixed $line): bool
    {
        $words = explode(' ', is_string($line) ? $line : '');
        $blob = (string) base64_decode($words[1] ?? '', true);
        $fields = [];
        while (strlen($blob) >= 4) {
            $length = (int) hexdec(bin2hex(substr($blob, 0, 4)));
            if (strlen($blob) < 4 + $length) {
                return false;
            }
            $fields[] = substr($blob, 4, $length);
            $blob = substr($blob, 4 + $length);
        }

        return $blob === '' && count($fields) >= 2 && $fields[0] === $words[0];
    }
}
