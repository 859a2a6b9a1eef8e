<?php

declare(strict_types=1);

use App\Http\Controllers\Upkeep\UpkeepController;
use Illuminate\Support\Facades\Route;

// Looking.
Route::middleware('auth')->group(function (): void {
    Route::get('/upkeep', [UpkeepController::class, 'index'])->name('upkeep');
});

// Keeping.
Route::middleware(['auth', 'keeper'])->group(function (): void {
    Route::post('/boxes/{box}/updated', [UpkeepController::class, 'updated'])->name('box.updated');
    Route::post('/upkeep/doubts/{doubt}', [UpkeepController::class, 'answered'])->name('doubt.answered');
    Route::post('/upkeep/steps/{step}', [UpkeepController::class, 'again'])->name('step.again');
});
