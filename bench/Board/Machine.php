<?php

declare(strict_types=1);

namespace Bench\Board;

/** A running system: its packages, files, accounts, services and containers. Keeps no secret. */
final class Machine
{
    /** Where a script lies that tells how the board is. */
    public const REPORT = '/usr/local/bin/burrow-report';

    /** Keys that may log in. */
    public const AUTHORIZED = '~/.ssh/authorized_keys';

    private const FILES = [
        '/etc/fstab' => "UUID=00000000-0000-4000-8000-000000000001 / ext4 defaults 0 1\n",
        '/etc/samba/smb.conf' => "[global]\n   workgroup = WORKGROUP\n",
        '/etc/os-release' => "PRETTY_NAME=\"Debian GNU/Linux 12 (bookworm)\"\nNAME=\"Debian GNU/Linux\"\nVERSION_ID=\"12\"\nVERSION_CODENAME=bookworm\nID=debian\n",
        '/boot/firmware/cmdline.txt' => "console=tty1 root=PARTUUID=1-02 rootfstype=ext4 rootwait\n",
        '/boot/firmware/config.txt' => "arm_64bit=1\n",
    ];

    /** Where an ordinary account writes. */
    private const OPEN = ['/home/', '/tmp/', '/dev/', '/srv/'];

    private const MOST_BYTES = 256 * 1024;

    /** @var array<string, string> path => text */
    public array $files = self::FILES;

    /** @var list<string> */
    public array $packages = [];

    /** @var array<string, list<string>> account => groups */
    public array $groups = [];

    /** @var list<string> groups of the login session that types; new ones count from the next login */
    public array $session = [];

    /** @var list<string> units that start with the system */
    public array $enabled = [];

    /** @var list<string> units that run now */
    public array $active = [];

    /** @var array<string, int> unit => how often it was started; each start reads the files anew */
    public array $starts = [];

    /** @var array<string, float> unit => when it was started last, in our time; what is not kept is long ago */
    public array $startedAt = [];

    /** @var list<string> accounts with a network password for shares */
    public array $shareUsers = [];

    /** @var list<string> container images that were fetched */
    public array $images = [];

    /** @var array<string, string> detached jobs: unit => what it prints at its end */
    public array $detached = [];

    public bool $upgraded = false;

    public function read(string $path): ?string
    {
        return $this->files[$this->whole($path)] ?? null;
    }

    public function write(string $path, string $text, bool $append = false): void
    {
        $path = $this->whole($path);
        // Secrets stay out of the bench's state: a key file is there, and empty of what it holds.
        $text = str_ends_with($path, '.key') ? "kept on the board\n" : $text;
        if (strlen($text) <= self::MOST_BYTES && count($this->files) < 500) {
            $this->files[$path] = $append && ! str_ends_with($text, "\n") ? "{$text}\n" : $text;
        }
    }

    public function remove(string $path): void
    {
        unset($this->files[$this->whole($path)]);
    }

    public function mayWrite(string $path, bool $root): bool
    {
        $path = $this->whole($path);

        return $root ||
            array_filter(self::OPEN, fn (string $open): bool => str_starts_with($path, $open)) !== [];
    }

    public function has(string $package): bool
    {
        return in_array($package, $this->packages, true);
    }

    public function isActive(string $unit): bool
    {
        return in_array($unit, $this->active, true);
    }

    public function activate(string $unit): void
    {
        $this->active = array_values(array_unique([...$this->active, $unit]));
        $this->starts[$unit] = ($this->starts[$unit] ?? 0) + 1;
        $this->startedAt[$unit] = microtime(true);
    }

    public function stop(string $unit): void
    {
        $this->active = array_values(array_diff($this->active, [$unit]));
    }

    public function enable(string $unit): void
    {
        $this->enabled = array_values(array_unique([...$this->enabled, $unit]));
    }

    /** A file's path from the root; the login's own folder is where a session begins. */
    private function whole(string $path): string
    {
        $path = str_replace('~/', '/home/me/', $path);

        return str_starts_with($path, '/') ? $path : "/home/me/{$path}";
    }

    /** @return array<string, mixed> */
    public function state(): array
    {
        return get_object_vars($this);
    }

    /** @param  array<string, mixed>  $state */
    public static function from(array $state): self
    {
        $machine = new self();
        foreach (array_keys(get_object_vars($machine)) as $name) {
            if (isset($state[$name]) && gettype($state[$name]) === gettype($machine->{$name})) {
                $machine->{$name} = $state[$name];
            }
        }

        return $machine;
    }
}
