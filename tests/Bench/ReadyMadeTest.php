<?php

declare(strict_types=1);

use Tests\Bench\BenchProcess;

test(
    'the page of a ready-made image asks its first visitor to own it, until somebody does; a new card asks again',
    function (): void {
        $bench = new BenchProcess(1000);
        $insert = fn () => $bench->ask([
            'do' => 'insert',
            'board' => 'hub',
            'mac' => '02:4b:1e:90:00:0c',
            'class' => 'Flint',
            'network_after' => 1,
            'files' => (object) benchCard('hub'),
            'services' => [['port' => 8091, 'protocol' => 'tcp'], ['port' => 22, 'protocol' => 'tcp']],
        ]);
        $page = function () use ($bench): string {
            $bench->until(fn () => $bench->isOpen('127.22.8.100', 8091));

            return (string) file_get_contents('http://127.22.8.100:'.(8091 + BenchProcess::OFFSET).'/');
        };
        $insert();
        $bench->ask(['do' => 'power', 'board' => 'hub', 'on' => true]);
        expect($page())->toContain('create an owner account');
        $bench->ask(['do' => 'claim', 'board' => 'hub']);
        expect($page())->not->toContain('create an owner account');
        // It keeps that over a restart, and a new card has a new page.
        $bench->ask(['do' => 'power', 'board' => 'hub', 'on' => false]);
        $bench->ask(['do' => 'power', 'board' => 'hub', 'on' => true]);
        expect($page())->not->toContain('create an owner account');
        $insert();
        $bench->ask(['do' => 'power', 'board' => 'hub', 'on' => true]);
        expect($page())->toContain('create an owner account');
    },
);
