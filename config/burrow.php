<?php

declare(strict_types=1);

return [
    // Where the bench listens for the application, and how far it raises every port.
    'bench_socket' => env('BENCH_SOCKET', ''),
    'bench_offset' => (int) env('BENCH_OFFSET', 20000),

    // How long a TCP probe waits for an answer, in seconds. On a home network anything alive answers within a tenth.
    'probe_timeout' => (float) env('PROBE_TIMEOUT', 1.5),

    // The demo prints its logins; a real copy has none.
    'demo' => (bool) env('BURROW_DEMO', false),
];
