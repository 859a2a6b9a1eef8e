<?php

declare(strict_types=1);

namespace Bench;

use Bench\Board\Board;
use Bench\Board\FirstBoot;
use Bench\Net\PackageIndex;
use Bench\Net\Router;
use Bench\Programs\Programs;
use Bench\Services\Services;
use Bench\Shell\Shell;
use Closure;
use Throwable;

/** How a board comes up from when it gets its power, and what is left of it without. */
final readonly class Starting
{
    /** Growing the file system, making keys and installing packages at first boot, in seconds of board time. */
    private const FIRST_BOOT_EXTRA = 90;

    /**
     * @param  Closure(): Router  $router  as it is by then
     * @param  Closure(): void  $save  the state of the bench
     */
    public function __construct(
        private Wall $wall,
        private Clock $clock,
        private PackageIndex $index,
        private Closure $router,
        private Closure $save,
    ) {
    }

    public function start(Board $board): void
    {
        $board->phase = 'starting';
        $board->startedAt = microtime(true);
        $board->screen = ['power'];
        if ($board->fault?->starts() === false) {
            $board->screen = [];

            return;
        }
        if ($board->fault?->reachesNetwork() === false) {
            ($this->router)()->forget($board->mac);
        }
        if (($board->files === [] && $board->services === []) || $board->fault?->findsSystem() === false) {
            $board->phase = 'no card';
            $board->screen[] = 'no bootable card found';

            return;
        }
        $boot = $board->boot = FirstBoot::from($board->files, $board->fault?->hasCable() !== false);
        $extra = $board->firstBootDone ? 0 : self::FIRST_BOOT_EXTRA;
        $this->after(
            $board,
            $board->networkAfter * 0.4,
            fn () => ($board->screen = [...$board->screen, ...$boot->screen]),
        );
        $this->after($board, (float) $board->networkAfter, fn () => $this->onNetwork($board));
        $this->after($board, $board->networkAfter + $extra, function () use ($board): void {
            $this->begin($board);
            $this->wall->open($board);
            $this->after($board, Services::SETTLES, fn () => $this->wall->open($board));
            ($this->save)();
        });
    }

    /**
     * The system is up: at its first start it installs what the card names, and at each one starts what is
     * enabled.
     */
    public function begin(Board $board): void
    {
        if (! $board->firstBootDone) {
            $board->firstBootDone = true;
            $named = implode(' ', array_map(escapeshellarg(...), $board->boot->packages ?? []));
            $named === '' ||
                (new Shell(new Programs($this->index)))->run($board, "sudo apt-get --yes install {$named}");
        }
        $user = $board->boot->user ?? '';
        $board->machine->session = $board->machine->groups[$user] ?? [];
        $board->mount();
        Services::boot($board);
    }

    public function onNetwork(Board $board): void
    {
        $board->phase = 'up';
        $name = $board->files === [] ? $board->name : $board->hostname();
        if (
            ($board->files !== [] && ! ($board->boot->network ?? false)) ||
            $board->fault?->getsAddress() === false ||
            $board->fault?->hasCable() === false
        ) {
            $board->screen[] = 'no address';

            return;
        }
        $router = ($this->router)();
        $board->address =
            $board->fault?->isMoved() === true
                ? $router->move($board->mac, $name, time())
                : $board->boot->address ?? $router->ask($board->mac, $name, time());
        $board->screen[] = "{$name} {$board->address}";
        if (! $this->wall->appear($board)) {
            $board->screen[] =
                "the bench has no place for {$board->address}: it stands in for IPv4 addresses, ".
                "and not for those that would fall on this machine's own";
        }
        ($this->save)();
    }

    /**
     * What goes wrong with one board stays with it: it loses its power, its screen says so, and the others run on.
     */
    public function carefully(Board $board, callable $act): void
    {
        try {
            $act();
        } catch (Throwable $problem) {
            fwrite(STDERR, "bench: board {$board->id}: {$problem->getMessage()}\n");
            $this->cut($board);
            $board->screen[] = 'the bench could not go on with this board: '.$problem->getMessage();
            ($this->save)();
        }
    }

    /** No power: nothing runs, nothing answers; the disk is unmounted and comes back by its fstab line. */
    public function cut(Board $board): void
    {
        $this->clock->forget($board->id);
        $this->wall->close($board);
        $board->phase = 'off';
        $board->address = null;
        $board->powered = false;
        foreach ($board->disks as $disk) {
            $disk->mountedAt = null;
            $disk->readOnly = false;
        }
    }

    public function after(Board $board, float $seconds, callable $then): void
    {
        $slowness = $board->fault?->slowness() ?? 1.0;
        $this->clock->after($board->id, $seconds * $slowness, fn () => $this->carefully($board, $then));
    }
}
