<?php

declare(strict_types=1);

use App\Http\Controllers\Bench\BenchController;
use Illuminate\Support\Facades\Route;

// Looking.
Route::middleware('auth')->group(function (): void {
    Route::get('/bench', [BenchController::class, 'index'])->name('bench');
});

// Keeping.
Route::middleware(['auth', 'keeper'])->group(function (): void {
    Route::post('/bench/card', [BenchController::class, 'card'])->name('bench.card');
    Route::post('/bench/power', [BenchController::class, 'power'])->name('bench.power');
    Route::post('/bench/fault', [BenchController::class, 'fault'])->name('bench.fault');
    Route::post('/bench/speed', [BenchController::class, 'speed'])->name('bench.speed');
});
