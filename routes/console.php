<?php

declare(strict_types=1);

use App\BringUp\WatchStarts;
use App\Jobs\AskFilters;
use App\Jobs\FetchReports;
use App\Jobs\LookAround;
use App\Jobs\LookAtCertificates;
use App\Jobs\TellHouse;
use Illuminate\Support\Facades\Schedule;

Schedule::job(new LookAround())->everyMinute();
// At each full hour; that it is one a day is kept by what is told.
Schedule::job(new TellHouse())->hourlyAt(7);
Schedule::job(new FetchReports())->everyTenMinutes();
Schedule::job(new AskFilters())->hourlyAt(25);
Schedule::job(new LookAtCertificates())->dailyAt('05:40');
// Where a worker was killed in between, the watch goes on from here.
Schedule::job(new WatchStarts())->everyMinute();
// Looked at each hour and made once a day, so that a machine that is off at night has its copies too.
Schedule::command('burrow:backup --nightly')->hourly()->withoutOverlapping(30);
