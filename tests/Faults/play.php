<?php

declare(strict_types=1);

/*
 * One run from plan to service, then another disk for that box, with a process killed at each of twenty points while a
 * form is on its way. Whatever was acknowledged must be there afterwards, once, and the household must be the same as
 * after an undisturbed run.
 *
 * php tests/Faults/play.php BASE RUN-FOLDER MYSQL-SOCKET [--undisturbed]
 * prints the household's state at the end as JSON; what went wrong goes to standard error, with exit 1.
 */

use Tests\Faults\Visitor;

require __DIR__.'/../../vendor/autoload.php';

[, $base, $run, $socket] = $argv;
$disturbed = ! in_array('--undisturbed', $argv, true);
$database = fn (): PDO => new PDO(
    "mysql:unix_socket={$socket};dbname=burrow_faults;charset=utf8mb4",
    'burrow',
    (string) getenv('DB_PASSWORD'),
    [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION],
);
/** @return list<array<string, mixed>> */
$rows = function (string $sql) use ($database): array {
    for ($try = 0; ; $try++) {
        try {
            return $database()->query($sql)->fetchAll(PDO::FETCH_ASSOC);
        } catch (PDOException $away) {
            $try < 600 || throw $away;
            usleep(300_000);
        }
    }
};
$wrong = [];
$points = [];

// The kill must not wait for the request, so it is sent off by a shell of its own.
$killWhile = function (string $name, callable $request) use ($run): bool {
    $pid = (int) explode(' ', (string) @file_get_contents("{$run}/{$name}.started"))[0];
    $killer =
        $pid > 1
            ? proc_open(
                [
                    'bash',
                    '-c',
                    'sleep "$1"; kill -KILL "$2" 2>/dev/null',
                    'bash',
                    sprintf('%.3f', random_int(0, 60) / 1000),
                    (string) $pid,
                ],
                [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']],
                $pipes,
            )
            : false;
    $acknowledged = $request();
    $killer === false || proc_close($killer);

    return $acknowledged;
};

$visitor = (new Visitor($base))->go('/login')->login();

/**
 * Does one thing until it is done: with a kill the first time, then again as a person would.
 *
 * @param  callable(): bool  $isDone  asked of the database
 * @param  callable(): bool  $act  sends the form; true when acknowledged
 * @param  ?callable(): bool  $saysDone  whether the page that answered says that it is done
 */
$point = function (
    string $label,
    ?string $kill,
    callable $isDone,
    callable $act,
    ?callable $saysDone = null,
) use (&$wrong, &$points, $killWhile, $disturbed): void {
    $kill = $disturbed ? $kill : null;
    if ($kill !== null) {
        $points[] = "{$label}: {$kill}";
    }
    for ($try = 0; $try < 40 && ! $isDone(); $try++) {
        $acknowledged = $kill !== null && $try === 0 ? $killWhile($kill, $act) : $act();
        if ($acknowledged && $saysDone !== null && $saysDone() && ! $isDone()) {
            $wrong[] = "{$label}: the page said that it is done, and it is not";
        }
        $isDone() || usleep(250_000);
    }
    if (! $isDone()) {
        $wrong[] = "{$label} did not come to its end";
        throw new RuntimeException(end($wrong));
    }
    fwrite(STDERR, "  {$label}".($kill === null ? '' : ", {$kill} killed").": done after {$try} tries\n");
};

try {
    $box = fn (): ?array => $rows(
        "SELECT * FROM boxes WHERE name = 'wren' OR name IS NULL ORDER BY id DESC LIMIT 1",
    )[0] ?? null;
    $point(
        'plan',
        'db',
        fn (): bool => $box() !== null,
        fn (): bool => $visitor->go('/plan')->press('Keep this plan'),
    );
    $id = (int) $box()['id'];
    $point(
        'name',
        'fpm',
        fn (): bool => $box()['name'] === 'wren',
        fn (): bool => $visitor
            ->go("/boxes/{$id}/name")
            ->press('Keep both', ['name' => 'wren', 'address' => '172.22.8.16']),
    );
    $key = 'ssh-ed25519 AAAAC3NzaC1lZDI1NTE5AAAAIAEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEB warden@desk';
    $point('card', 'nginx', fn (): bool => (bool) $box()['on_bench'], function () use (
        $visitor,
        $id,
        $key,
    ): bool {
        return $visitor->go("/boxes/{$id}/card")->press('Make the files', ['public_key' => $key]) &&
            $visitor->has('/bench/card') &&
            $visitor->press('Put the card into', ['power' => '1']);
    });
    $theRun = fn (): ?array => $rows("SELECT * FROM runs WHERE box_id = {$id} ORDER BY id DESC LIMIT 1")[0] ??
        null;
    $point(
        'begin',
        'db',
        fn (): bool => $theRun() !== null,
        fn (): bool => $visitor->go("/boxes/{$id}")->press('Bring it up'),
    );
    /**
     * Plays every step of the box's present run.
     *
     * @param  array<string, string>  $kills  step => the process that is killed at it
     */
    $play = function (array $kills) use ($rows, $theRun, $point, $visitor): int {
        $runId = (int) $theRun()['id'];
        $steps = $rows("SELECT step FROM run_steps WHERE run_id = {$runId} ORDER BY position");
        $typed = [];
        foreach ($steps as $position => ['step' => $step]) {
            $state = fn (): string => (string) $rows(
                "SELECT state FROM run_steps WHERE run_id = {$runId} AND step = '{$step}'",
            )[0]['state'];
            $point(
                $step,
                $kills[$step] ?? null,
                fn (): bool => $state() === 'done',
                function () use ($visitor, $runId, $step, &$typed): bool {
                    $visitor->go("/runs/{$runId}");
                    if ($visitor->has('start the clock')) {
                        return $visitor->press('start the clock');
                    }
                    if (
                        $visitor->has("Enter it in the bench's router") ||
                        $visitor->has('Enter it in the bench&#039;s router')
                    ) {
                        return $visitor->press('/reserve');
                    }
                    if (
                        $visitor->has('Type it on the bench board') &&
                        ! ($visitor->has('/look-in"') && in_array($step, $typed, true)) &&
                        ! preg_match('~<textarea id="pasted"[^>]*>\s*[^\s<]~', $visitor->html)
                    ) {
                        $visitor->press('/type') && ($typed[] = $step);
                    }
                    // What only hands can do was done when the bench says so.
                    foreach (
                        [
                            '/look-in' => '',
                            '/power' => 'The bench board is on.',
                            '/plug-in' => 'is plugged into the bench board',
                            '/plug-out' => 'is unplugged from the bench board',
                        ] as $hands => $says
                    ) {
                        if (
                            $visitor->has("{$hands}\"") &&
                            ! ($visitor->press($hands) && $visitor->has($says))
                        ) {
                            return false;
                        }
                    }
                    foreach (['Look now', 'Look again', 'Done'] as $button) {
                        if ($visitor->has(">{$button}<")) {
                            return $visitor->press($button, [
                                ...$visitor->has('id="typed_disk"')
                                    ? ['typed_disk' => str_contains($visitor->html, 'sdb') ? 'sdb' : 'sda']
                                    : [],
                                ...$visitor->has('name="answer"') ? ['answer' => 'yes'] : [],
                            ]);
                        }
                    }

                    return false;
                },
                fn (): bool => preg_match('/Step (\d+) of/', $visitor->html, $match) === 1 &&
                    (int) $match[1] > $position + 1,
            );
        }

        return $runId;
    };
    $runId = $play([
        'first-boot' => 'fpm',
        'found' => 'bench',
        'host-key' => 'worker',
        'reserve' => 'bench',
        'upgrade' => 'db',
        'disk-make' => 'nginx',
        'share' => 'scheduler',
        'logins' => 'db',
    ]);
    $point(
        'another disk',
        'nginx',
        fn (): bool => (int) ($theRun()['id'] ?? 0) !== $runId,
        fn (): bool => $visitor->go("/boxes/{$id}/parts?drive=ssd-1t")->press('Be led through it'),
    );
    $swapId = $play([
        'store-beside' => 'bench',
        'disk-find' => 'scheduler',
        'store-copy' => 'worker',
        'store-still' => 'fpm',
        'store-line' => 'nginx',
        'store-out' => 'fpm',
        'store-works' => 'db',
    ]);
    // Nothing was done twice: each step once, each word of the journal about a step once.
    foreach (
        $rows(
            "SELECT step, COUNT(*) n FROM run_steps WHERE run_id IN ({$runId}, {$swapId}) GROUP BY run_id, step HAVING n > 1",
        ) as $twice
    ) {
        $wrong[] = "step {$twice['step']} stands {$twice['n']} times";
    }
    foreach (
        $rows(
            "SELECT text, COUNT(*) n FROM journal_entries WHERE box_id = {$id} AND kind IN ('in service', 'host key', 'address', 'update', 'parts') GROUP BY text HAVING n > 1",
        ) as $twice
    ) {
        $wrong[] = "“{$twice['text']}” stands {$twice['n']} times in the journal";
    }
    foreach (['boxes' => 7, 'runs' => 2, 'stores' => 2] as $table => $count) {
        $has = (int) $rows("SELECT COUNT(*) n FROM {$table}")[0]['n'];
        $has === $count || ($wrong[] = "{$table} has {$has} rows and not {$count}");
    }
    echo json_encode(
        [
            'box' => array_intersect_key(
                $rows("SELECT * FROM boxes WHERE id = {$id}")[0],
                array_flip([
                    'name',
                    'stage',
                    'board',
                    'supply',
                    'cable',
                    'drive',
                    'address',
                    'mac',
                    'user',
                    'login',
                    'on_bench',
                ]),
            ),
            'jobs' => $rows(
                "SELECT job, school, finished_at IS NOT NULL AS finished FROM box_jobs WHERE box_id = {$id}",
            ),
            'steps' => $rows(
                "SELECT step, position, state FROM run_steps WHERE run_id IN ({$runId}, {$swapId}) ORDER BY run_id, position",
            ),
            'services' => $rows(
                "SELECT port, protocol, purpose, state FROM services WHERE box_id = {$id} ORDER BY port",
            ),
            'stores' => $rows("SELECT bytes, LEFT(serial, 4) AS serial, mount_point, share FROM stores WHERE box_id = {$id}"),
        ],
        JSON_PRETTY_PRINT,
    ),
    "\n";
} catch (Throwable $problem) {
    $wrong[] = get_class($problem).': '.$problem->getMessage();
}
foreach ($wrong as $line) {
    fwrite(STDERR, "WRONG: {$line}\n");
}
fwrite(STDERR, $disturbed ? count($points)." points\n" : '');
exit($wrong === [] && (! $disturbed || count($points) === 20) ? 0 : 1);
