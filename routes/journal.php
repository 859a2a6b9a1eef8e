<?php

declare(strict_types=1);

use App\Http\Controllers\Journal\CompareController;
use App\Http\Controllers\Journal\JournalController;
use Illuminate\Support\Facades\Route;

// Looking.
Route::middleware('auth')->group(function (): void {
    Route::get('/journal', [JournalController::class, 'index'])->name('journal');
    Route::get('/journal/compare', CompareController::class)->name('journal.compare');
    Route::get('/journal/file.{kind}', [JournalController::class, 'file'])->name('journal.file');
});

// Keeping.
Route::middleware(['auth', 'keeper'])->group(function (): void {
    Route::post('/journal/note', [JournalController::class, 'note'])->name('journal.note');
});
