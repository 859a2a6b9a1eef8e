<?php

declare(strict_types=1);

use App\Http\Controllers\Reach\KeyController;
use App\Http\Controllers\Reach\NameController;
use App\Http\Controllers\Reach\OpeningController;
use App\Http\Controllers\Reach\OutsideController;
use App\Http\Controllers\Reach\ReachController;
use App\Http\Controllers\Reach\ShowToOthersController;
use App\Http\Controllers\Reach\TrialController;
use App\Http\Controllers\Reach\WayInController;
use Illuminate\Support\Facades\Route;

// Looking. What would let somebody in is nothing for guests; those pages say so themselves.
Route::middleware('auth')->group(function (): void {
    Route::get('/reach', ReachController::class)->name('reach');
    Route::get('/reach/name-keeper', [NameController::class, 'keeper'])->name('reach.name-keeper');
    Route::get('/reach/endpoint', [WayInController::class, 'endpoint'])->name('reach.endpoint');
    Route::get('/reach/keys/{way}/profile', [WayInController::class, 'profile'])->name('reach.profile');
    Route::get('/reach/keys/{way}/lost', [WayInController::class, 'lost'])->name('reach.lost');
});

// Keeping.
Route::middleware(['auth', 'keeper'])->group(function (): void {
    Route::post('/reach/outside', OutsideController::class)->name('reach.outside');
    Route::post('/reach/openings', [OpeningController::class, 'store'])->name('reach.open');
    Route::post('/reach/openings/{opening}', [OpeningController::class, 'update'])->name('reach.change');
    Route::post('/reach/openings/{opening}/close', [OpeningController::class, 'close'])->name('reach.close');
    Route::post('/reach/keys', [WayInController::class, 'store'])->name('reach.give');
    Route::post('/reach/keys/seen', [WayInController::class, 'seen'])->name('reach.seen');
    Route::post('/reach/keys/{way}/back', [WayInController::class, 'takeBack'])->name('reach.back');
    Route::post('/reach/programs', KeyController::class)->name('reach.program');
    Route::post('/reach/name', NameController::class)->name('reach.name');
    Route::post('/reach/trials', TrialController::class)->name('reach.tried');
    Route::post('/reach/trials/bench', [TrialController::class, 'bench'])->name('reach.bench');
    Route::post('/reach/show', ShowToOthersController::class)->name('reach.show');
});
