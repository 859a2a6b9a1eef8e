<?php

declare(strict_types=1);

use App\Http\Controllers\Addresses\AddressesController;
use App\Http\Controllers\Addresses\FindBoxController;
use App\Http\Controllers\Addresses\KnownHostsController;
use App\Http\Controllers\Addresses\NameController;
use App\Http\Controllers\Addresses\RegisterController;
use App\Http\Controllers\Addresses\RouterPageController;
use Illuminate\Support\Facades\Route;

// Looking.
Route::middleware('auth')->group(function (): void {
    Route::get('/addresses', [AddressesController::class, 'index'])->name('addresses');
    // Who else is in the house's network is nothing for guests; these two say so themselves.
    Route::get('/addresses/find', [FindBoxController::class, 'show'])->name('addresses.find');
    Route::get('/addresses/known', KnownHostsController::class)->name('addresses.known');
    Route::post('/addresses/known', KnownHostsController::class)->name('addresses.known.judge');
    Route::get('/addresses/files/{file}', [AddressesController::class, 'file'])->name('addresses.file');
    Route::get('/boxes/{box}/name', [NameController::class, 'edit'])->name('box.name');
});

// Looking, for keepers alone.
Route::middleware(['auth', 'shown-to-keepers'])->group(function (): void {
    Route::get('/addresses/register', RegisterController::class)->name('register');
});

// Keeping.
Route::middleware(['auth', 'keeper'])->group(function (): void {
    Route::post('/addresses/read', [FindBoxController::class, 'read'])->name('addresses.read');
    Route::post('/addresses/keep', [FindBoxController::class, 'keep'])->name('addresses.keep');
    Route::post('/addresses/sweep', [FindBoxController::class, 'sweep'])->name('addresses.sweep');
    Route::post('/addresses/router', RouterPageController::class)->name('addresses.router');
    Route::post('/addresses/seen/{sighting}/mark', [FindBoxController::class, 'mark'])->name(
        'addresses.mark',
    );
    Route::post('/addresses/seen/{sighting}/take', [FindBoxController::class, 'take'])->name(
        'addresses.take',
    );
    Route::post('/boxes/{box}/name', [NameController::class, 'update'])->name('box.name.update');
});
