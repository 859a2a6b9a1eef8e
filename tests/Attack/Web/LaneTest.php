<?php

declare(strict_types=1);

use Illuminate\Support\Facades\DB;
use Tests\TestCase;

// A lane that works on another one's database wipes what that one stands on.

test('the server names the database of this lane', function (): void {
    expect(DB::scalar('SELECT DATABASE()'))->toBe(TestCase::database());
});

test('starting the application asks no database', function (): void {
    $boot =
        'require "vendor/autoload.php"; $app = require "bootstrap/app.php";'.
        '$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();'.
        'echo count($app["db"]->getConnections());';
    expect(run('php -r '.escapeshellarg($boot))['out'])->toBe('0');
});
