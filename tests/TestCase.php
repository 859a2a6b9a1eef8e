<?php

declare(strict_types=1);

namespace Tests;

use App\Models\User;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\TestCase as BaseTestCase;
use RuntimeException;

abstract class TestCase extends BaseTestCase
{
    /** Two lanes that run beside one another have a database each, which the application knows from its first line. */
    public function createApplication(): Application
    {
        $_ENV['DB_DATABASE'] = $_SERVER['DB_DATABASE'] = self::database();

        return parent::createApplication();
    }

    /** The database of this lane. */
    public static function database(): string
    {
        $name = getenv('TEST_DATABASE') ?: 'burrow_test';
        if (! str_starts_with($name, 'burrow_test')) {
            throw new RuntimeException(
                'The tests only run on a database whose name begins with burrow_test.',
            );
        }

        return $name;
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
