<?php

declare(strict_types=1);

use App\Http\Controllers\Filter\FilterController;
use Illuminate\Support\Facades\Route;

// Looking, for keepers alone: what was asked in a house is nothing for guests.
Route::middleware(['auth', 'shown-to-keepers'])->group(function (): void {
    Route::get('/filter', [FilterController::class, 'index'])->name('filter');
    Route::get('/filter/file/{kind}', [FilterController::class, 'file'])->name('filter.file');
});

// Keeping.
Route::middleware(['auth', 'keeper'])->group(function (): void {
    Route::post('/filter/lists', [FilterController::class, 'add'])->name('filter.add');
    Route::post('/filter/lists/{list}/away', [FilterController::class, 'away'])->name('filter.away');
    Route::post('/filter/lists/{list}/choose', [FilterController::class, 'choose'])->name('filter.choose');
    Route::post('/filter/log', [FilterController::class, 'log'])->name('filter.log');
    Route::post('/filter/compare', [FilterController::class, 'compare'])->name('filter.compare');
    Route::post('/filter/exceptions', [FilterController::class, 'exception'])->name('filter.exception');
    Route::post('/filter/exceptions/{exception}/away', [FilterController::class, 'noException'])->name(
        'filter.no-exception',
    );
    Route::post('/filter/why', [FilterController::class, 'why'])->name('filter.why');
});
