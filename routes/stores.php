<?php

declare(strict_types=1);

use App\Http\Controllers\Stores\StoresController;
use Illuminate\Support\Facades\Route;

// Looking.
Route::middleware('auth')->group(function (): void {
    Route::get('/stores', StoresController::class)->name('stores');
});

// Keeping.
Route::middleware(['auth', 'keeper'])->group(function (): void {
    Route::post('/stores/note', [StoresController::class, 'note'])->name('stores.note');
});
