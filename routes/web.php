<?php

declare(strict_types=1);

use App\Http\Controllers\AddressesController;
use App\Http\Controllers\BenchController;
use App\Http\Controllers\BoxController;
use App\Http\Controllers\CardController;
use App\Http\Controllers\CatalogueController;
use App\Http\Controllers\DeskController;
use App\Http\Controllers\FindController;
use App\Http\Controllers\GroundController;
use App\Http\Controllers\JournalController;
use App\Http\Controllers\LintController;
use App\Http\Controllers\NameController;
use App\Http\Controllers\PlanController;
use App\Http\Controllers\PortsController;
use App\Http\Controllers\ReachController;
use App\Http\Controllers\RunController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\SettingsController;
use App\Http\Controllers\StoresController;
use App\Http\Controllers\TargetController;
use App\Http\Controllers\ThemeController;
use App\Http\Controllers\UpkeepController;
use Illuminate\Support\Facades\Route;

Route::get('/login', [SessionController::class, 'create'])->name('login');
Route::post('/login', [SessionController::class, 'store']);
Route::post('/theme', ThemeController::class)->name('theme');

Route::middleware('auth')->group(function (): void {
    Route::post('/logout', [SessionController::class, 'destroy'])->name('logout');
    Route::view('/blank', 'blank')->name('blank');

    Route::get('/', GroundController::class)->name('ground');
    Route::get('/reach', ReachController::class)->name('reach');
    Route::get('/ports', PortsController::class)->name('ports');
    Route::get('/addresses', AddressesController::class)->name('addresses');
    Route::get('/stores', StoresController::class)->name('stores');
    Route::get('/upkeep', [UpkeepController::class, 'index'])->name('upkeep');
    Route::get('/journal', JournalController::class)->name('journal');
    Route::get('/find', FindController::class)->name('find');
    Route::get('/boxes', [BoxController::class, 'index'])->name('boxes');
    Route::get('/boxes/{box}', [BoxController::class, 'show'])->name('box');
    Route::get('/plan', [PlanController::class, 'sheet'])->name('plan');
    Route::get('/plan/plan.yaml', [PlanController::class, 'yaml'])->name('plan.yaml');
    Route::get('/plan/parts.csv', [PlanController::class, 'parts'])->name('plan.parts');
    Route::get('/plan/paper', [PlanController::class, 'paper'])->name('plan.paper');
    Route::get('/plan/variants', [PlanController::class, 'variants'])->name('variants');
    Route::get('/boxes/{box}/name', [NameController::class, 'edit'])->name('box.name');
    Route::get('/boxes/{box}/card', [CardController::class, 'edit'])->name('box.card');
    Route::get('/card/target', [TargetController::class, 'show'])->name('target');
    Route::post('/card/target', [TargetController::class, 'show'])->name('target.judge');
    Route::get('/card/lint', [LintController::class, 'show'])->name('lint');
    Route::post('/card/lint', [LintController::class, 'lint'])->name('lint.card');
    Route::get('/stores/media', [TargetController::class, 'register'])->name('media');
    Route::get('/runs/{run}', [RunController::class, 'show'])->name('run');
    Route::get('/bench', [BenchController::class, 'index'])->name('bench');
    Route::get('/catalogue', [CatalogueController::class, 'index'])->name('catalogue');
    Route::get('/catalogue/{kind}/{id}.yaml', [CatalogueController::class, 'export'])->name('catalogue.export');
    Route::get('/settings', [SettingsController::class, 'edit'])->name('settings');
    Route::get('/settings/desks', [DeskController::class, 'index'])->name('desks');

    Route::middleware('keeper')->group(function (): void {
        Route::post('/plan', [PlanController::class, 'store'])->name('plan.store');
        Route::post('/plan/plan.yaml', [PlanController::class, 'take'])->name('plan.take');
        Route::post('/plan/drawer', [PlanController::class, 'drawer'])->name('plan.drawer');
        Route::post('/boxes/{box}/fed', [BoxController::class, 'fed'])->name('box.fed');
        Route::post('/boxes/{box}/measured', [BoxController::class, 'measured'])->name('box.measured');
        Route::post('/plan/keep', [PlanController::class, 'keep'])->name('plan.keep');
        Route::delete('/plan/variants/{plan}', [PlanController::class, 'drop'])->name('plan.drop');
        Route::post('/boxes/{box}/name', [NameController::class, 'update'])->name('box.name.update');
        Route::post('/boxes/{box}/card', [CardController::class, 'make'])->name('box.card.make');
        Route::post('/boxes/{box}/run', [RunController::class, 'begin'])->name('run.begin');
        Route::post('/runs/{run}/resume', [RunController::class, 'resume'])->name('run.resume');
        Route::post('/boxes/{box}/updated', [UpkeepController::class, 'updated'])->name('box.updated');
        Route::delete('/boxes/{box}', [BoxController::class, 'destroy'])->name('box.drop');
        Route::post('/runs/{run}/steps/{step}/{action}', [RunController::class, 'act'])
            ->whereIn('action', ['start', 'done', 'check', 'skip', 'reopen', 'type', 'reserve'])
            ->name('run.act');
        Route::post('/card/images', [TargetController::class, 'image'])->name('image.keep');
        Route::post('/card/images/{record}/checksum', [TargetController::class, 'checksum'])->name('image.checksum');
        Route::delete('/card/images/{record}', [TargetController::class, 'dropImage'])->name('image.drop');
        Route::post('/stores/media', [TargetController::class, 'keep'])->name('media.keep');
        Route::post('/stores/media/{medium}/took', [TargetController::class, 'took'])->name('media.took');
        Route::delete('/stores/media/{medium}', [TargetController::class, 'drop'])->name('media.drop');
        Route::post('/bench/card', [BenchController::class, 'card'])->name('bench.card');
        Route::post('/bench/power', [BenchController::class, 'power'])->name('bench.power');
        Route::post('/bench/speed', [BenchController::class, 'speed'])->name('bench.speed');
        Route::post('/catalogue', [CatalogueController::class, 'import'])->name('catalogue.import');
        Route::delete('/catalogue/{kind}/{id}', [CatalogueController::class, 'destroy'])->name('catalogue.drop');
        Route::post('/settings/desks', [DeskController::class, 'store'])->name('desks.store');
        Route::delete('/settings/desks/{desk}', [DeskController::class, 'destroy'])->name('desks.drop');
        Route::post('/settings', [SettingsController::class, 'update'])->name('settings.update');
    });
});
