<?php

declare(strict_types=1);

use App\Jobs\TellHouse;
use App\Models\Box;
use App\Models\Network;
use App\Models\Token;

// The house tells: by mail through a real server, by a hook, as a calendar, as figures.

/** A program that listens on a port of its own on loopback until the test ends; its output goes into a file. */
function listener(array $command): array
{
    $socket = stream_socket_server('tcp://127.0.0.1:0');
    $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
    fclose($socket);
    $file = scratch().'/said';
    $process = proc_open(
        array_map(fn (string $word): string => str_replace('PORT', (string) $port, $word), $command),
        [['file', '/dev/null', 'r'], ['file', $file, 'w'], ['file', $file, 'a']],
        $pipes,
    );
    register_shutdown_function(function () use ($process): void {
        proc_terminate($process);
    });
    for (
        $wait = 0;
        $wait < 60 && run("bash -c 'exec 3<>/dev/tcp/127.0.0.1/{$port}'")['exit'] !== 0;
        $wait++
    ) {
        usleep(100_000);
    }

    return [$port, $file];
}

beforeEach(fn () => $this->asKeeper());

test('what needs somebody goes out once a day, by mail and by the hook', function (): void {
    [$mail, $mails] = listener([
        '/usr/bin/python3',
        '-W',
        'ignore',
        '-u',
        '-m',
        'smtpd',
        '-n',
        '-c',
        'DebuggingServer',
        '127.0.0.1:PORT',
    ]);
    $folder = scratch();
    file_put_contents(
        "{$folder}/hook.php",
        "<?php file_put_contents('{$folder}/got', file_get_contents('php://input').\"\\n\", FILE_APPEND);",
    );
    [$hook] = listener(['php', '-S', '127.0.0.1:PORT', "{$folder}/hook.php"]);
    $this->post('/settings/telling', [
        'mail_to' => 'warden@example.org',
        'mail_server' => "127.0.0.1:{$mail}",
        'hook' => "http://127.0.0.1:{$hook}/hook",
    ])->assertRedirect('/settings/telling');
    dispatch_sync(app(TellHouse::class));
    dispatch_sync(app(TellHouse::class));
    $got = array_map(
        fn (string $line) => json_decode($line, true),
        explode("\n", trim((string) file_get_contents("{$folder}/got"))),
    );
    expect($got)
        ->toHaveCount(1)
        ->and($got[0]['findings'])
        ->not->toBe([])
        ->and($got[0]['findings'][0])
        ->toHaveKeys(['severity', 'code', 'found', 'do'])
        ->and(substr_count((string) file_get_contents($mails), 'Subject: '))
        ->toBe(1)
        ->and((string) file_get_contents($mails))
        ->toContain('To: warden@example.org');
    // One is silent from the beginning. Another that falls silent does not wait for tomorrow, and is told once.
    Box::query()
        ->where('name', 'sieve')
        ->update(['silent_since' => now(), 'asked_at' => now()]);
    dispatch_sync(app(TellHouse::class));
    dispatch_sync(app(TellHouse::class));
    expect(substr_count((string) file_get_contents("{$folder}/got"), '"urgent":true'))->toBe(2);
    $this->travel(25)->hours();
    Box::query()->update(['asked_at' => now()]);
    dispatch_sync(app(TellHouse::class));
    expect(substr_count((string) file_get_contents("{$folder}/got"), "\n"))->toBe(3);
});

test('what does not arrive is said, and told the next time', function (): void {
    $this->post('/settings/telling', ['hook' => 'http://127.0.0.1:9/']);
    $this->followingRedirects()
        ->post('/settings/telling/now')
        ->assertSee('It did not arrive everywhere.')
        ->assertSee('The hook did not answer');
    expect(Network::home()->told_at)->toBeNull();
    $this->followingRedirects()
        ->post('/settings/telling', ['hook' => 'http://203.0.113.9/'])
        ->assertSee('This leads nowhere in the house.')
        ->assertSee('value="http://203.0.113.9/"', false);
    expect(Network::home()->hook)->toBe('http://127.0.0.1:9/');
});

test('a calendar and figures are fetched with a token, and with none that was taken back', function (): void {
    $this->followingRedirects()
        ->post('/settings/tokens', ['token_kind' => 'feed', 'holder' => 'the desk'])
        ->assertSee('This is shown once.');
    $feed = Token::give(Token::FEED, 'a phone');
    $figures = Token::give(Token::METRICS, 'a program');
    auth()->logout();
    $this->flushSession();
    $this->get("/feed/{$feed}.ics")
        ->assertOk()
        ->assertSee('BEGIN:VCALENDAR');
    $this->get("/feed/{$figures}.ics")->assertNotFound();
    $this->get('/metrics')->assertStatus(401);
    $this->get('/metrics', ['Authorization' => "Bearer {$feed}"])->assertStatus(401);
    $answer = $this->get('/metrics', ['Authorization' => "Bearer {$figures}"])->assertOk();
    $answer->assertHeader('Content-Type', 'application/openmetrics-text; version=1.0.0; charset=utf-8');
    $parsed = run(
        '/usr/bin/python3 -c "'.
            'import sys, json; from prometheus_client.openmetrics.parser import text_string_to_metric_families as p; '.
            'print(json.dumps({f.name: [[s.labels, s.value] for s in f.samples] for f in p(sys.stdin.read())}))"',
        $answer->getContent(),
    );
    $families = json_decode($parsed['out'], true);
    expect($parsed['exit'])
        ->toBe(0, $parsed['all'])
        ->and($families)
        ->toHaveKeys(['burrow_box_answers', 'burrow_findings', 'burrow_disk_used_bytes']);
    $answers = [];
    foreach ($families['burrow_box_answers'] as [$labels, $value]) {
        $answers[$labels['box']] = (int) $value;
    }
    expect($answers['larder'])->toBe(1);
    Token::query()->where('holder', 'a program')->firstOrFail()->delete();
    $this->get('/metrics', ['Authorization' => "Bearer {$figures}"])->assertStatus(401);
    expect(Token::query()->where('holder', 'a phone')->value('used_at'))
        ->not->toBeNull()
        ->and(Token::query()->where('sum', $feed)->exists())
        ->toBeFalse();
});

test('a mail server and a hook that drip are let go', function (): void {
    $folder = scratch();
    // A letter each half second, and never the end of the line.
    file_put_contents(
        "{$folder}/drip.php",
        '<?php $s = stream_socket_server("tcp://127.0.0.1:{$argv[1]}"); while ($c = stream_socket_accept($s, -1)) { '.
            'fwrite($c, $argv[2]); for ($i = 0; $i < 240 && ! feof($c); $i++) { if (@fwrite($c, "x") === false) break; usleep(500000); } fclose($c); }',
    );
    [$mail] = listener(['php', "{$folder}/drip.php", 'PORT', '220-']);
    [$hook] = listener(['php', "{$folder}/drip.php", 'PORT', "HTTP/1.1 200 OK\r\nX-"]);
    $this->post('/settings/telling', [
        'mail_to' => 'warden@example.org',
        'mail_server' => "127.0.0.1:{$mail}",
        'hook' => "http://127.0.0.1:{$hook}/hook",
    ]);
    $this->followingRedirects()
        ->post('/settings/telling/now')
        ->assertSee('The server took too long.')
        ->assertSee('The hook did not answer');
});
