<?php

declare(strict_types=1);

use Tests\Bench\BenchProcess;

// Machines of the house and a phone outside want names on the bench; whom they ask answers over real sockets.

function benchWithBoards(): BenchProcess
{
    $bench = new BenchProcess();
    config(['burrow.bench_socket' => $bench->socket(), 'burrow.bench_offset' => BenchProcess::OFFSET]);
    $board = fn (int $id, string $name, string $address, array $services): array => [
        'id' => "b{$id}",
        'mac' => "02:4b:1e:90:00:0{$id}",
        'class' => 'Flint',
        'networkAfter' => 1,
        'powered' => true,
        'firstBootDone' => true,
        'name' => $name,
        'services' => $services,
    ];
    $bench->ask([
        'do' => 'load',
        'state' => [
            'speed' => 1000,
            'inside' => ['dns' => ['172.22.8.10'], 'domain' => 'thistledown.home.arpa'],
            'line' => ['kind' => 'fixed', 'name' => 'seeds.example.net'],
            'router' => [
                'reservations' => [
                    '02:4b:1e:90:00:01' => '172.22.8.10',
                    '02:4b:1e:90:00:02' => '172.22.8.11',
                ],
            ],
            'boards' => [
                $board(1, 'sieve', '172.22.8.10', [['port' => 53, 'protocol' => 'udp']]),
                $board(2, 'larder', '172.22.8.11', [['port' => 445, 'protocol' => 'tcp']]),
            ],
        ],
    ]);

    return $bench;
}

function clientAsks(string $kind, string $name): string
{
    test()
        ->post('/bench/client', ['client' => $kind, 'client_name' => $name])
        ->assertRedirect('/bench');

    return (string) session('told');
}

test('each client asks whom it was told, and says who answered', function (): void {
    $bench = benchWithBoards();
    $this->asKeeper();
    // The filter is handed out: it refuses, and knows the world.
    expect(clientAsks('desktop', 'www.example.org'))
        ->toContain('www.example.org is at 198.51.100.7, by 172.22.8.10.')
        ->and(clientAsks('plain', 'larder.local'))
        ->toContain('resolvers do not know .local')
        ->and(clientAsks('desktop', 'larder.local'))
        ->toContain('larder.local is at 172.22.8.11, by multicast.')
        ->and(clientAsks('desktop', 'finch.local'))
        ->toContain('nobody answered by multicast')
        ->and(clientAsks('phone', 'larder.local'))
        ->toContain('nobody outside knows')
        ->and(clientAsks('phone', 'seeds.example.net'))
        ->toContain('leads to 203.0.113.27');

    // The router hands itself out: names of its list are known.
    $this->post('/bench/dns', ['bench_dns' => '']);
    expect(clientAsks('plain', 'larder.thistledown.home.arpa'))->toContain(
        'larder.thistledown.home.arpa is at 172.22.8.11, by 172.22.8.1.',
    );

    // The first one is away, so the second is asked; a word that is no address is not handed out.
    $this->post('/bench/dns', ['bench_dns' => '172.22.8.99 172.22.8.1']);
    expect(clientAsks('plain', 'larder'))->toContain('by 172.22.8.1.');
    $this->post('/bench/dns', ['bench_dns' => 'sieve']);
    expect(session('told'))
        ->toContain('IPv4 addresses')
        ->and($bench->ask(['do' => 'status'])['inside']['dns'])
        ->toBe(['172.22.8.99', '172.22.8.1']);
});

test('without internet the world has no names, and the house keeps its own', function (): void {
    $bench = benchWithBoards(); // It ends with the variable.
    $this->asKeeper()->post('/bench/rate', ['mbit' => '0']);
    expect(clientAsks('plain', 'www.example.org'))
        ->toContain('172.22.8.10 says')
        ->not->toContain('198.51.100.7');
    $this->post('/bench/dns', ['bench_dns' => '172.22.8.1']);
    expect(clientAsks('plain', 'larder'))
        ->toContain('172.22.8.11')
        ->and(clientAsks('plain', 'www.example.org'))
        ->not->toContain('198.51.100.7');
    $this->post('/bench/rate', ['mbit' => '16']);
    expect(clientAsks('plain', 'www.example.org'))->toContain('198.51.100.7');
    $this->post('/bench/rate', ['mbit' => 'fast']);
    expect(session('told'))->toContain('Mbit/s');
});
