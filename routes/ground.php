<?php

declare(strict_types=1);

use App\Http\Controllers\Ground\GroundController;
use App\Http\Controllers\Ground\PlainController;
use App\Http\Controllers\Ground\ThenController;
use App\Http\Controllers\Ground\WithoutController;
use Illuminate\Support\Facades\Route;

// Looking.
Route::middleware('auth')->group(function (): void {
    Route::get('/', GroundController::class)->name('ground');
    Route::get('/is-it-on', PlainController::class)->name('plain');
    Route::get('/without', WithoutController::class)->name('without');
});

// Looking, for keepers alone: ways in from outside that are past.
Route::middleware(['auth', 'shown-to-keepers'])->group(function (): void {
    Route::get('/then', ThenController::class)->name('then');
});
