<?php

declare(strict_types=1);

use App\Http\Controllers\Journal\JournalController;
use Illuminate\Support\Facades\Route;

// Looking.
Route::middleware('auth')->group(function (): void {
    Route::get('/journal', JournalController::class)->name('journal');
});
