<?php

declare(strict_types=1);

use App\Http\Controllers\Catalogue\CatalogueController;
use Illuminate\Support\Facades\Route;

// Looking.
Route::middleware('auth')->group(function (): void {
    Route::get('/catalogue', [CatalogueController::class, 'index'])->name('catalogue');
    Route::get('/catalogue/{kind}/{id}.yaml', [CatalogueController::class, 'export'])
        ->where('id', '[a-z0-9.-]+')
        ->name('catalogue.export');
});

// Keeping.
Route::middleware(['auth', 'keeper'])->group(function (): void {
    Route::post('/catalogue', [CatalogueController::class, 'import'])->name('catalogue.import');
    Route::delete('/catalogue/{kind}/{id}', [CatalogueController::class, 'destroy'])
        ->where('id', '[a-z0-9.-]+')
        ->name('catalogue.drop');
});
