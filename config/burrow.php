<?php

declare(strict_types=1);

return [
    // Where the bench listens for the application, and how far it raises every port.
    'bench_socket' => env('BENCH_SOCKET', ''),
    // A folder of this copy's own that lies in memory: what changes at every step wears no card.
    'memory_folder' => env('BURROW_MEMORY', ''),
    'bench_offset' => (int) env('BENCH_OFFSET', 20000),

    // Of the account that may see nothing but the database in which a backup is read back.
    'check_password' => (string) env('DB_CHECK_PASSWORD', ''),

    // How long a TCP probe waits for an answer, in seconds. On a home network anything alive answers within a tenth.
    'probe_timeout' => (float) env('PROBE_TIMEOUT', 1.5),

    // The proxy whose X-Forwarded headers count, by its address; nobody's do when it is empty.
    'proxy' => (string) env('BURROW_PROXY', ''),
    // The demo prints its logins; a real copy has none.
    'demo' => (bool) env('BURROW_DEMO', false),
];
