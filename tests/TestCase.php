<?php

declare(strict_types=1);

namespace Tests;

use App\Models\User;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\TestCase as BaseTestCase;
use RuntimeException;

abstract class TestCase extends BaseTestCase
{
    /** Two lanes that run beside one another have a database each. */
    public function createApplication(): Application
    {
        $app = parent::createApplication();
        $database = getenv('TEST_DATABASE');
        $database === false || config(['database.connections.mariadb.database' => $database]);

        return $app;
    }

    protected function setUp(): void
    {
        parent::setUp();
        if (! str_starts_with(config()->string('database.connections.mariadb.database'), 'burrow_test')) {
            throw new RuntimeException(
                'The tests only run on a database whose name begins with burrow_test.',
            );
        }
    }

    protected function asKeeper(): static
    {
        return $this->actingAs(User::query()->where('role', 'keeper')->firstOrFail());
    }

    protected function asGuest(): static
    {
        return $this->actingAs(User::query()->where('role', 'guest')->firstOrFail());
    }
}
