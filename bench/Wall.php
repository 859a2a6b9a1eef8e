<?php

declare(strict_types=1);

namespace Bench;

use Bench\Board\Board;
use Bench\Board\Machine;
use Bench\Net\Answers;
use Bench\Net\Door;
use Bench\Net\Doors;
use Bench\Net\Inside;
use Bench\Net\RemoteLogin;
use Bench\Net\SshDoor;
use Bench\Services\Registry;
use Bench\Services\Services;
use Closure;
use React\Socket\ConnectionInterface;

/** Where the boards' addresses stand on this machine, and which of their doors are open. */
final class Wall
{
    /** Tells a board that refuses from one that is not there; see app/Probe/Target.php. */
    private const PRESENCE = 7;

    /** Comings and goings that are remembered. */
    private const NOTED = 500;

    /** No board is called so. */
    private const ROUTER = 'the router';

    /** @var array<string, Doors> by board */
    private array $doors = [];

    /** @var array<string, string> what resolvers of the house know of the world: the house's own name */
    public array $names = [];

    /** What the router hands out, and whether there is a world. */
    public Inside $inside;

    /**
     * Who took which address when, and who left the wire: the newest last.
     *
     * @var list<array{at: float, board: string, address: ?string}>
     */
    public array $wire = [];

    /** @var array<string, string> names of the router's list, which resolvers of the house know too */
    private array $listed = [];

    /** @var ?non-empty-string */
    private ?string $stranger = null;

    /** @param  string  $socket  where the bench is asked */
    public function __construct(private readonly int $offset, private readonly string $socket)
    {
        $this->inside = new Inside();
    }

    /**
     * The router answers names: those of its list, the house's own and the world's.
     *
     * @param  array<string, string>  $names  of its list
     */
    public function router(array $names): void
    {
        $this->listed = $names;
        $doors = $this->doors[self::ROUTER] ??= new Doors($this->offset);
        $since = crc32(json_encode([$names, $this->names, $this->inside->rate > 0]) ?: '');
        $doors->show((string) $this->loopback($this->inside->router), [
            new Door(self::PRESENCE),
            ...array_map(
                fn (Door $door): Door => $door->since($since),
                Answers::names([], $names + $this->names, true, world: $this->inside->rate > 0),
            ),
        ]);
    }

    /** The board has its address now. False when the bench has no place for that. */
    public function appear(Board $board): bool
    {
        $at = $this->loopback((string) $board->address);
        if ($at === null) {
            return false;
        }
        $this->note($board->id, (string) $board->address);
        $this->doorsOf($board)->show($at, [new Door(self::PRESENCE)]);

        return true;
    }

    /** Without power nothing answers. */
    public function close(Board $board): void
    {
        isset($this->doors[$board->id]) && $this->note($board->id, null);
        ($this->doors[$board->id] ?? null)?->close();
        unset($this->doors[$board->id]);
    }

    public function clear(): void
    {
        $this->doors = [];
    }

    /** What the board listens on by now. */
    public function open(Board $board): void
    {
        if ($board->address === null || $board->phase !== 'up') {
            return;
        }
        $doors = $this->doorsOf($board);
        $at = $this->loopback($board->address);
        if ($at === null) {
            return;
        }
        if ($board->fault?->isHidden() === true) {
            $doors->close();

            return;
        }
        $key = $board->fault?->answersForAnother() === true ? $this->strangersKey() : $board->hostKey();
        $login = $board->files === [] || ($board->boot->remoteLogin ?? false);
        $wanted = [
            new Door(self::PRESENCE),
            ...$login ? [$this->remoteLogin($board, $key)] : [],
            ...$board->firstBootDone ? Services::doors($board) : [],
            ...$board->firstBootDone || $board->files === [] ? $this->brought($board) : [],
        ];
        $wanted = array_map(
            fn (Door $door): Door => $door->port !== self::PRESENCE &&
            $board->fault?->drops($door->port) === true
                ? $door->silent()
                : $door,
            $wanted,
        );
        $doors->show(
            $at,
            array_values(
                array_filter(
                    $wanted,
                    fn (Door $door): bool => $door->protocol === 'udp' ||
                        $door->port === self::PRESENCE ||
                        $this->answers($board, $door->port),
                ),
            ),
        );
    }

    /**
     * Where a key is tied to the report the machine's own sshd answers; else what a stranger at the door gets to see.
     *
     * @param  non-empty-string  $key
     */
    private function remoteLogin(Board $board, string $key): Door
    {
        $real = RemoteLogin::of(
            $key,
            $board->account(),
            $board->machine->read(Machine::AUTHORIZED) ?? '',
            implode(
                ' ',
                array_map(escapeshellarg(...), [
                    PHP_BINARY,
                    dirname(__DIR__).'/bench/tell-report.php',
                    $this->socket,
                    $board->id,
                ]),
            ),
        );

        return $real === null
            ? new Door(22, serve: fn (ConnectionInterface $c) => SshDoor::open($c, $key))
            : new Door(22, since: $real->mark(), login: $real);
    }

    /** @return list<Door> of a board that stood already, or of a ready-made image */
    private function brought(Board $board): array
    {
        $doors = [];
        foreach ($board->services as ['port' => $port, 'protocol' => $protocol]) {
            $doors = [
                ...$doors,
                ...match (true) {
                    $port === 22 => [],
                    $port === 53 => $this->resolver(),
                    $protocol === 'udp' => [new Door($port, 'udp')],
                    $port === 445 => [new Door($port, serve: Answers::share())],
                    default => [
                        new Door($port, serve: $this->page($board), tls: $port === 443, since: (int) $board->claimed),
                    ],
                },
            ];
        }

        return $doors;
    }

    private function note(string $board, ?string $address): void
    {
        $this->wire = [
            ...array_slice($this->wire, 1 - self::NOTED),
            ['at' => microtime(true), 'board' => $board, 'address' => $address],
        ];
    }

    /** @return list<Door> opened anew when what it knows of the world is another */
    private function resolver(): array
    {
        return array_map(
            fn (Door $door): Door => $door->since(
                crc32(json_encode([$this->names, $this->listed, $this->inside->rate > 0]) ?: ''),
            ),
            Answers::names(Registry::REFUSED, $this->listed + $this->names, true, world: $this->inside->rate > 0),
        );
    }

    private function page(Board $board): Closure
    {
        $instead =
            $board->fault?->answersForAnother() === true ? [200, 'Another machine'] : $board->fault?->page();

        return match (true) {
            $instead !== null => Answers::page($instead[1], $instead[0]),
            $board->claimed => Answers::page($board->id),
            default => Answers::page('Welcome wizard: create an owner account'),
        };
    }

    /** @return non-empty-string the key of the machine that has the same address */
    private function strangersKey(): string
    {
        return $this->stranger ??= sodium_crypto_sign_secretkey(sodium_crypto_sign_keypair());
    }

    private function answers(Board $board, int $port): bool
    {
        return $board->fault?->opens($port) ?? true;
    }

    private function doorsOf(Board $board): Doors
    {
        return $this->doors[$board->id] ??= new Doors($this->offset);
    }

    /** Where an address stands on this machine, beside the machine's own 127.0.0.0/24; null for IPv6. */
    private function loopback(string $address): ?string
    {
        if (filter_var($address, FILTER_VALIDATE_IP, FILTER_FLAG_IPV4) === false) {
            return null;
        }
        [, $second, $third, $fourth] = explode('.', $address);

        return "{$second}.{$third}" === '0.0' ? "127.254.0.{$fourth}" : "127.{$second}.{$third}.{$fourth}";
    }
}
