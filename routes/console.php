<?php

declare(strict_types=1);

use App\Jobs\LookAround;
use Illuminate\Support\Facades\Schedule;

Schedule::job(new LookAround())->everyMinute()->withoutOverlapping();
