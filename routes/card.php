<?php

declare(strict_types=1);

use App\Http\Controllers\Card\CardController;
use App\Http\Controllers\Card\LintController;
use App\Http\Controllers\Card\TargetController;
use Illuminate\Support\Facades\Route;

// Looking.
Route::middleware('auth')->group(function (): void {
    Route::get('/boxes/{box}/card', [CardController::class, 'edit'])->name('box.card');
    Route::get('/card/target', [TargetController::class, 'show'])->name('target');
    Route::post('/card/target', [TargetController::class, 'show'])->name('target.judge');
    Route::get('/card/lint', [LintController::class, 'show'])->name('lint');
    Route::post('/card/lint', [LintController::class, 'lint'])->name('lint.card');
    Route::get('/stores/media', [TargetController::class, 'register'])->name('media');
});

// Keeping.
Route::middleware(['auth', 'keeper'])->group(function (): void {
    Route::post('/boxes/{box}/card', [CardController::class, 'make'])->name('box.card.make');
    Route::post('/card/images', [TargetController::class, 'image'])->name('image.keep');
    Route::post('/card/images/{record}/checksum', [TargetController::class, 'checksum'])->name(
        'image.checksum',
    );
    Route::delete('/card/images/{record}', [TargetController::class, 'dropImage'])->name('image.drop');
    Route::post('/stores/media', [TargetController::class, 'keep'])->name('media.keep');
    Route::post('/stores/media/{medium}/took', [TargetController::class, 'took'])->name('media.took');
    Route::delete('/stores/media/{medium}', [TargetController::class, 'drop'])->name('media.drop');
});
