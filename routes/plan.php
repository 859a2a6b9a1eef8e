<?php

declare(strict_types=1);

use App\Http\Controllers\Plan\PlanController;
use Illuminate\Support\Facades\Route;

// Looking.
Route::middleware('auth')->group(function (): void {
    Route::get('/plan', [PlanController::class, 'sheet'])->name('plan');
    Route::get('/plan/plan.yaml', [PlanController::class, 'yaml'])->name('plan.yaml');
    Route::get('/plan/parts.csv', [PlanController::class, 'parts'])->name('plan.parts');
    Route::get('/plan/paper', [PlanController::class, 'paper'])->name('plan.paper');
    Route::get('/plan/variants', [PlanController::class, 'variants'])->name('variants');
});

// Keeping.
Route::middleware(['auth', 'keeper'])->group(function (): void {
    Route::post('/plan', [PlanController::class, 'store'])->name('plan.store');
    Route::post('/plan/plan.yaml', [PlanController::class, 'take'])->name('plan.take');
    Route::post('/plan/drawer', [PlanController::class, 'drawer'])->name('plan.drawer');
    Route::post('/plan/keep', [PlanController::class, 'keep'])->name('plan.keep');
    Route::delete('/plan/variants/{plan}', [PlanController::class, 'drop'])->name('plan.drop');
});
