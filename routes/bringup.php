<?php

declare(strict_types=1);

use App\Http\Controllers\BringUp\ChangeController;
use App\Http\Controllers\BringUp\EveningController;
use App\Http\Controllers\BringUp\RunController;
use Burrow\BringUp\Step\BenchHelp;
use Illuminate\Support\Facades\Route;

// Looking.
Route::middleware('auth')->group(function (): void {
    Route::get('/runs/{run}', [RunController::class, 'show'])->name('run');
    Route::get('/evening', [EveningController::class, 'show'])->name('evening');
    Route::get('/evening/hands.ics', [EveningController::class, 'calendar'])->name('evening.calendar');
    Route::get('/runs/{run}/paper', [RunController::class, 'paper'])->name('run.paper');
    Route::get('/runs/{run}/steps.{form}', [RunController::class, 'take'])
        ->whereIn('form', ['md', 'sh'])
        ->name('run.take');
});

// Keeping.
Route::middleware(['auth', 'keeper'])->group(function (): void {
    Route::post('/evening/walk', [EveningController::class, 'walk'])->name('evening.walk');
    Route::post('/boxes/{box}/run', [RunController::class, 'begin'])->name('run.begin');
    Route::post('/boxes/{box}/re-address', [ChangeController::class, 'address'])->name('box.re-address');
    Route::post('/boxes/{box}/rename', [ChangeController::class, 'name'])->name('box.rename');
    Route::post('/boxes/{box}/again', [ChangeController::class, 'again'])->name('box.again');
    Route::post('/boxes/{box}/drop-job', [ChangeController::class, 'dropJob'])->name('box.drop-job');
    Route::post('/runs/{run}/resume', [RunController::class, 'resume'])->name('run.resume');
    Route::post('/runs/{run}/steps/{step}/{action}', [RunController::class, 'act'])
        ->whereIn('action', [
            'start',
            'done',
            'check',
            'skip',
            'doubt',
            'reopen',
            ...array_column(BenchHelp::cases(), 'value'),
        ])
        ->name('run.act');
});
