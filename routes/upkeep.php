<?php

declare(strict_types=1);

use App\Http\Controllers\Upkeep\CareController;
use App\Http\Controllers\Upkeep\FetchController;
use App\Http\Controllers\Upkeep\PushController;
use App\Http\Controllers\Upkeep\ReportController;
use App\Http\Controllers\Upkeep\RoundController;
use App\Http\Controllers\Upkeep\UnattendedController;
use App\Http\Controllers\Upkeep\UpkeepController;
use Illuminate\Support\Facades\Route;

// Looking.
Route::middleware('auth')->group(function (): void {
    Route::get('/upkeep', [UpkeepController::class, 'index'])->name('upkeep');
    Route::get('/upkeep/report-script', [ReportController::class, 'script'])->name('report.script');
});

// Looking, for keepers alone.
Route::middleware(['auth', 'shown-to-keepers'])->group(function (): void {
    Route::get('/boxes/{box}/report', [ReportController::class, 'show'])->name('box.report');
    Route::get('/boxes/{box}/unattended', [UnattendedController::class, 'show'])->name('box.unattended');
    Route::get('/upkeep/round', [RoundController::class, 'show'])->name('upkeep.round');
    Route::get('/upkeep/plan.ics', [UpkeepController::class, 'calendar'])->name('upkeep.calendar');
});

// Keeping.
Route::middleware(['auth', 'keeper'])->group(function (): void {
    Route::post('/boxes/{box}/report', [ReportController::class, 'take']);
    Route::post('/boxes/{box}/report/token', [ReportController::class, 'token'])->name('box.report.token');
    Route::post('/boxes/{box}/report/fetch', [ReportController::class, 'fetch'])->name('box.report.fetch');
    Route::post('/boxes/{box}/report/bench', [ReportController::class, 'onBench'])->name('box.report.bench');
    Route::post('/boxes/{box}/report/answer', [ReportController::class, 'answer'])->name('box.report.answer');
    Route::post('/upkeep/care', [CareController::class, 'store'])->name('care.add');
    Route::post('/upkeep/care/done', [CareController::class, 'done'])->name('care.done');
    Route::post('/upkeep/care/away', [CareController::class, 'away'])->name('care.away');
    Route::post('/upkeep/hours', [UpkeepController::class, 'hours'])->name('upkeep.hours');
    Route::post('/upkeep/hours/{rhythm}/away', [UpkeepController::class, 'noHours'])->name('upkeep.no-hours');
    Route::post('/boxes/{box}/unattended', [UnattendedController::class, 'read']);
    Route::post('/upkeep/round', [RoundController::class, 'start'])->name('round.start');
    Route::post('/upkeep/round/replan', [RoundController::class, 'replan'])->name('round.replan');
    Route::post('/upkeep/round/begin', [RoundController::class, 'begin'])->name('round.begin');
    Route::post('/upkeep/round/look', [RoundController::class, 'look'])->name('round.look');
    Route::post('/upkeep/round/leave', [RoundController::class, 'leave'])->name('round.leave');
    Route::post('/upkeep/round/end', [RoundController::class, 'end'])->name('round.end');
    Route::post('/boxes/{box}/updated', [UpkeepController::class, 'updated'])->name('box.updated');
    Route::post('/upkeep/doubts/{doubt}', [UpkeepController::class, 'answered'])->name('doubt.answered');
    Route::post('/upkeep/steps/{step}', [UpkeepController::class, 'again'])->name('step.again');
});

// What a box sends by itself comes without a session; its token is its login.
Route::post('/report', PushController::class)->withoutMiddleware('web')->name('report.push');
// So do calendars and programs that fetch.
Route::get('/feed/{token}.ics', [FetchController::class, 'feed'])
    ->withoutMiddleware('web')
    ->name('feed');
Route::get('/metrics', [FetchController::class, 'metrics'])
    ->withoutMiddleware('web')
    ->name('metrics');
