<?php

declare(strict_types=1);

// The web server in front: what goes wrong before the application is reached.

test('what goes wrong before the application is reached looks and behaves like the rest', function (
    string $request,
    int $status,
    string $says,
): void {
    $answer = raw(strtr($request, ['HOST' => substr(base(), 7)]));
    expect($answer['status'])
        ->toBe($status)
        ->and($answer['body'])
        ->toContain($says, '/css/burrow.css')
        ->not->toMatch('/nginx|<script|style=/')
        ->and($answer['head'])
        ->toContain(
            "Content-Security-Policy: default-src 'none'",
            'X-Content-Type-Options: nosniff',
            'Cache-Control: no-store',
        )
        ->not->toMatch('/nginx\/|PHP\//');
})->with([
    'no request' => ["GET / HTTP/1.1\r\nHost HOST\r\n\r\n", 400, 'Not understood'],
    'another name' => [
        "GET / HTTP/1.1\r\nHost: evil.example\r\nConnection: close\r\n\r\n",
        421,
        'Another name',
    ],
    'a name with a port that is not ours' => [
        "GET /login HTTP/1.1\r\nHost: burrow.evil.example:80\r\nConnection: close\r\n\r\n",
        421,
        'Another name',
    ],
    'a program that is not shown' => [
        "GET /index2.php HTTP/1.1\r\nHost: HOST\r\nConnection: close\r\n\r\n",
        404,
        'Not here',
    ],
    'a file that is not there' => [
        "GET /css/nothing.css HTTP/1.1\r\nHost: HOST\r\nConnection: close\r\n\r\n",
        404,
        'Not here',
    ],
    'the wrong way' => [
        "POST /css/burrow.css HTTP/1.1\r\nHost: HOST\r\nContent-Length: 0\r\nConnection: close\r\n\r\n",
        405,
        'Not that way',
    ],
    'far too much' => [
        "POST /login HTTP/1.1\r\nHost: HOST\r\nContent-Length: 900000000\r\nConnection: close\r\n\r\n",
        413,
        'Too large',
    ],
    'too long an address' => [
        'GET /'.str_repeat('a', 40000)." HTTP/1.1\r\nHost: HOST\r\nConnection: close\r\n\r\n",
        414,
        'Too long an address',
    ],
    'a folder above' => [
        "GET /../../etc/passwd HTTP/1.1\r\nHost: HOST\r\nConnection: close\r\n\r\n",
        400,
        'Not understood',
    ],
]);

test(
    'the application answers to its own names, whatever their case, and to no forwarded one',
    function (): void {
        $port = explode(':', substr(base(), 7))[1];
        foreach (
            [
                "127.0.0.1:{$port}" => 200,
                "localhost:{$port}" => 200,
                "LOCALHOST:{$port}" => 200,
                "[::1]:{$port}" => 200,
                '' => 400,
            ] as $host => $status
        ) {
            expect([
                $host,
                raw("GET /login HTTP/1.1\r\nHost: {$host}\r\nConnection: close\r\n\r\n")['status'],
            ])->toBe([$host, $status]);
        }
        $forwarded = raw(
            "GET /plan HTTP/1.1\r\nHost: localhost:{$port}\r\nX-Forwarded-Host: evil.example\r\nX-Forwarded-Proto: https\r\nConnection: close\r\n\r\n",
        );
        expect($forwarded['head'])->not->toContain('evil.example')->toMatch('~Location: http://localhost~');
    },
);

test(
    'what is sent with a passphrase in it is nowhere on the disk, while it is sent and after',
    function (): void {
        $secret = 'Zwölf-Samentüten-'.bin2hex(random_bytes(8));
        $body = 'name=warden&password='.rawurlencode($secret).'&x='.str_repeat('y', 300000);
        $host = substr(base(), 7);
        [$name, $port] = explode(':', $host);
        $stream = stream_socket_client("tcp://{$name}:{$port}", timeout: 5);
        fwrite(
            $stream,
            "POST /login HTTP/1.1\r\nHost: {$host}\r\nContent-Type: application/x-www-form-urlencoded\r\nContent-Length: ".
                strlen($body).
                "\r\nConnection: close\r\n\r\n".
                substr($body, 0, 200000),
        );
        usleep(300000);
        $onDisk = fn (): string => run(
            'grep --recursive --files-with-matches --fixed-strings --text -- '.
                escapeshellarg(rawurlencode($secret)).
                ' '.
                escapeshellarg((string) getenv('TEST_VAR')).
                ' --exclude-dir=db 2>/dev/null',
        )['out'];
        $while = $onDisk();
        fwrite($stream, substr($body, 200000));
        stream_set_timeout($stream, 30);
        $answer = (string) stream_get_contents($stream);
        expect($answer)->toContain('do not belong together')->and($while)->toBe('')->and($onDisk())->toBe('');
    },
);

test('slow strangers hold no worker, whatever they say they will send', function (): void {
    $host = substr(base(), 7);
    [$name, $port] = explode(':', $host);
    $held = [];
    foreach (['/filter/lists', '/filter/log', '/login', '/report', '/settings'] as $path) {
        for ($n = 0; $n < 4; $n++) {
            $stream = stream_socket_client("tcp://{$name}:{$port}", timeout: 5);
            fwrite(
                $stream,
                "POST {$path} HTTP/1.1\r\nHost: {$host}\r\nContent-Type: application/x-www-form-urlencoded\r\n".
                    "Content-Length: 200000\r\n\r\nname=",
            );
            $held[] = $stream;
        }
    }
    // With one worker fewer than they are, nobody else would be answered before they give up.
    $answer = raw("GET /login HTTP/1.1\r\nHost: {$host}\r\nConnection: close\r\n\r\n");
    expect($answer['status'])->toBe(200);
    // Who may not send is sent to the login before any of it is there.
    stream_set_timeout($held[0], 10);
    expect((string) fgets($held[0]))->toContain('302');
    array_map(fclose(...), $held);
});

test('a list that a keeper sends arrives whole', function (): void {
    resetDemo();
    [$client, $token] = keeperAtTheCopy();
    $names = implode("\n", array_map(fn (int $n): string => "name{$n}.example", range(1, 200_000)));
    $answer = $client->post('/filter/lists', [
        'multipart' => [
            ['name' => '_token', 'contents' => $token],
            ['name' => 'list_name', 'contents' => 'a long one'],
            ['name' => 'list_file', 'contents' => $names, 'filename' => 'list.txt'],
        ],
    ]);
    expect($answer->getStatusCode())
        ->toBe(200)
        ->and(ofTheCopy("App\\Models\\FilterList::query()->where('name', 'a long one')->count()"))
        ->toBe(1);
    resetDemo();
});
