<?php

declare(strict_types=1);

use App\Http\Controllers\Bench\BenchClientController;
use App\Http\Controllers\Bench\BenchController;
use App\Http\Controllers\Bench\BenchLineController;
use App\Http\Controllers\Bench\RehearsalController;
use Illuminate\Support\Facades\Route;

// Looking.
Route::middleware('auth')->group(function (): void {
    Route::get('/bench', [BenchController::class, 'index'])->name('bench');
    Route::get('/bench/rehearsal', [RehearsalController::class, 'index'])->name('rehearsal');
});

// Keeping.
Route::middleware(['auth', 'keeper'])->group(function (): void {
    Route::post('/bench/card', [BenchController::class, 'card'])->name('bench.card');
    Route::post('/bench/power', [BenchController::class, 'power'])->name('bench.power');
    Route::post('/bench/fault', [BenchController::class, 'fault'])->name('bench.fault');
    Route::post('/bench/speed', [BenchController::class, 'speed'])->name('bench.speed');
    Route::post('/bench/line', [BenchLineController::class, 'kind'])->name('bench.line');
    Route::post('/bench/dns', [BenchLineController::class, 'dns'])->name('bench.dns');
    Route::post('/bench/rate', [BenchLineController::class, 'rate'])->name('bench.rate');
    Route::post('/bench/client', BenchClientController::class)->name('bench.client');
    Route::post('/bench/redial', [BenchLineController::class, 'redial'])->name('bench.redial');
    Route::post('/bench/openings', [BenchLineController::class, 'opening'])->name('bench.opening');
    Route::post('/bench/rehearsal', [RehearsalController::class, 'begin'])->name('rehearsal.begin');
    Route::post('/bench/rehearsal/{rehearsal}/end', [RehearsalController::class, 'giveUp'])->name(
        'rehearsal.end',
    );
});
