<?php

declare(strict_types=1);

use App\Household\RecordStamp;
use App\Models\Box;
use App\Models\FillSample;
use App\Models\HealthSample;
use Illuminate\Support\Facades\DB;

test('the page says which disk is fullest, until when, and how the drives are', function (): void {
    $this->asKeeper()
        ->get('/stores')
        ->assertSee('/srv/store on larder is the fullest')
        ->assertSeeInOrder(['One step left out', 'on ', 'How the drives are', 'SEED000002', '22 360'])
        ->assertSee('8 replaced sectors, no more than before');
});

test('what a box tells of its disks is noted, several tools in one paste', function (): void {
    $larder = Box::query()->where('name', 'larder')->firstOrFail();
    $pasted =
        "warden@larder:~ $ df -B1\n".
        "Filesystem      1B-blocks         Used    Available Use% Mounted on\n".
        "/dev/root     31087091712   3596292096  25899642880  13% /\n".
        "tmpfs           477319168            0    477319168   0% /run/lock\n".
        "/dev/sda1    491181408256 412588269568  53566603264  89% /srv/store\n".
        "warden@larder:~ $ sudo smartctl -a /dev/sda\n".
        (string) file_get_contents('tests/Core/Intake/samples/health/ata.txt');
    $before = FillSample::query()->count();
    $this->asKeeper()
        ->followingRedirects()
        ->post('/stores/note', ['box' => $larder->id, 'pasted' => $pasted])
        ->assertSee('3 were noted.')
        ->assertSee('sectors that cannot be read grew from 0 to 2');
    expect(FillSample::query()->count())->toBe($before + 2);
    $last = FillSample::query()->where('mount', '/srv/store')->latest('id')->firstOrFail();
    // What is reserved for the administrator does not count as room.
    expect((int) $last->bytes)->toBe(412_588_269_568 + 53_566_603_264);
});

test('a counter that grows is a warning', function (): void {
    $larder = Box::query()->where('name', 'larder')->firstOrFail();
    HealthSample::query()->create([
        'box_id' => $larder->id,
        'serial' => 'SEED000002',
        'reallocated' => 11,
        'pending' => 0,
        'taken_at' => now(),
    ]);
    $this->asKeeper()->get('/stores')->assertSee('replaced sectors grew from 8 to 11');
    $this->get('/')->assertSee('replaced sectors grew from 8 to 11');
});

test('a text without disks notes nothing and stays', function (): void {
    $before = [FillSample::query()->count(), HealthSample::query()->count()];
    $larder = Box::query()->where('name', 'larder')->firstOrFail();
    $this->asKeeper()
        ->followingRedirects()
        ->post('/stores/note', ['box' => $larder->id, 'pasted' => '<i>a kettle'])
        ->assertSee('nothing was noted')
        ->assertSee('&lt;i&gt;a kettle', false);
    $this->followingRedirects()
        ->post('/stores/note', ['box' => 99999, 'pasted' => 'x'])
        ->assertSee('Which box is it?');
    expect([FillSample::query()->count(), HealthSample::query()->count()])->toBe($before);
});

test('the number of questions to the database does not grow with the samples', function (): void {
    $this->asKeeper();
    $count = function (): int {
        // As after a change of the record: what is kept is worked out again.
        app(RecordStamp::class)->change();
        DB::enableQueryLog();
        DB::flushQueryLog();
        $this->get('/stores')->assertOk();

        return count(DB::getQueryLog());
    };
    $count();
    $before = $count();
    foreach (Box::query()->whereNotNull('name')->get() as $box) {
        FillSample::query()->insert(
            array_map(
                fn (int $day): array => [
                    'box_id' => $box->id,
                    'mount' => '/',
                    'bytes' => 1000,
                    'used_bytes' => 100 + $day,
                    'taken_at' => now()->subDays(90 - $day),
                ],
                range(0, 89),
            ),
        );
    }
    expect($count())->toBe($before);
});

test('a guest sees the disks and no form', function (): void {
    $this->asGuest()->get('/stores')->assertOk()->assertSee('/srv/store')->assertDontSee('Note it');
});

test('a copy that the box watched corrects the next plan and stands in the journal', function (): void {
    $larder = Box::query()->where('name', 'larder')->firstOrFail();
    $text = implode("\n", array_fill(0, 20, 'watched net=31000000 disk=30000000 busy=99,4,3,2'));
    $this->asKeeper()
        ->followingRedirects()
        ->post("/boxes/{$larder->id}/measured", ['watched' => $text])
        ->assertSee('31.0 MB/s settled');
    $measured = $larder->measurements()->latest('id')->firstOrFail();
    expect([$measured->megabytes, $measured->idle])->toEqual([31.0, 0.0]);
    $this->followingRedirects()
        ->post("/boxes/{$larder->id}/measured", ['watched' => 'a kettle'])
        ->assertSee('No copy of more than ten seconds')
        ->assertSee('a kettle');
    $this->get('/boxes/copy-test')->assertOk()->assertSee('/proc/net/dev');
});
