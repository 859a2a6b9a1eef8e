<?php

declare(strict_types=1);

use App\Http\Controllers\Stores\AlikeController;
use App\Http\Controllers\Stores\ArraysController;
use App\Http\Controllers\Stores\BackupsController;
use App\Http\Controllers\Stores\GrowthController;
use App\Http\Controllers\Stores\RestController;
use App\Http\Controllers\Stores\RightsController;
use App\Http\Controllers\Stores\StoresController;
use Illuminate\Support\Facades\Route;

// Looking.
Route::middleware('auth')->group(function (): void {
    Route::get('/stores', StoresController::class)->name('stores');
    Route::get('/stores/arrays', ArraysController::class)->name('arrays');
    Route::get('/stores/rest', RestController::class)->name('rest');
    Route::get('/stores/growth', GrowthController::class)->name('growth');
});

// Looking, for keepers alone.
Route::middleware(['auth', 'shown-to-keepers'])->group(function (): void {
    Route::get('/stores/rights', [RightsController::class, 'index'])->name('rights');
    Route::get('/stores/alike', [AlikeController::class, 'index'])->name('alike');
    Route::get('/stores/backups', [BackupsController::class, 'index'])->name('backups');
    Route::get('/stores/backups/{backup}/{file}', [BackupsController::class, 'file'])->name('backups.file');
});

// Keeping. Where the copies of a house lie, and what opens them, is nothing for guests.
Route::middleware(['auth', 'keeper'])->group(function (): void {
    Route::post('/stores/note', [StoresController::class, 'note'])->name('stores.note');
    Route::post('/stores/rights', [RightsController::class, 'read'])->name('rights.read');
    Route::post('/stores/alike', [AlikeController::class, 'store'])->name('alike.add');
    Route::post('/stores/alike/{pair}', [AlikeController::class, 'said'])->name('alike.said');
    Route::post('/stores/alike/{pair}/away', [AlikeController::class, 'away'])->name('alike.away');
    Route::post('/stores/backups', [BackupsController::class, 'store'])->name('backups.add');
    Route::post('/stores/backups/said', [BackupsController::class, 'said'])->name('backups.said');
    Route::post('/stores/backups/{backup}', [BackupsController::class, 'update'])->name('backups.change');
    Route::post('/stores/backups/{backup}/away', [BackupsController::class, 'away'])->name('backups.away');
    Route::post('/stores/backups/{backup}/drill', [BackupsController::class, 'drill'])->name('backups.drill');
});
