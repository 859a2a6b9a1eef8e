<?php

declare(strict_types=1);

namespace Burrow\BringUp\Write;

use InvalidArgumentException;

/** Units of systemd (systemd.unit(5), systemd.service(5), systemd.timer(5)); words are quoted as the first says. */
final readonly class SystemdUnit
{
    private const ACCOUNT = '/^[a-z_][a-z0-9_-]{0,31}$/D';

    /** @param  array<string, list<array{string, string}>>  $sections  name => key and value in their order */
    private function __construct(private array $sections)
    {
    }

    /** Brings a compose file's services up at every start. */
    public static function compose(string $service, string $compose): self
    {
        if (preg_match('/^[a-z][a-z0-9-]{0,39}$/D', $service) !== 1) {
            throw new InvalidArgumentException("Not a service's name: {$service}.");
        }
        $words = explode(' ', $compose);
        $program = '/usr/bin/'.array_shift($words);

        return new self([
            'Unit' => [
                ['Description', "the containers of {$service}"],
                ['Wants', 'network-online.target'],
                ['After', 'network-online.target'],
            ],
            'Service' => [
                ['Type', 'oneshot'],
                ['RemainAfterExit', 'yes'],
                ['WorkingDirectory', "/srv/{$service}"],
                ['ExecStart', self::line([$program, ...$words, 'up', '--detach'])],
                ['ExecStop', self::line([$program, ...$words, 'down'])],
                ['TimeoutStartSec', '900'],
            ],
            'Install' => [['WantedBy', 'multi-user.target']],
        ]);
    }

    /**
     * Copies a folder to another machine, one way: what is deleted here stays there.
     *
     * @throws InvalidArgumentException for an account, host or folder that is none
     */
    public static function copyOver(string $from, string $account, string $host, string $folder): self
    {
        foreach (
            [
                [$from, '~^(?:/[A-Za-z0-9._-]+)+$~D'],
                [$folder, '~^(?:/[A-Za-z0-9._-]+)+$~D'],
                [$account, self::ACCOUNT],
                [$host, '/^[A-Za-z0-9][A-Za-z0-9.-]{0,252}$/D'],
            ] as [$word, $pattern]
        ) {
            if (preg_match($pattern, $word) !== 1) {
                throw new InvalidArgumentException("This cannot be copied from or to: {$word}.");
            }
        }

        return new self([
            'Unit' => [
                ['Description', 'copies what is new to the store at home'],
                ['After', 'network-online.target'],
            ],
            'Service' => [
                ['Type', 'oneshot'],
                ['User', $account],
                [
                    'ExecStart',
                    self::line([
                        '/usr/bin/rsync',
                        '--archive',
                        '--partial',
                        '--timeout=60',
                        '--rsh=ssh -o BatchMode=yes',
                        "{$from}/",
                        "{$account}@{$host}:{$folder}/",
                    ]),
                ],
            ],
        ]);
    }

    /** @param  string  $when  a calendar event of systemd.time(7) */
    public static function timer(string $what, string $when): self
    {
        return new self([
            'Unit' => [['Description', self::words($what)]],
            'Timer' => [['OnCalendar', $when], ['RandomizedDelaySec', '60'], ['Persistent', 'true']],
            'Install' => [['WantedBy', 'timers.target']],
        ]);
    }

    /**
     * A program that runs as long as the box is on.
     *
     * @param  non-empty-list<string>  $command  the first word is the whole path of the program: a mark before it, such
     *         as “+”, would run it with all rights whatever User= says (systemd.service(5), “Command lines”)
     * @param  list<string>  $groups
     *
     * @throws InvalidArgumentException for a program without its path, or an account or group that is none
     */
    public static function running(string $what, array $command, string $user, array $groups): self
    {
        if (preg_match('~^(?:/[^/\p{C}]+)+$~Du', $command[0]) !== 1) {
            throw new InvalidArgumentException("Not the whole path of a program: {$command[0]}.");
        }
        foreach ([$user, ...$groups] as $account) {
            if (preg_match(self::ACCOUNT, $account) !== 1) {
                throw new InvalidArgumentException("Neither an account nor a group: {$account}.");
            }
        }

        return new self([
            'Unit' => [
                ['Description', self::words($what)],
                ['Wants', 'network-online.target'],
                ['After', 'network-online.target'],
            ],
            'Service' => [
                ['ExecStart', self::line($command)],
                ['User', $user],
                ['SupplementaryGroups', implode(' ', $groups)],
                ['Restart', 'on-failure'],
                ['RestartSec', '10'],
            ],
            'Install' => [['WantedBy', 'multi-user.target']],
        ]);
    }

    public function __toString(): string
    {
        $texts = [];
        foreach ($this->sections as $name => $lines) {
            $texts[] =
                "[{$name}]\n".
                implode("\n", array_map(fn (array $line): string => "{$line[0]}={$line[1]}", $lines));
        }

        return implode("\n\n", $texts);
    }

    /** A text as it is: a backslash at its end would take the next line along, and “%” begins a specifier. */
    private static function words(string $text): string
    {
        if (preg_match('/[\p{Cc}\x{2028}\x{2029}]|\\\\$/u', $text) === 1) {
            throw new InvalidArgumentException('A description is one line, and does not end in a backslash.');
        }

        return str_replace('%', '%%', $text);
    }

    /** @param  list<string>  $words */
    private static function line(array $words): string
    {
        return implode(
            ' ',
            array_map(function (string $word): string {
                if (preg_match('/[\x00-\x1f\x7f]/', $word) === 1 || $word === '') {
                    throw new InvalidArgumentException('A word of a command holds no control characters.');
                }
                $word = str_replace(['\\', '"', '%', '$'], ['\\\\', '\\"', '%%', '$$'], $word);

                return preg_match('~^[A-Za-z0-9_./:@%+=,$-]+$~D', $word) === 1 ? $word : "\"{$word}\"";
            }, $words),
        );
    }
}
