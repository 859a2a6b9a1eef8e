<?php

declare(strict_types=1);

use App\Demo\DemoBench;
use App\Models\Network;
use App\Models\OutsideTrial;
use Tests\Bench\BenchProcess;

// The house seen by a phone of the bench that stands outside.

/** The demo's house on a bench of the test's own. */
function benchOutside(): BenchProcess
{
    $bench = new BenchProcess();
    config(['burrow.bench_socket' => $bench->socket(), 'burrow.bench_offset' => BenchProcess::OFFSET]);
    $bench->ask(['do' => 'load', 'state' => DemoBench::state()]);
    $bench->until(fn () => $bench->isOpen('127.22.8.10', 53) && $bench->isOpen('127.22.8.11', 445));

    return $bench;
}

/** @return array<string, bool> what was noted: "22 tcp" => answered */
function noted(): array
{
    return OutsideTrial::query()
        ->get()
        ->mapWithKeys(fn (OutsideTrial $one): array => ["{$one->port} {$one->protocol}" => $one->answered])
        ->all();
}

test('the phone of the bench tries what must answer and what must not', function (): void {
    $bench = benchOutside();
    $this->asKeeper()
        ->followingRedirects()
        ->post('/reach/trials/bench')
        ->assertSee('All that could be told is as it must be.');
    expect(noted())->toMatchArray(['22 tcp' => false, '53 tcp' => false, '445 tcp' => false]);

    // Somebody let the file share in, in the router alone.
    $this->followingRedirects()
        ->post('/bench/openings', ['opening' => '445 tcp 172.22.8.11 445'])
        ->assertSee('445 tcp → 172.22.8.11:445');
    $this->followingRedirects()
        ->post('/reach/trials/bench')
        ->assertSee('Not as it must be: 445 tcp.')
        ->assertSee('Port 445 tcp answered from outside on');

    // Behind a carrier nobody comes in, whatever the router lets in.
    $this->post('/bench/line', ['kind' => 'carrier']);
    $this->post('/reach/trials/bench');
    expect(noted()['445 tcp'])->toBeFalse();
    unset($bench);
});

test('a line that changed: the house\'s resolver says where the name leads', function (): void {
    $bench = benchOutside();
    $this->asKeeper()->followingRedirects()->post('/reach/name')->assertSee('seeds.example.net leads here.');
    $this->post('/bench/redial', ['follows' => '1']);
    $this->followingRedirects()->post('/reach/name')->assertSee('leads to 203.0.113.28.');
    expect(Network::home()->name_wrong_since)->not->toBeNull();
    unset($bench);
});

test('an opening of the bench that is none is told, and stays typed', function (string $typed): void {
    $bench = benchOutside();
    $this->asKeeper()
        ->followingRedirects()
        ->post('/bench/openings', ['opening' => $typed])
        ->assertSee('It is written as: port outside')
        ->assertSee('value="'.e($typed).'"', false);
    unset($bench);
})->with(['', '8443', '99999 tcp', '8443 both', '8443 tcp larder 443', '8443 tcp 172.22.8.11 0 <b>']);
