<?php

declare(strict_types=1);

use App\Http\Controllers\Reach\ReachController;
use Illuminate\Support\Facades\Route;

// Looking.
Route::middleware('auth')->group(function (): void {
    Route::get('/reach', ReachController::class)->name('reach');
});
