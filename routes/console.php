<?php

declare(strict_types=1);

use App\Jobs\LookAround;
use Illuminate\Support\Facades\Schedule;

Schedule::job(new LookAround())->everyMinute();
// Looked at each hour and made once a day, so that a machine that is off at night has its copies too.
Schedule::command('burrow:backup --nightly')->hourly()->withoutOverlapping(30);
