<?php

declare(strict_types=1);

use App\Http\Controllers\Ports\LedgerController;
use App\Http\Controllers\Ports\PortFilesController;
use App\Http\Controllers\Ports\PortsController;
use Illuminate\Support\Facades\Route;

// Looking.
Route::middleware('auth')->group(function (): void {
    Route::get('/ports', PortsController::class)->name('ports');
    Route::get('/ports/start-page', [PortFilesController::class, 'startPage'])->name('ports.start');
    Route::get('/boxes/{box}/ports/{file}', [PortFilesController::class, 'ofBox'])->name('ports.file');
    Route::get('/boxes/{box}/files', [PortFilesController::class, 'step'])->name('ports.step-file');
    Route::get('/ports/{service}/site', [PortFilesController::class, 'site'])->name('ports.site');
});

// Keeping.
Route::middleware(['auth', 'keeper'])->group(function (): void {
    Route::post('/boxes/{box}/ports', [LedgerController::class, 'store'])->name('ports.add');
    Route::post('/boxes/{box}/listening', [LedgerController::class, 'listening'])->name('ports.listening');
    Route::post('/boxes/{box}/ask', [LedgerController::class, 'ask'])->name('ports.ask');
    Route::post('/ports/{service}', [LedgerController::class, 'update'])->name('ports.change');
    Route::post('/ports/{service}/away', [LedgerController::class, 'away'])->name('ports.away');
});
