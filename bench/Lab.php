<?php

declare(strict_types=1);

namespace Bench;

use Bench\Board\Board;
use Bench\Board\Disk;
use Bench\Board\FirstBoot;
use Bench\Board\Machine;
use Bench\Faults\Fault;
use Bench\Faults\Faults;
use Bench\Faults\Well;
use Bench\Net\Inside;
use Bench\Net\Line;
use Bench\Net\PackageIndex;
use Bench\Net\Router;
use Bench\Net\SshDoor;
use Bench\Programs\Programs;
use Bench\Services\ReportText;
use Bench\Services\Services;
use Bench\Shell\Shell;
use Throwable;

/** The bench: boards, a router and a package index on loopback, with a clock that runs as fast as asked. */
final class Lab
{
    /** @var array<string, Board> */
    private array $boards = [];

    private Router $router;

    private Line $line;

    private Inside $inside;

    private readonly PackageIndex $index;

    private readonly Wall $wall;

    private readonly Clock $clock;

    private readonly State $state;

    private readonly Starting $starting;

    public function __construct(string $stateFile, int $offset, string $socket)
    {
        $this->index = new PackageIndex();
        $this->wall = new Wall($offset, $socket);
        $this->clock = new Clock();
        $this->state = new State($stateFile);
        $this->starting = new Starting(
            $this->wall,
            $this->clock,
            $this->index,
            fn (): Router => $this->router,
            $this->save(...),
        );
        $this->line = new Line();
        $this->inside = new Inside();
        $this->router = new Router($this->inside->poolFirst, $this->inside->poolLast);
        if (! $this->state->wakeUp($this->load(...))) {
            $this->boards = [];
            $this->wall->clear();
            $this->router = new Router($this->inside->poolFirst, $this->inside->poolLast);
        }
    }

    /**
     * Puts the bench into a given state; boards that were powered run again at once.
     *
     * @param  array<string, mixed>  $state
     */
    public function load(array $state): void
    {
        array_map($this->starting->cut(...), array_values($this->boards));
        /**
         * @var array{speed?: int|float, pool?: array{string, string}, inside?: mixed, router?: array{reservations?: array<string, string>, leases?: array<string, array{address: string, name: string, expires: int}>}, boards?: list<array<string, mixed>>, line?: mixed} $state
         */
        $this->clock->setSpeed((float) ($state['speed'] ?? 20));
        $inside = $state['inside'] ?? null;
        $this->inside = $this->wall->inside = Inside::from(is_array($inside) ? State::named($inside) : []);
        [$first, $last] = $state['pool'] ?? [$this->inside->poolFirst, $this->inside->poolLast];
        $this->router = new Router(
            $first,
            $last,
            $state['router']['reservations'] ?? [],
            $state['router']['leases'] ?? [],
        );
        $line = $state['line'] ?? null;
        $this->line = Line::from(is_array($line) ? State::named($line) : []);
        $this->wall->names = $this->line->names();
        $this->boards = [];
        foreach ($state['boards'] ?? [] as $entry) {
            try {
                $board = Board::from($entry);
            } catch (Throwable $problem) {
                fwrite(STDERR, "bench: a board could not be put back ({$problem->getMessage()}).\n");

                continue;
            }
            $board->rate = $this->inside->rate;
            $board->speed = $this->clock->speed();
            $this->boards[$board->id] = $board;
            if (
                $board->powered &&
                $board->fault?->starts() !== false &&
                $board->fault?->findsSystem() !== false
            ) {
                $this->starting->carefully($board, function () use ($board): void {
                    $board->boot = FirstBoot::from($board->files, $board->fault?->hasCable() !== false);
                    $board->firstBootDone && $this->starting->begin($board);
                    $this->starting->onNetwork($board);
                    $this->wall->open($board);
                    $this->starting->after($board, Services::SETTLES, fn () => $this->wall->open($board));
                });
            }
        }
        $this->save();
    }

    /**
     * @param  array<string, string>  $files
     * @param  ?array<string, mixed>  $disk
     * @param  list<array{port: int, protocol: string}>  $services  that a ready-made image brings
     */
    public function insert(
        string $id,
        string $mac,
        string $class,
        int $networkAfter,
        array $files,
        ?array $disk,
        array $services = [],
    ): Board {
        $board =
            $this->boards[$id] ??
            new Board($id, $mac, $class, $networkAfter, disks: $disk === null ? [] : [Disk::from($disk)]);
        $this->starting->cut($board);
        $board->insert($files, $services);
        $board->rate = $this->inside->rate;
        $board->speed = $this->clock->speed();
        $this->boards[$id] = $board;
        $this->save();

        return $board;
    }

    /** The card of a board goes into another one: the same system, another hardware address. */
    public function swap(Board $board, string $mac): void
    {
        $this->starting->cut($board);
        $other = Board::from(['mac' => $mac] + $board->state());
        $other->powered = false;
        $other->rate = $this->inside->rate;
        $other->speed = $this->clock->speed();
        $this->boards[$board->id] = $other;
        $this->save();
    }

    /** A new card from the same image with the same settings: a new system with new keys. */
    public function renew(Board $board): void
    {
        $this->starting->cut($board);
        $board->insert($board->files, $board->services);
        $this->save();
    }

    /** @param  array<string, mixed>  $disk */
    public function plug(Board $board, array $disk): void
    {
        $other = Disk::from($disk);
        // A disk is plugged in once, however often somebody says so.
        $board->disk(fn (Disk $one): bool => $one->serial === $other->serial) ?? ($board->disks[] = $other);
        $this->save();
    }

    /** By its serial number. One that is pulled while it is mounted is gone like that. */
    public function unplug(Board $board, string $serial): void
    {
        $board->disks = array_values(
            array_filter($board->disks, fn (Disk $one): bool => $one->serial !== $serial),
        );
        $this->save();
    }

    /** Another supply, cable, case or fan: what was wrong with the old one is gone. */
    public function otherPart(Board $board): void
    {
        $board->fault = $board->fault?->withOtherPart();
        $this->save();
    }

    public function board(string $id): ?Board
    {
        return $this->boards[$id] ?? null;
    }

    /** It died, or is wanted no more: with it go its card and its host key. What the router remembers of it stays. */
    public function scrap(Board $board): void
    {
        $this->starting->cut($board);
        unset($this->boards[$board->id]);
        $this->save();
    }

    public function power(Board $board, bool $on): void
    {
        $this->starting->cut($board);
        $board->powered = $on;
        if ($on) {
            $this->starting->carefully($board, fn () => $this->starting->start($board));
        }
        $this->save();
    }

    public function type(Board $board, string $command): string
    {
        if ($board->phase !== 'up' || ! $board->firstBootDone) {
            // As ssh says it, of a machine that is there and not ready, and of none.
            $at = $board->address ?? 'the box';

            return "ssh: connect to host {$at} port 22: ".
                ($board->phase === 'up' ? 'Connection refused' : 'No route to host');
        }
        $output = (new Shell(new Programs($this->index)))->run($board, $command);
        $asked = $board->takeAsked();
        if ($asked !== null) {
            $this->starting->cut($board);
            $board->powered = $asked === 'reboot';
            $board->powered && $this->starting->carefully($board, fn () => $this->starting->start($board));
        } else {
            $this->wall->open($board);
            $this->starting->after($board, Services::SETTLES, fn () => $this->wall->open($board));
        }
        $this->save();

        return $output;
    }

    /** Puts a fault into a board, or takes it out; it shows from the next start on. */
    public function fault(Board $board, string $name): void
    {
        $board->fault = Faults::of($name);
        $this->save();
    }

    /** Its page gets an owner: whoever comes first. */
    public function claim(Board $board): void
    {
        $board->claimed = true;
        $this->wall->open($board);
        $this->save();
    }

    /** What the report's script prints there; null where it was never laid down. */
    public function report(Board $board): ?string
    {
        return $board->machine->read(Machine::REPORT) === null
            ? null
            : (string) new ReportText($board, $this->index, $this->inside);
    }

    /** What a person sees who looks at one place of a board. */
    public function look(Board $board, string $at): string
    {
        return strtr($board->fault?->looks($at) ?? (Well::LOOKS[$at] ?? ''), [
            '{router}' => $this->inside->router,
            '{desk}' => (string) long2ip((int) ip2long($this->inside->poolFirst) + 4),
            '{bits}' => (string) $this->inside->bits,
        ]);
    }

    /**
     * The house is this network from now on: its router lends out addresses of it, and what it lent out or kept for
     * somebody elsewhere is gone. A board that is on keeps the address that it has until it starts again.
     *
     * @param  array<string, mixed>  $network  router, first, last, bits
     */
    public function live(array $network): void
    {
        $before = $this->inside->state()['network'];
        $this->inside->live($network);
        if ($this->inside->state()['network'] !== $before) {
            $state = $this->router->state();
            $this->router = new Router(
                $this->inside->poolFirst,
                $this->inside->poolLast,
                array_filter($state['reservations'], $this->inside->holds(...)),
                array_filter($state['leases'], fn (array $one): bool => $this->inside->holds($one['address'])),
            );
            $this->save();
        }
    }

    public function reserve(string $mac, string $address): void
    {
        $this->router->reserve($mac, $address);
        $this->save();
    }

    /** An opening of the router to a board, which may have another port inside. */
    public function open(int $port, string $protocol, string $address, int $inside): void
    {
        $this->line->open($port, $protocol, $address, $inside);
        $this->save();
    }

    public function shut(int $port, string $protocol): void
    {
        $this->line->shut($port, $protocol);
        $this->save();
    }

    public function changeLine(string $kind): void
    {
        $this->line->become($kind);
        $this->save();
    }

    public function redial(bool $nameFollows): void
    {
        $this->line->redial($nameFollows);
        $this->wall->names = $this->line->names();
        foreach ($this->boards as $board) {
            $this->wall->open($board);
        }
        $this->save();
    }

    /** @param  list<string>  $servers  that the router hands out from now on */
    public function handOut(array $servers): void
    {
        $this->inside->handOut($servers);
        $this->save();
    }

    /** How fast the line is from now on, in Mbit/s; 0 is no internet. */
    public function runAt(float $rate): void
    {
        $this->inside->run($rate);
        foreach ($this->boards as $board) {
            $board->rate = $this->inside->rate;
            $this->wall->open($board);
        }
        $this->save();
    }

    /** @return list<array{at: float, board: string, address: ?string}> who took which address when, and who left */
    public function wire(): array
    {
        return $this->wall->wire;
    }

    /** Where a name of .local is answered by multicast: at the board that is called so; null where none is. */
    public function byMulticast(string $name): ?string
    {
        foreach ($this->boards as $board) {
            if (
                $board->address !== null &&
                $board->fault?->isHidden() !== true &&
                strtolower(($board->files === [] ? $board->name : $board->hostname()).'.local') ===
                    strtolower($name)
            ) {
                return $board->address;
            }
        }

        return null;
    }

    /**
     * What the phone outside meets that tries a port of the house.
     *
     * @return array{address: string, port: int}|null
     */
    public function fromOutside(int $port, string $protocol): ?array
    {
        return $this->line->leadsTo($port, $protocol);
    }

    public function leaseFile(): string
    {
        return $this->router->leaseFile();
    }

    public function setSpeed(float $speed): void
    {
        $this->clock->setSpeed($speed);
        foreach ($this->boards as $board) {
            $board->speed = $this->clock->speed();
        }
        $this->save();
    }

    /** @return array<string, mixed> for the bench page; no key and no card content */
    public function status(): array
    {
        return [
            'faults' => array_map(
                fn (Fault $fault): array => [$fault->name(), $fault->label()],
                Faults::all(),
            ),
            'speed' => $this->clock->speed(),
            'line' => $this->line->state(),
            'lines' => Line::kinds(),
            'inside' => $this->inside->state(),
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
                    'fault' => $board->fault?->name(),
                    'claimed' => $board->claimed,
                    'disks' => array_map(fn (Disk $one): array => $one->state(), $board->disks),
                    'fingerprint' => $board->phase === 'up' && $board->secretKey !== null
                            ? 'SHA256:'.
                                rtrim(
                                    base64_encode(
                                        hash('sha256', SshDoor::publicBlob($board->secretKey), true),
                                    ),
                                    '=',
                                )
                            : null,
                ],
                array_values($this->boards),
            ),
        ];
    }

    private function save(): void
    {
        $this->wall->router($this->router->names($this->inside->domain));
        $this->state->save([
            'speed' => $this->clock->speed(),
            'router' => $this->router->state(),
            'line' => $this->line->state(),
            'inside' => $this->inside->state(),
            'boards' => array_map(fn (Board $b): array => $b->state(), array_values($this->boards)),
        ]);
    }
}
