<?php

declare(strict_types=1);

namespace Bench\Board;

use Bench\Faults\Fault;
use Bench\Faults\Faults;

/**
 * A simulated board: its hardware, the card in it, and what it has become since the power came on. Keeps no
 * secret.
 */
final class Board
{
    public string $phase = 'off';

    public ?string $address = null;

    public ?FirstBoot $boot = null;

    /** @var list<string> */
    public array $screen = [];

    /** @var ?non-empty-string */
    public ?string $secretKey = null;

    public bool $firstBootDone = false;

    public int $pending = 0;

    /** Its page has an owner; a ready-made image waits for one. */
    public bool $claimed = true;

    /** @var array<string, float> detached job => when it began, in our time; none of before a restart of the bench */
    public array $began = [];

    /** When the power came, in our time; a bench that woke up takes that moment. */
    public float $startedAt;

    /** How many times faster than a real one its time runs; 0: all that takes time is over at once. */
    public float $speed = 0.0;

    /** Mbit/s from the world; 0: there is no internet. */
    public float $rate = 50.0;

    /** What the system was asked to do with itself: "reboot" or "poweroff"; null when nothing. */
    public ?string $asked = null;

    public Machine $machine;

    /**
     * @param  array<string, string>  $files  on the boot partition
     * @param  list<Disk>  $disks  plugged in; the first is sda, whatever it was before the last start
     * @param  list<array{port: int, protocol: string}>  $services  what a board that stood already listens on
     */
    public function __construct(
        public readonly string $id,
        public readonly string $mac,
        public readonly string $class,
        public readonly int $networkAfter,
        public array $files = [],
        public array $disks = [],
        public array $services = [],
        public bool $powered = false,
        public ?Fault $fault = null,
        public string $name = '',
    ) {
        $this->machine = new Machine();
        $this->startedAt = microtime(true);
    }

    /** Seconds of its time since the power came. */
    public function uptime(): float
    {
        return (microtime(true) - $this->startedAt) * max(1.0, $this->speed);
    }

    /**
     * A new card: a new system with new keys.
     *
     * @param  array<string, string>  $files
     * @param  list<array{port: int, protocol: string}>  $services  that a ready-made image brings
     */
    public function insert(array $files, array $services = []): void
    {
        $this->files = $files;
        $this->secretKey = null;
        $this->boot = null;
        $this->firstBootDone = false;
        $this->pending = 0;
        $this->machine = new Machine();
        $this->services = $services;
        $this->claimed = $services === [];
    }

    /** Whether so many seconds of its time have gone by since a moment of ours. */
    public function hasRun(float $since, float $seconds): bool
    {
        return $this->speed <= 0 || (microtime(true) - $since) * $this->speed >= $seconds;
    }

    /** Once: what the system was asked to do with itself. */
    public function takeAsked(): ?string
    {
        $asked = $this->asked;
        $this->asked = null;

        return $asked;
    }

    /** What it was told last, else what its card says. */
    public function hostname(): string
    {
        $told = trim($this->machine->read('/etc/hostname') ?? '');

        return $told ?:
            ($this->files === [] && $this->name !== ''
                ? $this->name
                : $this->boot->hostname ?? 'board');
    }

    /** Who logs in: as its card says, else the first account of a system that stood already; empty where none is. */
    public function account(): string
    {
        $named = $this->boot->user ?? '';

        return $named === '' ? (string) array_key_first($this->machine->groups) : $named;
    }

    /** @return non-empty-string */
    public function hostKey(): string
    {
        return $this->secretKey ??= sodium_crypto_sign_secretkey(sodium_crypto_sign_keypair());
    }

    /**
     * Mounts disks where /etc/fstab says, as the start of the system and mount(8) do.
     *
     * @return bool false when no line fits
     */
    public function mount(?string $point = null): bool
    {
        $mounted = false;
        foreach (explode("\n", $this->machine->read('/etc/fstab') ?? '') as $line) {
            $fields = [...preg_split('/\s+/', trim($line)) ?: [], ''];
            $disk = $this->disk(
                fn (Disk $one): bool => $one->uuid !== null && $fields[0] === "UUID={$one->uuid}",
            );
            if ($disk !== null && ($point === null || $fields[1] === $point)) {
                $disk->mountedAt = $fields[1];
                $mounted = true;
            }
        }

        return $mounted;
    }

    /**
     * The first disk of which something is so.
     *
     * @param  callable(Disk): bool  $so
     */
    public function disk(callable $so): ?Disk
    {
        return array_values(array_filter($this->disks, $so))[0] ?? null;
    }

    /** What is mounted at a place; null for one that is a folder of the card. */
    public function mountedAt(string $point): ?Disk
    {
        return $this->disk(fn (Disk $one): bool => $one->mountedAt === rtrim($point, '/'));
    }

    /** "sda" for the first that is plugged in. */
    public function deviceOf(Disk $disk): string
    {
        return 'sd'.chr(ord('a') + (int) array_search($disk, $this->disks, true));
    }

    /** By its file: /dev/sda, sdb1. */
    public function device(string $path): ?Disk
    {
        $at = preg_match('~^(?:/dev/)?sd([a-d])1?$~D', $path, $match) === 1 ? ord($match[1]) - ord('a') : -1;

        return $this->disks[$at] ?? null;
    }

    /**
     * Files whose path fits one with “*” in it; those in which the kernel tells of the hardware among them.
     *
     * @return array<string, string> path => text
     */
    public function readLike(string $path): array
    {
        $flags = preg_replace('/^0x/', '', $this->fault?->looks('power-flags') ?? '0x0');
        $hot = str_starts_with($this->fault?->looks('touch') ?? '', 'too hot');
        $told = [
            '/sys/class/thermal/thermal_zone0/temp' => ($hot ? 83912 : 48312)."\n",
            '/sys/devices/platform/soc/soc:firmware/get_throttled' => "{$flags}\n",
        ];
        if (! str_contains($path, '*')) {
            $text = $told[$path] ?? $this->machine->read($path);

            return $text === null ? [] : [$path => $text];
        }

        return array_filter(
            [...$told, ...$this->machine->files],
            fn (string $one): bool => fnmatch($path, $one, FNM_PATHNAME),
            ARRAY_FILTER_USE_KEY,
        );
    }

    /** @return array<string, mixed> */
    public function state(): array
    {
        return [
            'id' => $this->id,
            'mac' => $this->mac,
            'class' => $this->class,
            'networkAfter' => $this->networkAfter,
            'files' => $this->filesWithoutSecrets(),
            'disks' => array_map(fn (Disk $one): array => $one->state(), $this->disks),
            'services' => $this->services,
            'powered' => $this->powered,
            'fault' => $this->fault?->name(),
            'name' => $this->name,
            'firstBootDone' => $this->firstBootDone,
            'claimed' => $this->claimed,
            'pending' => $this->pending,
            'machine' => $this->machine->state(),
            'hostKey' => $this->secretKey === null ? null : base64_encode($this->secretKey),
        ];
    }

    /** @param  array<string, mixed>  $state */
    public static function from(array $state): self
    {
        /**
         * @var array{id: string, mac: string, class: string, networkAfter: int, files?: array<string, string>, disks?: list<array<string, mixed>>, services?: list<array{port: int, protocol: string}>, powered?: bool, fault?: ?string, name?: string, firstBootDone?: bool, claimed?: bool, pending?: int, machine?: array<string, mixed>, hostKey?: ?string} $state
         */
        $board = new self(
            $state['id'],
            $state['mac'],
            $state['class'],
            $state['networkAfter'],
            $state['files'] ?? [],
            array_map(Disk::from(...), $state['disks'] ?? []),
            $state['services'] ?? [],
            $state['powered'] ?? false,
            Faults::of($state['fault'] ?? null),
            $state['name'] ?? '',
        );
        $board->firstBootDone = $state['firstBootDone'] ?? false;
        $board->claimed = $state['claimed'] ?? true;
        $board->pending = $state['pending'] ?? 0;
        $board->machine = Machine::from($state['machine'] ?? []);
        $board->secretKey = isset($state['hostKey'])
            ? (base64_decode($state['hostKey'], true) ?:
            null)
            : null;

        return $board;
    }

    /**
     * Password hashes, keys and passphrases stay on the card in memory and never reach the state file.
     *
     * @return array<string, string>
     */
    private function filesWithoutSecrets(): array
    {
        return array_map(
            fn (string $text): string => (string) preg_replace(
                [
                    '/\$[0-9a-z]{1,2}\$[^"\s]+/',
                    '/\b[0-9a-fA-F]{64}\b/',
                    '/((?:password|psk|sae_password|key)\s*[:=]\s*)"[^"]*"/i',
                ],
                ['$6$forgotten$forgotten', str_repeat('0', 64), '$1"forgotten"'],
                $text,
            ),
            $this->files,
        );
    }
}
