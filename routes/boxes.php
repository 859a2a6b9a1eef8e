<?php

declare(strict_types=1);

use App\Http\Controllers\Boxes\BoxController;
use App\Http\Controllers\Boxes\LabelsController;
use App\Http\Controllers\Boxes\PaperController;
use App\Http\Controllers\Move\MoveController;
use App\Http\Controllers\Move\PartsController;
use App\Http\Controllers\Move\RebuildController;
use App\Http\Controllers\Move\RetireController;
use Illuminate\Support\Facades\Route;

// Looking.
Route::middleware('auth')->group(function (): void {
    Route::get('/boxes', [BoxController::class, 'index'])->name('boxes');
    Route::get('/boxes/labels', LabelsController::class)->name('labels');
    Route::get('/boxes/copy-test', [BoxController::class, 'copyTest'])->name('box.copy-test');
    Route::get('/boxes/{box}', [BoxController::class, 'show'])->name('box');
    Route::get('/boxes/{box}/paper', PaperController::class)->name('box.paper');
});

// Looking, for keepers alone.
Route::middleware(['auth', 'shown-to-keepers'])->group(function (): void {
    Route::get('/boxes/{box}/lost', [RebuildController::class, 'show'])->name('box.lost');
    Route::get('/boxes/{box}/move', [MoveController::class, 'show'])->name('box.move');
    Route::get('/runs/{run}/back', [MoveController::class, 'way'])->name('run.back');
    Route::get('/boxes/{box}/parts', [PartsController::class, 'show'])->name('box.parts');
    Route::get('/boxes/{box}/retire', [RetireController::class, 'show'])->name('box.retire');
});

// Keeping.
Route::middleware(['auth', 'keeper'])->group(function (): void {
    Route::post('/boxes/{box}/fed', [BoxController::class, 'fed'])->name('box.fed');
    Route::post('/boxes/{box}/measured', [BoxController::class, 'measured'])->name('box.measured');
    Route::post('/boxes/{box}/move', [MoveController::class, 'begin']);
    Route::post('/boxes/{box}/from-desk', [MoveController::class, 'fromDesk'])->name('box.from-desk');
    Route::post('/runs/{run}/back', [MoveController::class, 'back']);
    Route::post('/boxes/{box}/lost', [RebuildController::class, 'begin']);
    Route::post('/boxes/{box}/parts', [PartsController::class, 'keep'])->name('box.parts.keep');
    Route::post('/boxes/{box}/parts/lead', [PartsController::class, 'lead'])->name('box.parts.lead');
    Route::post('/boxes/{box}/retire', [RetireController::class, 'retire']);
    Route::post('/boxes/{box}/take-back', [RetireController::class, 'takeBack'])->name('box.take-back');
    Route::post('/boxes/{box}/wiped', [RetireController::class, 'wiped'])->name('box.wiped');
    Route::delete('/boxes/{box}', [BoxController::class, 'destroy'])->name('box.drop');
});
