<?php

declare(strict_types=1);

use App\Http\Controllers\House\CodesController;
use App\Http\Controllers\House\FindController;
use App\Http\Controllers\House\SessionController;
use App\Http\Controllers\House\ThemeController;
use App\Http\Controllers\House\TourController;
use Illuminate\Support\Facades\Route;

Route::get('/login', [SessionController::class, 'create'])->name('login');
Route::post('/login', [SessionController::class, 'store']);
// By a method that leaves no trace of where somebody was last.
Route::match(['HEAD'], '/may-send', [SessionController::class, 'maySend']);
Route::post('/theme', ThemeController::class)->name('theme');

// Looking.
Route::middleware('auth')->group(function (): void {
    Route::post('/logout', [SessionController::class, 'destroy'])->name('logout');
    Route::view('/blank', 'blank')->name('blank');
    Route::get('/find', FindController::class)->name('find');
    Route::get('/codes', CodesController::class)->name('codes');
});

// Looking, for keepers alone.
Route::middleware(['auth', 'shown-to-keepers'])->group(function (): void {
    Route::get('/tour', [TourController::class, 'show'])->name('tour');
});

// Keeping.
Route::middleware(['auth', 'keeper'])->group(function (): void {
    Route::post('/tour', [TourController::class, 'begin'])->name('tour.begin');
    Route::post('/tour/end', [TourController::class, 'end'])->name('tour.end');
});
