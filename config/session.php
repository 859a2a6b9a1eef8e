<?php

declare(strict_types=1);

return [
    'driver' => env('SESSION_DRIVER', 'logins'),
    'lifetime' => 60 * 24 * 14,
    'expire_on_close' => false,
    'encrypt' => false,
    'files' => storage_path('framework/sessions'),
    'lottery' => [2, 100],
    'cookie' => 'burrow_session',
    'path' => '/',
    'domain' => null,
    // Set by the request: see App\Http\Middleware\SafetyHeaders.
    'secure' => false,
    'http_only' => true,
    'same_site' => 'lax',
];
