<?php

declare(strict_types=1);

use App\Http\Controllers\Settings\DeskController;
use App\Http\Controllers\Settings\HouseholdFileController;
use App\Http\Controllers\Settings\SettingsController;
use Illuminate\Support\Facades\Route;

// Looking.
Route::middleware('auth')->group(function (): void {
    Route::get('/settings', [SettingsController::class, 'edit'])->name('settings');
    Route::get('/settings/desks', [DeskController::class, 'index'])->name('desks');
});

// Looking, for keepers alone.
Route::middleware(['auth', 'shown-to-keepers'])->group(function (): void {
    Route::get('/settings/household.json', HouseholdFileController::class)->name('household');
});

// Keeping.
Route::middleware(['auth', 'keeper'])->group(function (): void {
    Route::post('/settings/desks', [DeskController::class, 'store'])->name('desks.store');
    Route::delete('/settings/desks/{desk}', [DeskController::class, 'destroy'])->name('desks.drop');
    Route::post('/settings', [SettingsController::class, 'update'])->name('settings.update');
});
