<?php

declare(strict_types=1);

use App\Http\Controllers\House\FindController;
use App\Http\Controllers\House\SessionController;
use App\Http\Controllers\House\ThemeController;
use Illuminate\Support\Facades\Route;

Route::get('/login', [SessionController::class, 'create'])->name('login');
Route::post('/login', [SessionController::class, 'store']);
Route::post('/theme', ThemeController::class)->name('theme');

// Looking.
Route::middleware('auth')->group(function (): void {
    Route::post('/logout', [SessionController::class, 'destroy'])->name('logout');
    Route::view('/blank', 'blank')->name('blank');
    Route::get('/find', FindController::class)->name('find');
});
