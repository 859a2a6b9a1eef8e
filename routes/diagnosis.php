<?php

declare(strict_types=1);

use App\Http\Controllers\Diagnosis\DiagnosisController;
use Illuminate\Support\Facades\Route;

// Looking.
Route::middleware('auth')->group(function (): void {
    Route::get('/boxes/{box}/diagnosis', [DiagnosisController::class, 'show'])->name('box.diagnosis');
});

// Keeping.
Route::middleware(['auth', 'keeper'])->group(function (): void {
    Route::post('/boxes/{box}/diagnosis', [DiagnosisController::class, 'answer'])->name(
        'box.diagnosis.answer',
    );
    Route::post('/boxes/{box}/diagnosis/ask', [DiagnosisController::class, 'askAgain'])->name(
        'box.diagnosis.ask',
    );
    Route::post('/boxes/{box}/diagnosis/cannot', [DiagnosisController::class, 'cannot'])->name(
        'box.diagnosis.cannot',
    );
    Route::post('/boxes/{box}/diagnosis/forget', [DiagnosisController::class, 'forget'])->name(
        'box.diagnosis.forget',
    );
    Route::post('/boxes/{box}/diagnosis/cure', [DiagnosisController::class, 'cure'])->name(
        'box.diagnosis.cure',
    );
    Route::post('/boxes/{box}/diagnosis/stop', [DiagnosisController::class, 'stop'])->name(
        'box.diagnosis.stop',
    );
});
