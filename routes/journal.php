<?php

declare(strict_types=1);

use App\Http\Controllers\Journal\BlindController;
use App\Http\Controllers\Journal\CompareController;
use App\Http\Controllers\Journal\JournalController;
use App\Http\Controllers\Journal\MeasuredController;
use Illuminate\Support\Facades\Route;

// Looking.
Route::middleware('auth')->group(function (): void {
    Route::get('/journal', [JournalController::class, 'index'])->name('journal');
    Route::get('/journal/measured', MeasuredController::class)->name('journal.measured');
    Route::get('/journal/compare', CompareController::class)->name('journal.compare');
    Route::get('/journal/file.{kind}', [JournalController::class, 'file'])->name('journal.file');
});

// Looking, for keepers alone.
Route::middleware(['auth', 'shown-to-keepers'])->group(function (): void {
    Route::get('/journal/blind', [BlindController::class, 'show'])->name('journal.blind');
});

// Keeping.
Route::middleware(['auth', 'keeper'])->group(function (): void {
    Route::post('/journal/blind', [BlindController::class, 'begin'])->name('blind.begin');
    Route::post('/journal/blind/judge', [BlindController::class, 'judge'])->name('blind.judge');
    Route::post('/journal/note', [JournalController::class, 'note'])->name('journal.note');
});
