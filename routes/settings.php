<?php

declare(strict_types=1);

use App\Http\Controllers\Settings\DeskController;
use App\Http\Controllers\Settings\HouseholdFileController;
use App\Http\Controllers\Settings\LoginsController;
use App\Http\Controllers\Settings\NetworksController;
use App\Http\Controllers\Settings\SettingsController;
use App\Http\Controllers\Settings\TellingController;
use Illuminate\Support\Facades\Route;

// Looking.
Route::middleware('auth')->group(function (): void {
    Route::get('/settings', [SettingsController::class, 'edit'])->name('settings');
    Route::get('/settings/logins', [LoginsController::class, 'index'])->name('logins');
    Route::post('/settings/password', [LoginsController::class, 'password'])->name('password');
    Route::get('/settings/networks', [NetworksController::class, 'index'])->name('networks');
    Route::get('/settings/desks', [DeskController::class, 'index'])->name('desks');
});

// Looking, for keepers alone.
Route::middleware(['auth', 'shown-to-keepers'])->group(function (): void {
    Route::get('/settings/telling', [TellingController::class, 'index'])->name('telling');
    Route::get('/settings/networks/{network}', [NetworksController::class, 'edit'])->name('networks.edit');
    Route::get('/settings/household.json', HouseholdFileController::class)->name('household');
});

// Keeping.
Route::middleware(['auth', 'keeper'])->group(function (): void {
    Route::post('/settings/telling', [TellingController::class, 'update'])->name('telling.update');
    Route::post('/settings/telling/now', [TellingController::class, 'now'])->name('telling.now');
    Route::post('/settings/tokens', [TellingController::class, 'give'])->name('tokens.give');
    Route::delete('/settings/tokens/{token}', [TellingController::class, 'away'])->name('tokens.away');
    Route::post('/settings/logins', [LoginsController::class, 'store'])->name('logins.store');
    Route::delete('/settings/logins/{login}', [LoginsController::class, 'destroy'])->name('logins.drop');
    Route::post('/settings/networks', [NetworksController::class, 'store'])->name('networks.store');
    Route::post('/settings/networks/{network}', [NetworksController::class, 'update'])->name(
        'networks.update',
    );
    Route::delete('/settings/networks/{network}', [NetworksController::class, 'destroy'])->name(
        'networks.drop',
    );
    Route::post('/settings/desks', [DeskController::class, 'store'])->name('desks.store');
    Route::delete('/settings/desks/{desk}', [DeskController::class, 'destroy'])->name('desks.drop');
    Route::post('/settings', [SettingsController::class, 'update'])->name('settings.update');
});
