<?php

declare(strict_types=1);

use App\Household\RecordStamp;
use App\Jobs\FetchReports;
use App\Jobs\TakeReports;
use App\Models\Box;
use App\Models\FillSample;
use App\Models\JournalEntry;
use App\Models\Report;
use App\Models\Service;
use App\Models\Telling;
use App\Upkeep\ReportKey;
use Burrow\Upkeep\Report\ReportScript;
use Burrow\Upkeep\Report\ReportUnits;
use Illuminate\Support\Facades\DB;
use Tests\Bench\BenchProcess;
use Tests\Support\SshServer;

// A box tells how it is: pasted, sent by itself, held against the record, answered once.

beforeEach(function (): void {
    $this->larder = Box::query()->where('name', 'larder')->firstOrFail();
    $this->text = function (array $with = []): string {
        $text = '';
        foreach (
            array_replace(
                [
                    'made' => now()->getTimestamp()."\nlarder",
                    'release' => 'PRETTY_NAME="Debian GNU/Linux 12 (bookworm)"',
                    'uptime' => '86400.1',
                    'lists' => (string) now()->getTimestamp(),
                    'updates' => 'Listing...',
                    'fill' => "Filesystem 1024-blocks Used Available Capacity Mounted on\n/dev/sda1 30000000 6000000 22000000 22% /srv/new",
                    'listening' => "tcp LISTEN 0 50 0.0.0.0:445 0.0.0.0:*\ntcp LISTEN 0 5 *:8099 *:*",
                    'accounts' => "root\nwarden\nkiosk",
                    'end' => '',
                ],
                $with,
            ) as $part => $said
        ) {
            $text .= "#: {$part}\n{$said}\n";
        }

        return $text;
    };
    $this->push = fn (string $token, string $body) => $this->call(
        'POST',
        '/report',
        [],
        [],
        [],
        [
            'HTTP_AUTHORIZATION' => "Bearer {$token}",
            'CONTENT_TYPE' => 'text/plain',
            'HTTP_CONTENT_LENGTH' => strlen($body),
        ],
        $body,
    );
});

test(
    'a pasted report is read, held against the record, and each difference answered once',
    function (): void {
        $this->larder->update(['updated_system_at' => now()->subDays(40)]);
        $page = "/boxes/{$this->larder->id}/report";
        $this->asKeeper()
            ->followingRedirects()
            ->post($page, ['report' => ($this->text)()])
            ->assertSee('It is read and held against the record.')
            ->assertSee('Larder listens at 8099/tcp, which is in no plan.')
            ->assertSee('The account kiosk on larder may log in')
            ->assertSee('none wait');
        // That it is up to date is what it shows.
        expect($this->larder->refresh()->updated_system_at->isToday())
            ->toBeTrue()
            ->and(
                FillSample::query()
                    ->where('box_id', $this->larder->id)
                    ->where('mount', '/srv/new')
                    ->latest('id')
                    ->value('used_bytes'),
            )
            ->toBe(6_000_000 * 1024);
        $this->get('/')->assertSee('which is in no plan');
        $answer = fn (string $difference, string $how) => $this->followingRedirects()->post("{$page}/answer", [
            'difference' => $difference,
            'answer' => $how,
        ]);
        $answer('port 8099/tcp', 'record')->assertDontSee('listens at 8099/tcp, which');
        expect(Service::query()->where('box_id', $this->larder->id)->where('port', 8099)->count())->toBe(1);
        $answer('account kiosk', 'record')->assertDontSee('The account kiosk');
        // Known from now on, in every report.
        $this->travel(1)->hours();
        $this->followingRedirects()
            ->post($page, ['report' => ($this->text)(['accounts' => "root\nwarden\nkiosk\ndesk"])])
            ->assertSee('The account desk')
            ->assertDontSee('The account kiosk');
        $answer('account desk', 'later')->assertSee('left alone for thirty days');
        $this->get($page)->assertDontSee('The account desk');
        $this->travel(31)->days();
        $this->get($page)->assertSee('The account desk');
        $answer('account nobody', 'record')->assertSee('This is no longer so.');
        expect(JournalEntry::query()->where('kind', 'report')->count())->toBeGreaterThan(3);
    },
);

test('a text that is none stays typed, and is told at its field', function (): void {
    $this->asKeeper()
        ->followingRedirects()
        ->post("/boxes/{$this->larder->id}/report", ['report' => 'a <b>kettle'])
        ->assertSee('No report stands in this text.')
        ->assertSee('a &lt;b&gt;kettle', false);
    expect(Report::query()->count())->toBe(0);
});

test('a box sends by itself with its token, and with no other', function (): void {
    $this->asKeeper()
        ->post("/boxes/{$this->larder->id}/report/token")
        ->assertRedirect();
    $token = session('token');
    expect($token)->toMatch('/^[A-Za-z0-9_-]{43}$/');
    // Of the token only its sum is kept.
    expect($this->larder->refresh()->report_token)->toBe(hash('sha256', $token));
    auth()->logout();
    ($this->push)('', 'x')->assertStatus(401);
    ($this->push)(str_repeat('a', 43), ($this->text)())->assertStatus(401);
    ($this->push)($token, 'a kettle')->assertStatus(422);
    ($this->push)($token, random_bytes(5_000_000))->assertStatus(413);
    $first = ($this->text)();
    // Twice the same, then one that was made before: read in their order, and only the later one counts.
    ($this->push)($token, $first)->assertStatus(202)->assertSee('is read in a moment');
    ($this->push)($token, $first)->assertStatus(202);
    ($this->push)(
        $token,
        ($this->text)(['made' => now()->getTimestamp() - 7200 ."\nlarder", 'uptime' => '1.0']),
    )->assertStatus(202);
    expect(Report::query()->count())->toBe(0);
    dispatch_sync(new TakeReports());
    expect(DB::table('report_inbox')->where('taken', false)->count())
        ->toBe(0)
        ->and(DB::table('report_inbox')->where('text', '!=', '')->count())
        ->toBe(0);
    $told = Telling::kept($this->larder, Telling::REPORT);
    expect($told['report']['uptimeSeconds'])
        ->toBe(86_400)
        ->and($told['expected'])
        ->toBeTrue()
        ->and(Report::query()->count())
        ->toBe(2);
    // A clock that is far off is told.
    ($this->push)(
        $token,
        ($this->text)(['made' => now()->getTimestamp() + 90_000 ."\nlarder"]),
    )->assertStatus(202);
    dispatch_sync(new TakeReports());
    $this->asKeeper()->get('/')->assertSee('The clock of larder is');
    $this->post("/boxes/{$this->larder->id}/report/token", ['away' => '1']);
    auth()->logout();
    ($this->push)($token, ($this->text)(['uptime' => '9.0']))->assertStatus(401);
});

test('a box that sends too often waits; only the last reports are kept', function (): void {
    $this->asKeeper()->post("/boxes/{$this->larder->id}/report/token");
    $token = session('token');
    auth()->logout();
    $codes = [];
    for ($i = 0; $i < 15; $i++) {
        $codes[] = ($this->push)(
            $token,
            ($this->text)(['made' => now()->getTimestamp() + $i."\nlarder", 'uptime' => "{$i}.0"]),
        )->getStatusCode();
    }
    expect(array_count_values($codes))
        ->toBe([202 => 12, 429 => 3])
        ->and(DB::table('report_inbox')->count())
        ->toBe(12);
    dispatch_sync(new TakeReports());
    expect(Report::query()->count())
        ->toBeLessThanOrEqual(10)
        ->toBeGreaterThan(4)
        ->and(Telling::kept($this->larder, Telling::REPORT)['report']['uptimeSeconds'])
        ->toBe(11);
    // That they were read opens no new minute; the next one does, and then nothing of them is left.
    ($this->push)($token, ($this->text)())->assertStatus(429);
    $this->travel(61)->seconds();
    ($this->push)($token, ($this->text)())->assertStatus(202);
    dispatch_sync(new TakeReports());
    expect(DB::table('report_inbox')->count())->toBe(1);
});

test(
    'many boxes at once are taken in together; one that cannot be kept does not hold up the others',
    function (): void {
        $boxes = Box::query()->here()->get();
        foreach ($boxes as $box) {
            $box->update(['report_token' => hash('sha256', $token = str_pad((string) $box->id, 43, 'x'))]);
            ($this->push)($token, ($this->text)(['uptime' => "{$box->id}0.0"]))->assertStatus(202);
        }
        // One cannot be written, and one box goes before its report is read.
        $hurt = $boxes[1];
        $gone = $boxes[2];
        $gone->delete();
        Box::query()->update(['updated_system_at' => null]);
        Box::updating(fn (Box $box) => $box->id === $hurt->id ? throw new RuntimeException('not now') : null);
        dispatch_sync(new TakeReports());
        $seconds = fn (Box $box): ?int => Telling::kept($box, Telling::REPORT)['report']['uptimeSeconds'] ??
            null;
        foreach ($boxes->except([$hurt->id, $gone->id]) as $box) {
            expect([$box->name, $seconds($box), $box->refresh()->updated_system_at === null])->toBe([
                $box->name,
                $box->id * 10,
                false,
            ]);
        }
        expect($seconds($hurt))
            ->toBeNull()
            ->and(DB::table('report_inbox')->where('taken', false)->count())
            ->toBe(0);
    },
);

test('what waits is bounded: the next one is told to come later', function (): void {
    $token = str_repeat('y', 43);
    $this->larder->update(['report_token' => hash('sha256', $token)]);
    $others = Box::query()->whereKeyNot($this->larder->id)->pluck('id');
    foreach (array_chunk(range(1, 5000), 1000) as $some) {
        DB::table('report_inbox')->insert(
            array_map(
                fn (int $i): array => [
                    'box_id' => $others[$i % count($others)],
                    'received_at' => now()->subHour(),
                    'text' => 'x',
                ],
                $some,
            ),
        );
    }
    ($this->push)($token, ($this->text)())->assertStatus(503)->assertSee('Too many wait');
});

test('a guest sees no report', function (): void {
    $this->asGuest()
        ->get("/boxes/{$this->larder->id}/report")
        ->assertForbidden();
});

test(
    'a report is fetched from the right box alone, through a real server of remote login',
    function (): void {
        $folder = scratch();
        chmod($folder, 0755);
        file_put_contents("{$folder}/burrow-report", ReportScript::text());
        chmod("{$folder}/burrow-report", 0755);
        $server = new SshServer('127.22.8.11', $folder);
        $server->authorize(
            str_replace(
                ReportUnits::SCRIPT,
                "{$folder}/burrow-report",
                ReportUnits::authorizedKey(ReportKey::public()),
            ),
        );
        // The box stands on the bench at this server: port 22, raised as all others are.
        config(['burrow.bench_offset' => $server->port - 22]);
        $this->larder->update(['user' => trim(run('id -un')['out']), 'on_bench' => true, 'host_key' => null]);
        $fetch = fn () => $this->asKeeper()
            ->followingRedirects()
            ->post("/boxes/{$this->larder->id}/report/fetch");
        $fetch()->assertSee('Its host key is not known yet');
        $this->larder->refresh()->update(['host_key' => 'SHA256:'.str_repeat('A', 43)]);
        $fetch()
            ->assertSee('It shows another host key than the record knows')
            ->assertSee('Nothing was sent.');
        expect(Report::query()->count())
            ->toBe(0)
            ->and($server->log())
            ->not->toContain('Accepted');
        $this->larder->refresh()->update(['host_key' => $server->hostKey()]);
        $fetch()->assertSee('It came fetched.');
        expect(Report::query()->sole()->came)
            ->toBe('pulled')
            ->and(Telling::kept($this->larder, Telling::REPORT)['report']['host'])
            ->toBe(trim(run('uname -n')['out']));
        // A day later it is fetched by itself; a key that is gone from the box is said.
        $server->authorize('');
        $this->travel(25)->hours();
        dispatch_sync(new FetchReports());
        expect($this->larder->refresh()->fetch_wrong)->toContain('with this key');
    },
);

test(
    'a board of the bench tells how it is through a real sshd, with its own key, and nothing else',
    function (): void {
        $bench = new BenchProcess(50);
        config(['burrow.bench_socket' => $bench->socket(), 'burrow.bench_offset' => BenchProcess::OFFSET]);
        $box = upOnBench($bench, 'wren', '172.22.8.16', '02:4b:1e:90:00:09');
        $status = fn (): array => array_column($bench->ask(['do' => 'status'])['boards'], null, 'id')[
            "box-{$box->id}"
        ];
        $box->update(['host_key' => $status()['fingerprint'], 'host_key_at' => now()]);
        $page = "/boxes/{$box->id}/report";
        $fetch = fn () => $this->followingRedirects()->post("{$page}/fetch");
        $this->asKeeper();
        // Before its line is there nobody is let in: what answers is the door that only shows its key.
        $fetch();
        expect($box->refresh()->fetch_wrong)
            ->not->toBeNull()
            ->and(Report::query()->count())
            ->toBe(0);
        $this->get($page)->assertSee('Type both on the bench board');
        $this->followingRedirects()
            ->post("{$page}/bench")
            ->assertSee('has the script, and its line');
        $bench->until(
            fn (): bool => str_contains(
                (string) run('ssh-keyscan -t ed25519 -p '.(BenchProcess::OFFSET + 22).' 127.22.8.16')[
                    'all'
                ],
                'OpenSSH',
            ),
        );
        $fetch()->assertSee('It came fetched.');
        $told = Telling::kept($box, Telling::REPORT)['report'];
        expect([$told['host'], $told['codename'], $told['undervoltage'], $told['macs']])
            ->toBe(['wren', 'bookworm', false, ['02:4b:1e:90:00:09']])
            ->and($told['celsius'])
            ->toBe(48.312)
            ->and($told['uptimeSeconds'])
            ->toBeGreaterThan(20)
            ->and($told['keys'])
            ->toHaveCount(1);
        // What changes on the board is told by the next one.
        $bench->ask(['do' => 'fault', 'board' => "box-{$box->id}", 'fault' => 'weak-supply']);
        $bench->ask(['do' => 'type', 'board' => "box-{$box->id}", 'command' => 'sudo apt-get update']);
        $fetch();
        $told = Telling::kept($box, Telling::REPORT)['report'];
        expect($told['undervoltage'])->toBeTrue()->and($told['pending'])->toContain('openssl');
        // The key opens the report and no shell, by the machine's own client of remote login.
        $key = scratch().'/key';
        file_put_contents($key, ReportKey::private()->toString('OpenSSH'));
        chmod($key, 0600);
        $ssh =
            "ssh -i {$key} -p ".
            (BenchProcess::OFFSET + 22).
            ' -o StrictHostKeyChecking=no -o UserKnownHostsFile=/dev/null '.
            '-o BatchMode=yes';
        $said = run("{$ssh} warden@127.22.8.16 'cat /etc/passwd; id'");
        expect($said['out'])->toStartWith('#: made')->not->toContain('uid=');
        expect(run("{$ssh} root@127.22.8.16 id")['exit'])->not->toBe(0);
        // Without power nobody answers, and nothing of it stays.
        $bench->ask(['do' => 'power', 'board' => "box-{$box->id}", 'on' => false]);
        expect($bench->isOpen('127.22.8.16', 22))->toBeFalse();
    },
);

test(
    'what boxes tell by themselves changes the mark of the record in ten seconds, a person’s change at once',
    function (): void {
        $folder = scratch();
        $stamp = new RecordStamp($folder);
        $stamp->watch();
        $write = fn () => DB::table('boxes')
            ->where('id', $this->larder->id)
            ->update(['updated_at' => now()]);
        $before = $stamp->now();
        $stamp->whileBoxesTell($write);
        expect($stamp->now())->toBe($before);
        touch(glob("{$folder}/*.soon")[0], time() - 11);
        clearstatcache();
        $later = $stamp->now();
        expect($later)
            ->not->toBe($before)
            ->and($stamp->now())
            ->toBe($later)
            ->and(glob("{$folder}/*.soon"))
            ->toBe([]);
        $write();
        expect($stamp->now())->not->toBe($later);
    },
);
