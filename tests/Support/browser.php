<?php

declare(strict_types=1);

// What the browser tests visit, and how it is set back to its first day.

function base(): string
{
    return getenv('TEST_BASE') ?:
        throw new RuntimeException('Run this through ./burrow test, which starts what is visited.');
}

function resetDemo(): void
{
    $result = run(
        'env -u APP_ENV -u APP_KEY -u DB_DATABASE -u SESSION_DRIVER -u CACHE_STORE -u QUEUE_CONNECTION -u APP_CONFIG_CACHE -u APP_ROUTES_CACHE php artisan burrow:demo -q',
    );
    $result['exit'] === 0 || throw new RuntimeException($result['all']);
}

function newKey(): string
{
    $folder = scratch();
    run("ssh-keygen -q -t ed25519 -N '' -C warden@desk -f {$folder}/key");

    return trim((string) file_get_contents("{$folder}/key.pub"));
}
