<?php

declare(strict_types=1);

namespace Bench;

use React\EventLoop\Loop;
use React\EventLoop\TimerInterface;
use React\Socket\ConnectionInterface;
use RuntimeException;
use Throwable;

/** The bench: boards, a router and a package index on loopback, with a clock that runs as fast as asked. */
final class Lab
{
    /** Growing the file system, making keys and installing packages at first boot, in seconds of board time. */
    private const FIRST_BOOT_EXTRA = 90;

    /** @var array<string, Board> */
    private array $boards = [];

    /** @var array<string, Doors> */
    private array $doors = [];

    /** @var array<string, list<TimerInterface>> */
    private array $timers = [];

    private Router $router;

    private readonly PackageIndex $index;

    private float $speed = 20;

    public function __construct(private readonly string $stateFile, private readonly int $offset)
    {
        $this->index = new PackageIndex();
        $this->router = new Router('172.22.8.100', '172.22.8.199');
        if (is_file($stateFile)) {
            $this->wakeUp((string) file_get_contents($stateFile));
        }
    }

    /** A state that cannot be read is set aside with a word; the bench begins empty then, and never fails to begin. */
    private function wakeUp(string $kept): void
    {
        try {
            $state = json_decode($kept, true, 64, JSON_THROW_ON_ERROR);
            $this->load(is_array($state) ? $state : throw new RuntimeException('it is no object'));
        } catch (Throwable $problem) {
            $aside = $this->stateFile.'.set-aside';
            @rename($this->stateFile, $aside);
            fwrite(
                STDERR,
                "bench: its kept state could not be read ({$problem->getMessage()}); it lies in {$aside} now, and the bench is empty.\n",
            );
            $this->boards = $this->doors = $this->timers = [];
            $this->router = new Router('172.22.8.100', '172.22.8.199');
        }
    }

    /**
     * Puts the bench into a given state; boards that were powered run again at once.
     *
     * @param  array<string, mixed>  $state
     */
    public function load(array $state): void
    {
        array_map($this->cut(...), array_values($this->boards));
        /**
         * @var array{speed?: int|float, pool?: array{string, string}, router?: array{reservations?: array<string, string>, leases?: array<string, array{address: string, name: string, expires: int}>}, boards?: list<array<string, mixed>>} $state
         */
        $this->speed = max(1, min(1000, (float) ($state['speed'] ?? 20)));
        [$first, $last] = $state['pool'] ?? ['172.22.8.100', '172.22.8.199'];
        $this->router = new Router(
            $first,
            $last,
            $state['router']['reservations'] ?? [],
            $state['router']['leases'] ?? [],
        );
        $this->boards = [];
        foreach ($state['boards'] ?? [] as $entry) {
            try {
                $board = Board::from($entry);
            } catch (Throwable $problem) {
                fwrite(STDERR, "bench: a board could not be put back ({$problem->getMessage()}).\n");

                continue;
            }
            $this->boards[$board->id] = $board;
            if ($board->powered && $board->fault === null) {
                $this->carefully($board, function () use ($board): void {
                    $board->boot = FirstBoot::from($board->files);
                    $this->onNetwork($board);
                    $this->openDoors($board);
                });
            }
        }
        $this->save();
    }

    /**
     * @param  array<string, string>  $files
     * @param  ?array<string, mixed>  $disk
     */
    public function insert(
        string $id,
        string $mac,
        string $class,
        int $networkAfter,
        array $files,
        ?array $disk,
    ): Board {
        $board =
            $this->boards[$id] ??
            new Board($id, $mac, $class, $networkAfter, disk: $disk === null ? null : Disk::from($disk));
        $this->cut($board);
        $board->insert($files);
        $this->boards[$id] = $board;
        $this->save();

        return $board;
    }

    public function board(string $id): ?Board
    {
        return $this->boards[$id] ?? null;
    }

    public function power(Board $board, bool $on): void
    {
        $this->cut($board);
        $board->powered = $on;
        if ($on) {
            $this->carefully($board, fn () => $this->start($board));
        }
        $this->save();
    }

    public function type(Board $board, string $command): string
    {
        if ($board->phase !== 'up' || ! $board->firstBootDone) {
            return 'ssh: connect to host: no answer';
        }
        $output = (new Console($this->index))->run($board, $command);
        if (preg_match('/^(sudo )?systemctl reboot$/m', trim($command)) === 1) {
            $this->cut($board);
            $board->powered = true;
            $this->carefully($board, fn () => $this->start($board));
            $output = 'Connection closed.';
        } else {
            $this->openDoors($board);
        }
        $this->save();

        return $output;
    }

    public function reserve(string $mac, string $address): void
    {
        $this->router->reserve($mac, $address);
        $this->save();
    }

    public function leaseFile(): string
    {
        return $this->router->leaseFile();
    }

    public function setSpeed(float $speed): void
    {
        $this->speed = max(1, min(1000, $speed));
        $this->save();
    }

    /** @return array<string, mixed> for the bench page; no key and no card content */
    public function status(): array
    {
        return [
            'speed' => $this->speed,
            'reservations' => $this->router->state()['reservations'],
            'leases' => $this->router->state()['leases'],
            'boards' => array_map(
                fn (Board $board): array => [
                    'id' => $board->id,
                    'name' => $board->name,
                    'mac' => $board->mac,
                    'class' => $board->class,
                    'powered' => $board->powered,
                    'phase' => $board->phase,
                    'address' => $board->address,
                    'card' => array_keys($board->files),
                    'screen' => $board->screen,
                    'fault' => $board->fault,
                    'fingerprint' => $board->phase === 'up' && $board->secretKey !== null
                            ? 'SHA256:'.
                                rtrim(
                                    base64_encode(hash('sha256', SshDoor::publicBlob($board->secretKey), true)),
                                    '=',
                                )
                            : null,
                ],
                array_values($this->boards),
            ),
        ];
    }

    private function start(Board $board): void
    {
        $board->phase = 'starting';
        $board->screen = ['power'];
        if ($board->fault !== null) {
            return;
        }
        if ($board->files === [] && $board->services === []) {
            $board->phase = 'no card';
            $board->screen[] = 'no bootable card found';

            return;
        }
        $boot = $board->boot = FirstBoot::from($board->files);
        $extra = $board->firstBootDone ? 0 : self::FIRST_BOOT_EXTRA;
        $this->after(
            $board,
            $board->networkAfter * 0.4,
            fn () => ($board->screen = [...$board->screen, ...$boot->screen]),
        );
        $this->after($board, (float) $board->networkAfter, fn () => $this->onNetwork($board));
        $this->after($board, $board->networkAfter + $extra, function () use ($board): void {
            $board->firstBootDone = true;
            $board->mount();
            $this->openDoors($board);
            $this->save();
        });
    }

    private function onNetwork(Board $board): void
    {
        $board->phase = 'up';
        $name = $board->files === [] ? $board->name : $board->boot->hostname ?? 'board';
        if ($board->files !== [] && ! ($board->boot->network ?? false)) {
            $board->screen[] = 'no address';

            return;
        }
        $board->address = $board->boot->address ?? $this->router->ask($board->mac, $name, time());
        $board->screen[] = "{$name} {$board->address}";
        $at = $this->loopback($board->address);
        if ($at === null) {
            $board->screen[] = "the bench has no place for {$board->address}: it stands in for IPv4 addresses, and not for those that would fall on this machine's own";
        } else {
            // Tells a board that refuses from one that is not there; see app/Probe/Target.php.
            $this->doorsOf($board)->tcp($at, 7, fn (ConnectionInterface $c) => null);
        }
        $this->save();
    }

    /** What goes wrong with one board stays with it: it loses its power, its screen says so, and the others run on. */
    private function carefully(Board $board, callable $act): void
    {
        try {
            $act();
        } catch (Throwable $problem) {
            fwrite(STDERR, "bench: board {$board->id}: {$problem->getMessage()}\n");
            $this->cut($board);
            $board->screen[] = 'the bench could not go on with this board: '.$problem->getMessage();
            $this->save();
        }
    }

    private function openDoors(Board $board): void
    {
        if ($board->address === null || $board->phase !== 'up') {
            return;
        }
        $doors = $this->doorsOf($board);
        $at = $this->loopback($board->address);
        if ($at === null) {
            return;
        }
        $key = $board->hostKey();
        if ($board->files === [] || ($board->boot->remoteLogin ?? false)) {
            $doors->tcp($at, 22, fn (ConnectionInterface $c) => SshDoor::open($c, $key));
        }
        if ($board->shareWorks()) {
            $doors->tcp($at, 445, fn (ConnectionInterface $c) => null);
        }
        foreach ($board->services as $service) {
            if ($service['protocol'] === 'udp') {
                $doors->udp($at, $service['port']);
            } elseif ($service['port'] !== 22) {
                $doors->tcp(
                    $at,
                    $service['port'],
                    fn (ConnectionInterface $c) => $c->end(
                        "HTTP/1.0 200 OK\r\nContent-Type: text/plain\r\n\r\n{$board->id}\n",
                    ),
                );
            }
        }
    }

    private function doorsOf(Board $board): Doors
    {
        return $this->doors[$board->id] ??= new Doors($this->offset);
    }

    /**
     * Where an address stands on this machine; null for IPv6, and for what would fall on the machine's own
     * 127.0.0.0/24.
     */
    private function loopback(string $address): ?string
    {
        $place =
            filter_var($address, FILTER_VALIDATE_IP, FILTER_FLAG_IPV4) === false
                ? '127.0.0.1'
                : '127.'.explode('.', $address, 2)[1];

        return str_starts_with($place, '127.0.0.') ? null : $place;
    }

    /** No power: nothing runs, nothing answers; the disk is unmounted and comes back by its fstab line. */
    private function cut(Board $board): void
    {
        array_map(Loop::cancelTimer(...), $this->timers[$board->id] ?? []);
        $this->timers[$board->id] = [];
        ($this->doors[$board->id] ?? null)?->close();
        unset($this->doors[$board->id]);
        $board->phase = 'off';
        $board->address = null;
        $board->powered = false;
        if ($board->disk !== null) {
            $board->disk->mountedAt = null;
        }
    }

    private function after(Board $board, float $seconds, callable $then): void
    {
        $this->timers[$board->id][] = Loop::addTimer(
            $seconds / $this->speed,
            fn () => $this->carefully($board, $then),
        );
    }

    private function save(): void
    {
        $state = [
            'speed' => $this->speed,
            'router' => $this->router->state(),
            'boards' => array_map(fn (Board $b): array => $b->state(), array_values($this->boards)),
        ];
        $text = json_encode($state, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE);
        $temporary = $this->stateFile.'.new';
        // Renamed only when whole: on a full disk the state from before stays.
        if (is_string($text) && @file_put_contents($temporary, $text) === strlen($text)) {
            chmod($temporary, 0600);
            rename($temporary, $this->stateFile);
        } else {
            @unlink($temporary);
            fwrite(STDERR, "bench: its state could not be written; the one from before is kept.\n");
        }
    }
}
