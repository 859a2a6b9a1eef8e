<?php

declare(strict_types=1);

namespace Bench\Board;

/**
 * What a board makes of the files on its card, the way a real one does: what it cannot read it passes over
 * without a word. This is written apart from the tool's own linter, so that the two can disagree in a test.
 */
final readonly class FirstBoot
{
    /**
     * @param  ?string  $address  one that the card gives; null when the router is asked
     * @param  list<string>  $packages
     * @param  list<string>  $screen  what would scroll by on a screen
     */
    private function __construct(
        public bool $network,
        public ?string $address,
        public string $hostname,
        public ?string $user,
        public bool $remoteLogin,
        public array $packages,
        public array $screen,
    ) {
    }

    /**
     * @param  array<string, string>  $files
     * @param  bool  $socket  the board has a network socket with a cable in it
     * @param  array<string, string>  $air  wireless networks in reach: name => its pre-shared key as 64 hexadecimal
     *         digits, or "" when open
     */
    public static function from(array $files, bool $socket = true, array $air = []): self
    {
        $seeded = isset($files['meta-data'], $files['user-data']);
        $screen = [$seeded ? 'first-boot settings found on the boot partition' : 'no first-boot settings found'];
        $kernel = KernelParameters::from($files['cmdline.txt'] ?? null);
        if ($kernel->lostRoot) {
            return new self(false, null, 'board', null, false, [], ['kernel panic: unable to mount root fs']);
        }
        $user = $seeded ? self::userData($files['user-data'], $screen) : [];
        $links = new Links($files, $socket, $air);
        $screen = [...$screen, ...$links->screen];
        $hostname = self::hostname($user, $seeded ? $files['meta-data'] : '');

        return new self(
            $links->up || ($socket && $kernel->address !== null),
            $kernel->address ?? $links->address,
            $hostname === 'board' && $kernel->hostname !== '' ? $kernel->hostname : $hostname,
            (new Accounts($user))->first() ?? self::accountFile($files['userconf.txt'] ?? ''),
            self::startsRemoteLogin($user) || isset($files['ssh']),
            array_values(array_filter((array) ($user['packages'] ?? []), is_string(...))),
            $screen,
        );
    }

    /**
     * @param  list<string>  $screen
     * @return array<mixed>
     */
    private static function userData(string $text, array &$screen): array
    {
        if (! str_starts_with(strtolower(ltrim($text)), '#cloud-config')) {
            $screen[] = str_starts_with(ltrim($text), '#!')
                ? 'user-data: a script was run'
                : 'user-data: unhandled non-multipart text, ignored';

            return [];
        }
        $data = Settings::read($text);
        if ($data === null) {
            $screen[] = 'user-data: failed loading yaml';
        }

        return $data ?? [];
    }

    /** @param  array<mixed>  $user */
    private static function hostname(array $user, string $metaData): string
    {
        $whole = $user['hostname'] ?? ($user['fqdn'] ?? (Settings::read($metaData)['local-hostname'] ?? ''));
        $name = is_string($whole) ? explode('.', $whole)[0] : '';

        return preg_match('/^[a-zA-Z0-9](?:[a-zA-Z0-9-]{0,61}[a-zA-Z0-9])?$/D', $name) === 1
            ? strtolower($name)
            : 'board';
    }

    /** One line, user and hash, byte for byte: what an editor added becomes part of the hash and refuses the login. */
    private static function accountFile(string $text): ?string
    {
        $line = explode("\n", $text)[0];

        return preg_match('~^([a-z_][a-z0-9_-]{0,31}):(\$[0-9a-z]{1,2}\$[^\s:]{10,})$~D', $line, $match) === 1
            ? $match[1]
            : null;
    }

    /** @param  array<mixed>  $user */
    private static function startsRemoteLogin(array $user): bool
    {
        foreach ((array) ($user['runcmd'] ?? []) as $command) {
            $words = implode(' ', array_filter((array) $command, is_string(...)));
            if (
                preg_match(
                    '/^(sudo )?systemctl (enable|start|restart|enable --now) (--now )?sshd?(\.service)?$/',
                    $words,
                ) === 1
            ) {
                return true;
            }
        }

        return false;
    }
}
