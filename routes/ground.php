<?php

declare(strict_types=1);

use App\Http\Controllers\Ground\GroundController;
use App\Http\Controllers\Ground\PlainController;
use App\Http\Controllers\Ground\WithoutController;
use Illuminate\Support\Facades\Route;

// Looking.
Route::middleware('auth')->group(function (): void {
    Route::get('/', GroundController::class)->name('ground');
    Route::get('/is-it-on', PlainController::class)->name('plain');
    Route::get('/without', WithoutController::class)->name('without');
});
