<?php

declare(strict_types=1);

use App\Models\Box;
use App\Models\Network;
use Illuminate\Support\Facades\Route;

// The house may be any network, and may become another one at any time: nothing ends uncaught, whatever is found, typed
// or stored.

/** Every page and every way to ask, as the keeper. */
function asksEverything(string $why): void
{
    $run = Box::query()->where('name', 'wren')->firstOrFail()->run;
    foreach (Route::getRoutes()->getRoutes() as $route) {
        if (in_array('GET', $route->methods(), true)) {
            $status = test()->asKeeper()->get(pathOf($route))->getStatusCode();
            expect([$why, $route->uri(), $status < 500])->toBe([$why, $route->uri(), true]);
        }
    }
    foreach (Box::query()->pluck('id') as $id) {
        foreach (["/boxes/{$id}/ask", "/boxes/{$id}/diagnosis/ask"] as $path) {
            $status = test()->asKeeper()->post($path)->getStatusCode();
            expect([$why, $path, $status < 500])->toBe([$why, $path, true]);
        }
    }
    $run->steps()->update(['state' => 'done', 'finished_at' => now()]);
    foreach ($run->steps()->get() as $step) {
        $run->steps()->whereKey($step->id)->update(['state' => 'open', 'finished_at' => null]);
        foreach (['check', 'done', 'reserve'] as $action) {
            $answer = test()
                ->asKeeper()
                ->post("/runs/{$run->id}/steps/{$step->id}/{$action}", [
                    'version' => $step->fresh()->version,
                    'pasted' => '1796119999 02:4b:1e:90:00:07 198.51.100.9 wren *',
                    'address' => '198.51.100.9',
                    'found' => '198.51.100.9',
                ]);
            $broke = $answer->getStatusCode() < 500 ? '' : substr((string) $answer->exception, 0, 300);
            expect([$why, $step->step, $action, $broke])->toBe([$why, $step->step, $action, '']);
        }
        $run->steps()->whereKey($step->id)->update(['state' => 'done', 'finished_at' => now()]);
    }
}

test('no address outside of the house ends uncaught', function (string $prefix, bool $onBench): void {
    everythingOnce();
    $run = Box::query()->where('name', 'wren')->firstOrFail()->run;
    $learned = ['found' => '198.51.100.7', 'address' => '198.51.100.7', 'lease' => '198.51.100.7'];
    $run->update(['learned' => [...$run->learned, ...$learned]]);
    Box::query()->update(['on_bench' => $onBench]);
    Network::home()->update(['prefix' => $prefix]);
    asksEverything("{$prefix} ".(int) $onBench);
})->with([
    ['10.44.7.0/24', true],
    ['192.168.1.0/24', false],
    ['10.0.0.0/8', true],
    ['198.51.100.0/30', false],
    ['no prefix', false],
]);

test('a box that was found outside is said to be outside, at its step', function (): void {
    $run = newRun();
    Box::query()->where('name', 'wren')->update(['on_bench' => false]);
    Network::home()->update(['prefix' => '10.44.7.0/24', 'router' => '10.44.7.1']);
    $step = $run->steps()->where('step', 'door')->firstOrFail();
    $run->steps()
        ->where('position', '<', $step->position)
        ->update(['state' => 'done', 'finished_at' => now()]);
    $run->update(['learned' => [...$run->learned, 'found' => '172.22.8.101']]);
    $this->asKeeper()->post("/runs/{$run->id}/steps/{$step->id}/check", ['version' => $step->version]);
    expect(array_column($step->fresh()->findings, 'code'))->toBe(['bringup.outside_the_house']);
});
