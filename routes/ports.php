<?php

declare(strict_types=1);

use App\Http\Controllers\Ports\PortsController;
use Illuminate\Support\Facades\Route;

// Looking.
Route::middleware('auth')->group(function (): void {
    Route::get('/ports', PortsController::class)->name('ports');
});
