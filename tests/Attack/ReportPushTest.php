<?php

declare(strict_types=1);

// Boxes send their reports to a program of its own in front of the application: over the real web server.

/** A page of the running copy for a keeper, or a form sent to it. */
function asKeeperAt(string $path, ?array $form = null): string
{
    static $jar = null;
    $ask = function (string $path, ?array $form) use (&$jar): string {
        $handle = curl_init(base().$path);
        curl_setopt_array(
            $handle,
            [
                CURLOPT_RETURNTRANSFER => true,
                CURLOPT_FOLLOWLOCATION => true,
                CURLOPT_COOKIEFILE => $jar,
                CURLOPT_COOKIEJAR => $jar,
            ] + ($form === null ? [] : [CURLOPT_POSTFIELDS => http_build_query($form)]),
        );
        $page = (string) curl_exec($handle);
        curl_close($handle);

        return $page;
    };
    if ($jar === null) {
        $jar = scratch().'/jar';
        $ask('/login', ['name' => 'warden', 'password' => 'thistledown-demo']);
    }
    $token =
        $form === null ||
        preg_match('/name="_token" value="([^"]+)"/', $ask('/boxes/2/report', null), $match) !== 1
            ? null
            : $match[1];

    return $ask($path, $form === null ? null : $form + ['_token' => $token]);
}

function sends(string $token, string $body, string $length = ''): array
{
    return raw(
        'POST /report HTTP/1.1'.
            "\r\nHost: ".
            substr(base(), 7).
            "\r\nAuthorization: Bearer {$token}\r\nConnection: close\r\n".
            ($length ?: 'Content-Length: '.strlen($body)).
            "\r\n\r\n".
            $body,
    );
}

test(
    'a box sends over the real web server; what is no report, too long or a stranger’s is told so',
    function (): void {
        preg_match(
            '~Bearer %s\\\\n&#039; &#039;([A-Za-z0-9_-]{43})&#039;~',
            asKeeperAt('/boxes/2/report/token', []),
            $shown,
        );
        $token = $shown[1] ?? '';
        expect($token)->not->toBe('');
        $text = fn (int $uptime): string => '#: made'.
            "\n".
            time().
            "\nlarder\n#: uptime\n{$uptime}.5\n#: end\n";
        $first = sends($token, $text(86_413));
        expect($first['status'])
            ->toBe(202)
            ->and($first['head'])
            ->toContain('X-Content-Type-Options: nosniff', 'Cache-Control: no-store')
            ->not->toMatch('/nginx\/|PHP\/|Set-Cookie/i');
        // In pieces whose length nobody says before.
        $pieces = implode(
            '',
            array_map(
                fn (string $one): string => dechex(strlen($one))."\r\n{$one}\r\n",
                str_split($text(86_414), 20),
            ),
        );
        expect(sends($token, "{$pieces}0\r\n\r\n", 'Transfer-Encoding: chunked')['status'])->toBe(202);
        foreach (
            [
                [401, str_repeat('a', 43), $text(1)],
                [401, '', $text(1)],
                [401, "{$token}x", $text(1)],
                [413, $token, random_bytes(5_000_000)],
                [413, $token, "#: made\n1\n".str_repeat('x', 262_144)],
                [422, $token, random_bytes(2000)],
                [422, $token, ''],
                [422, $token, 'x#: made'],
            ] as [$status, $as, $body]
        ) {
            expect([strlen($body), sends($as, $body)['status']])->toBe([strlen($body), $status]);
        }
        $get = raw("GET /report HTTP/1.1\r\nHost: ".substr(base(), 7)."\r\nConnection: close\r\n\r\n");
        expect($get['status'])->toBe(405)->and($get['head'])->toContain('Allow: POST');
        // Whoever looks for work reads it, without having been told.
        $var = (string) getenv('TEST_VAR');
        $caches = [
            'CONFIG' => 'config',
            'SERVICES' => 'services',
            'PACKAGES' => 'packages',
            'ROUTES' => 'routes',
        ];
        $worked = run(
            "env -i PATH=\"\$PATH\" BURROW_VAR={$var} ".
                implode(
                    ' ',
                    array_map(
                        fn ($one, $file) => "APP_{$one}_CACHE={$var}/cache/{$file}.php",
                        array_keys($caches),
                        $caches,
                    ),
                ).
                ' php artisan queue:work --stop-when-empty --tries=1 --quiet',
        );
        expect([$worked['exit'], $worked['err']])
            ->toBe([0, ''])
            ->and(asKeeperAt('/boxes/2/report'))
            ->toContain('It came by itself.');
        asKeeperAt('/boxes/2/report/token', ['away' => '1']);
        expect(sends($token, $text(5))['status'])->toBe(401);
    },
);
