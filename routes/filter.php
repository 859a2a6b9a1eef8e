<?php

declare(strict_types=1);

use App\Http\Controllers\Filter\FilterController;
use App\Http\Controllers\Filter\ProofController;
use App\Http\Controllers\Filter\RolloutController;
use App\Http\Controllers\Filter\UpstreamController;
use Illuminate\Support\Facades\Route;

// Looking, for keepers alone: what was asked in a house is nothing for guests.
Route::middleware(['auth', 'shown-to-keepers'])->group(function (): void {
    Route::get('/filter', [FilterController::class, 'index'])->name('filter');
    Route::get('/filter/proof', [ProofController::class, 'index'])->name('filter.proof');
    Route::get('/filter/rollout', [RolloutController::class, 'index'])->name('filter.rollout');
    Route::get('/filter/upstream', UpstreamController::class)->name('filter.upstream');
    Route::get('/filter/file/{kind}', [FilterController::class, 'file'])->name('filter.file');
});

// Looking: whoever is at home when the names are gone.
Route::middleware('auth')->group(function (): void {
    Route::get('/filter/lights-out', [RolloutController::class, 'lightsOut'])->name('filter.lights-out');
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
    Route::post('/filter/told', [FilterController::class, 'told'])->name('filter.told');
    Route::post('/filter/proof', [ProofController::class, 'store'])->name('filter.proof.add');
    Route::post('/filter/proof/ask', [ProofController::class, 'ask'])->name('filter.proof.ask');
    Route::post('/filter/proof/told/{box}', [ProofController::class, 'told'])->name('filter.proof.told');
    Route::post('/filter/proof/{check}/away', [ProofController::class, 'away'])->name('filter.proof.away');
    Route::post('/filter/rollout', [RolloutController::class, 'begin'])->name('filter.rollout.begin');
    Route::post('/filter/rollout/{rollout}/count', [RolloutController::class, 'count'])->name(
        'filter.rollout.count',
    );
    Route::post('/filter/rollout/{rollout}/turn', [RolloutController::class, 'turn'])->name(
        'filter.rollout.turn',
    );
    Route::post('/filter/why', [FilterController::class, 'why'])->name('filter.why');
});
