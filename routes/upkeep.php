<?php

declare(strict_types=1);

use App\Http\Controllers\Upkeep\UpkeepController;
use Illuminate\Support\Facades\Route;

// Looking.
Route::middleware('auth')->group(function (): void {
    Route::get('/upkeep', [UpkeepController::class, 'index'])->name('upkeep');
});

// Looking, for keepers alone.
Route::middleware(['auth', 'shown-to-keepers'])->group(function (): void {
    Route::get('/upkeep/plan.ics', [UpkeepController::class, 'calendar'])->name('upkeep.calendar');
});

// Keeping.
Route::middleware(['auth', 'keeper'])->group(function (): void {
    Route::post('/upkeep/hours', [UpkeepController::class, 'hours'])->name('upkeep.hours');
    Route::post('/upkeep/hours/{rhythm}/away', [UpkeepController::class, 'noHours'])->name('upkeep.no-hours');
    Route::post('/boxes/{box}/updated', [UpkeepController::class, 'updated'])->name('box.updated');
    Route::post('/upkeep/doubts/{doubt}', [UpkeepController::class, 'answered'])->name('doubt.answered');
    Route::post('/upkeep/steps/{step}', [UpkeepController::class, 'again'])->name('step.again');
});
