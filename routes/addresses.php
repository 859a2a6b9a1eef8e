<?php

declare(strict_types=1);

use App\Http\Controllers\Addresses\AddressesController;
use App\Http\Controllers\Addresses\NameController;
use Illuminate\Support\Facades\Route;

// Looking.
Route::middleware('auth')->group(function (): void {
    Route::get('/addresses', AddressesController::class)->name('addresses');
    Route::get('/boxes/{box}/name', [NameController::class, 'edit'])->name('box.name');
});

// Keeping.
Route::middleware(['auth', 'keeper'])->group(function (): void {
    Route::post('/boxes/{box}/name', [NameController::class, 'update'])->name('box.name.update');
});
