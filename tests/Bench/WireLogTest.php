<?php

declare(strict_types=1);

use Tests\Bench\BenchProcess;

test(
    'two boards at one address stand in the list of comings and goings, and one after the other does not',
    function (): void {
        $bench = new BenchProcess(1000);
        $into = function (string $board, string $mac, bool $on = true) use ($bench): void {
            $bench->ask([
                'do' => 'insert',
                'board' => $board,
                'mac' => $mac,
                'class' => 'Flint',
                'network_after' => 1,
                'files' => (object) benchCard($board),
            ]);
            $bench->ask(['do' => 'reserve', 'mac' => $mac, 'address' => '172.22.8.31']);
            $bench->ask(['do' => 'power', 'board' => $board, 'on' => $on]);
        };
        $into('one', '02:4b:1e:90:00:01');
        $bench->until(fn () => $bench->isOpen('127.22.8.31', 22));
        $bench->ask(['do' => 'power', 'board' => 'one', 'on' => false]);
        $into('other', '02:4b:1e:90:00:02');
        $bench->until(fn () => $bench->isOpen('127.22.8.31', 22));
        expect(twoAtOne($bench))->toBe([]);
        $bench->ask(['do' => 'power', 'board' => 'one', 'on' => true]);
        $bench->until(fn () => twoAtOne($bench) !== []);
        expect(twoAtOne($bench))->toBe(['172.22.8.31']);
    },
);
