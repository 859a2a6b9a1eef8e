<?php

declare(strict_types=1);

use App\Models\Box;
use App\Models\ImageRecord;
use App\Models\JournalEntry;
use App\Models\Medium;
use Burrow\Card\Write\Psk;
use Illuminate\Http\Testing\File;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Yaml\Yaml;

const KEY = 'ssh-ed25519 AAAAC3NzaC1lZDI1NTE5AAAAIAEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEBAQEB warden@desk';

/** @return array<string, mixed> */
function typedCard(mixed ...$but): array
{
    return array_replace(
        [
            'user' => 'warden',
            'public_key' => KEY,
            'time_zone' => 'Europe/London',
            'keyboard' => 'gb',
            'country' => 'GB',
        ],
        $but,
    );
}

/** A card of the corpus as files that a browser sends. */
function cardFiles(string $card): array
{
    return array_map(
        fn (string $name, string $text): File => UploadedFile::fake()->createWithContent($name, $text),
        array_keys($files = Yaml::parseFile("tests/Core/Card/cards/{$card}.yaml")['files']),
        array_values($files),
    );
}

/** Which of these texts this copy keeps: in the database, its logs or its sessions. */
function kept(string ...$texts): array
{
    $all = '';
    foreach (DB::select('SHOW TABLES') as $table) {
        $name = (string) current((array) $table);
        $all .= json_encode(DB::table($name)->get());
    }
    $all .= json_encode(session()->all());

    $folders = implode(
        ' ',
        array_map(
            escapeshellarg(...),
            array_filter(
                [storage_path('logs'), storage_path('framework/sessions'), getcwd().'/var/test/log'],
                is_dir(...),
            ),
        ),
    );

    return array_values(
        array_filter(
            $texts,
            fn (string $text): bool => str_contains($all, $text) ||
                run('grep --recursive --fixed-strings --quiet -e '.escapeshellarg($text)." {$folders}")[
                    'exit'
                ] === 0,
        ),
    );
}

test('a card with a radio: the key goes into the file, the passphrase nowhere', function (): void {
    $box = newBox(['name' => 'wren', 'address' => '172.22.8.16', 'link' => 'wireless']);
    $passphrase = 'a-passphrase-of-the-halt';
    $password = 'a password of the halt';
    $page = $this->asKeeper()
        ->post(
            "/boxes/{$box->id}/card",
            typedCard(
                ssid_1: 'Thistledown',
                security_1: 'wpa2',
                passphrase_1: $passphrase,
                first_password: $password,
                ssid_2: 'halt #2',
                security_2: 'open',
            ),
        )
        ->assertOk();
    $psk = Psk::of($passphrase, 'Thistledown');
    $page
        ->assertSee($psk)
        ->assertSee('regulatory-domain: &quot;GB&quot;', false)
        ->assertSee('&quot;halt #2&quot;: {}', false)
        ->assertDontSee($passphrase)
        ->assertDontSee($password);
    expect(kept($passphrase, $password, $psk, 'First-boot files made for wren'))->toBe([
        'First-boot files made for wren',
    ]);
});

test('after a slip the sheet holds what was typed, and no secret', function (): void {
    $box = newBox(['name' => 'wren', 'address' => '172.22.8.16']);
    $page = $this->asKeeper()
        ->post(
            "/boxes/{$box->id}/card",
            typedCard(
                ssid_1: 'thistledown',
                security_1: 'wpa2',
                passphrase_1: 'short',
                country: 'UK',
                first_password: 'a password of the halt',
            ),
        )
        ->assertOk();
    $page
        ->assertSee('value="thistledown"', false)
        ->assertSee('8 to 63 are allowed')
        ->assertSee('is no country code')
        ->assertSee('differs from “Thistledown” in case')
        ->assertDontSee('a password of the halt')
        ->assertDontSee('value="short"', false);
    expect(Box::query()->findOrFail($box->id)->card_written_at)->toBeNull();
});

test('several schools at once, for an image that understands them', function (): void {
    $box = newBox([
        'name' => 'wren',
        'address' => '172.22.8.16',
        'image' => 'server-32-old',
        'board' => 'marl',
    ]);
    $this->asKeeper()
        ->get("/boxes/{$box->id}/card")
        ->assertSee('files on the boot partition')
        ->assertDontSee('declarative files: user-data');
    $page = $this->post(
        "/boxes/{$box->id}/card",
        typedCard(
            first_password: 'a password of the halt',
            schools: ['boot-files', 'kernel-line', 'menu'],
            fixed: 'card',
            kernel_line: 'console=tty1 root=PARTUUID=1-02 rootwait',
        ),
    )->assertOk();
    $page
        ->assertSeeInOrder([
            'userconf.txt',
            'cmdline.txt',
            'ip=172.22.8.16::172.22.8.1:255.255.255.0:wren:eth0:off',
            'sudo hostnamectl set-hostname wren',
        ])
        ->assertSee('root=PARTUUID=1-02');
    $this->post("/boxes/{$box->id}/card", typedCard(schools: ['boot-files']))->assertSee(
        'This school knows no keys.',
    );
    $this->post(
        "/boxes/{$box->id}/card",
        typedCard(first_password: 'a password of the halt', schools: ['declarative']),
    )->assertSee('does not understand: declarative files');
    $this->post(
        "/boxes/{$box->id}/card",
        typedCard(schools: ['kernel-line'], kernel_line: 'root=x'),
    )->assertSee('None of the chosen schools makes an account.');
});

test('a user-data that another tool wrote is kept and completed', function (): void {
    $box = newBox(['name' => 'wren', 'address' => '172.22.8.16']);
    $theirs =
        "#cloud-config\nhostname: image\nntp:\n  enabled: true\nusers:\n  - name: warden\n    gecos: \"12:30\"\npackages: [chrony]\n";
    $page = (string) $this->asKeeper()
        ->post("/boxes/{$box->id}/card", typedCard(user_data: $theirs))
        ->assertOk()
        ->assertSee('in the user-data that was there said something else')
        ->getContent();
    preg_match('~href="data:application/octet-stream;base64,([^"]+)" download="user-data"~', $page, $match);
    $merged = Yaml::parse($text = base64_decode($match[1]));
    expect($merged['hostname'])
        ->toBe('wren')
        ->and($merged['ntp'])
        ->toBe(['enabled' => true])
        ->and($merged['packages'])
        ->toContain('chrony', 'samba')
        ->and(count($merged['users']))
        ->toBe(1)
        ->and($merged['users'][0]['gecos'])
        ->toBe('12:30')
        ->and($merged['users'][0]['ssh_authorized_keys'])
        ->toBe([KEY])
        ->and($text)
        ->toContain('"12:30"');
});

test('a ready-made image gets its marker and its own file', function (): void {
    $box = newBox(['name' => 'wren', 'address' => '172.22.8.16', 'image' => 'appliance-radio']);
    $this->asKeeper()
        ->post(
            "/boxes/{$box->id}/card",
            typedCard(
                schools: ['marker', 'own-text'],
                marker: 'start-weather',
                ssid_1: 'Thistledown',
                security_1: 'mixed',
                passphrase_1: 'seeds in paper bags',
            ),
        )
        ->assertOk()
        ->assertSee('start-weather')
        ->assertSee('wifi_name=Thistledown')
        ->assertDontSee('No marker file');
});

test('the linter looks over files and zips, and gives mended ones back', function (): void {
    $page = (string) $this->asKeeper()
        ->post('/card/lint', ['card' => cardFiles('broken/crlf')])
        ->assertOk()
        ->assertSee('line ends of another desk system')
        ->assertSee('Looked over again: nothing wrong.')
        ->getContent();
    preg_match('~href="data:application/zip;base64,([^"]+)"~', $page, $match);
    $zip = UploadedFile::fake()->createWithContent('card-mended.zip', base64_decode($match[1]));
    $this->post('/card/lint', ['card' => [$zip]])->assertSee('Looked over: nothing wrong with what is here.');
    $this->post('/card/lint', ['card' => cardFiles('broken/static-in-pool')])
        ->assertSee('network-config:7')
        ->assertSee('is inside the DHCP pool');
    $this->post('/card/lint', [
        'card' => cardFiles('broken/school-not-read'),
        'image' => 'server-32-old',
    ])->assertSee('does not read user-data');
    $this->post('/card/lint')->assertSee('There was nothing to look at.');
});

test('a guest may look a card over and find a disk, and change nothing', function (): void {
    $this->asGuest()
        ->post('/card/lint', ['card' => cardFiles('right/by-key')])
        ->assertOk();
    $this->post('/card/target', [
        'after' => file_get_contents('tests/Core/Card/disks/lsblk-with.txt'),
    ])->assertOk();
    foreach (['/card/images', '/stores/media'] as $path) {
        $this->post($path, ['label' => 'x'])->assertForbidden();
    }
});

test('a zip that is none, or full of paths, is only looked at', function (): void {
    $path = tempnam(sys_get_temp_dir(), 'zip');
    $zip = new ZipArchive();
    $zip->open($path, ZipArchive::OVERWRITE);
    $zip->addFromString('../../etc/passwd', 'x');
    $zip->addFromString('a/b/c/user-data', 'deep');
    $zip->addFromString('boot/ssh', '');
    $zip->addFromString('kernel.img', str_repeat("\0", 400000));
    $zip->close();
    $this->asKeeper()
        ->post('/card/lint', [
            'card' => [
                UploadedFile::fake()->createWithContent('card.zip', (string) file_get_contents($path)),
            ],
        ])
        ->assertOk()
        ->assertSee('Remote login is on, and there is no account.');
    $this->post('/card/lint', [
        'card' => [UploadedFile::fake()->createWithContent('card.zip', "PK\x03\x04".random_bytes(500))],
    ])->assertOk();
    unlink($path);
});

test('no command before the disk is named letter by letter', function (): void {
    $lists = [
        'before' => file_get_contents('tests/Core/Card/disks/lsblk-without.txt'),
        'after' => file_get_contents('tests/Core/Card/disks/lsblk-with.txt'),
    ];
    $name = '/dev/disk/by-id/usb-Generic_STORAGE_DEVICE-0:0';
    $this->asKeeper()
        ->post('/card/target', $lists)
        ->assertSee('The card is sdb')
        ->assertSee($name)
        ->assertSee('The register knows it as “SPARE-2”')
        ->assertDontSee('sudo dd');
    $this->post('/card/target', $lists + ['typed_name' => '/dev/sdb'])
        ->assertSee('That is not the name of this disk.')
        ->assertDontSee('sudo dd');
    $this->post('/card/target', $lists + ['typed_name' => $name, 'file' => 'plain.img.xz'])
        ->assertSee('sudo dd if=&#039;plain.img&#039; of=&#039;'.$name, false)
        ->assertSee('Is the card as large as it says?');
    $this->post('/card/target', $lists + ['typed_name' => $name, 'file' => '../plain.img'])
        ->assertSee('is not one file name')
        ->assertDontSee('sudo dd');
    $this->post('/card/target', [
        'before' => $lists['after'],
        'after' => $lists['after'],
        'typed_name' => $name,
    ])
        ->assertSee('Nothing new')
        ->assertDontSee('sudo dd');
    $this->post('/card/target', ['after' => 'sda sdb sdc'])->assertSee(
        'This is not what lsblk --json prints.',
    );
    $this->post('/card/target', [
        'desk' => 'the fair-day laptop',
        'before' => file_get_contents('tests/Core/Card/disks/get-disk-without.txt'),
        'after' => file_get_contents('tests/Core/Card/disks/get-disk-with.txt'),
        'typed_name' => 'USBSTOR\Disk&Ven_Generic:DESK',
    ])->assertSee('Clear-Disk');
});

test('a list without lasting names gives no command', function (): void {
    $after = preg_replace(
        '/^lrwx.*\n/m',
        '',
        (string) file_get_contents('tests/Core/Card/disks/lsblk-with.txt'),
    );
    $before = preg_replace(
        '/^lrwx.*\n/m',
        '',
        (string) file_get_contents('tests/Core/Card/disks/lsblk-without.txt'),
    );
    $this->asKeeper()
        ->post('/card/target', ['before' => $before, 'after' => $after, 'typed_name' => 'sdb 31914983424'])
        ->assertSee('holds no name that stays this disk')
        ->assertDontSee('sudo dd');
});

test('images stand on a shelf with their checksum', function (): void {
    $hash = hash('sha256', 'image');
    $this->asKeeper()
        ->post('/card/images', [
            'label' => 'plain, winter',
            'kind' => 'server-64',
            'origin' => 'author',
            'unpacked_gb' => '2.8',
            'published' => "{$hash}  plain.img.xz",
        ])
        ->assertRedirect();
    $image = ImageRecord::query()->where('label', 'plain, winter')->firstOrFail();
    expect($image->sha256)->toBe($hash)->and($image->unpacked_bytes)->toBe(2800000000);
    $this->from('/card/target')
        ->post("/card/images/{$image->id}/checksum", ['printed' => hash('sha256', 'another')])
        ->assertSessionHasErrors('printed');
    expect($image->refresh()->checked_at)->toBeNull();
    $this->post("/card/images/{$image->id}/checksum", [
        'printed' => strtoupper($hash).'  C:\plain.img.xz',
    ])->assertRedirect();
    expect($image->refresh()->checked_at)->not->toBeNull();
    $this->from('/card/target')
        ->post('/card/images', ['label' => 'x', 'kind' => 'server-64', 'origin' => 'stranger'])
        ->assertSessionHasErrors('because');
    $this->post('/card/images', [
        'label' => 'x',
        'kind' => 'server-64',
        'origin' => 'stranger',
        'because' => 'only on the bench',
    ]);
    expect(JournalEntry::query()->where('kind', 'overruled')->latest('id')->value('text'))->toContain(
        'because only on the bench',
    );
    $this->from('/card/target')
        ->post('/card/images', [
            'label' => 'y',
            'kind' => 'server-64',
            'origin' => 'author',
            'published' => 'd41d8cd98f00b204e9800998ecf8427e',
        ])
        ->assertSessionHasErrors('published');
});

test('the register of cards and disks', function (): void {
    $this->asKeeper()
        ->post('/stores/media', [
            'label' => 'WREN-1',
            'kind' => 'card',
            'purpose' => 'wren',
            'gigabytes' => '32',
            'serial' => '0x4b1e7799',
            'place' => 'the tin',
        ])
        ->assertRedirect('/stores/media');
    $medium = Medium::query()->where('label', 'WREN-1')->firstOrFail();
    expect($medium->may_be_wiped)->toBeFalse()->and($medium->bytes)->toBe(32000000000);
    $this->post('/stores/media', [
        'id' => $medium->id,
        'label' => 'WREN-1',
        'kind' => 'card',
        'purpose' => 'wren',
        'may_be_wiped' => '1',
    ]);
    expect($medium->refresh()->may_be_wiped)->toBeTrue();
    $this->from('/stores/media')
        ->post('/stores/media', ['label' => 'WREN-1', 'kind' => 'cup', 'purpose' => ''])
        ->assertSessionHasErrors(['label', 'kind', 'purpose']);
    $this->get('/stores/media')->assertSee('WREN-1')->assertSee('not to be wiped');
    $this->delete("/stores/media/{$medium->id}");
    expect(Medium::query()->where('label', 'WREN-1')->exists())->toBeFalse();
});

test('the names of the house\'s radios are kept in the settings', function (): void {
    $network = [
        'name' => 'x',
        'prefix' => '172.22.8.0/24',
        'router' => '172.22.8.1',
        'pool_first' => '172.22.8.100',
        'pool_last' => '172.22.8.199',
        'domain' => 'thistledown.home.arpa',
        'time_zone' => 'Europe/London',
    ];
    $this->asKeeper()
        ->post('/settings', $network + ['country' => 'gb', 'ssids' => "Thistledown\r\nfair"])
        ->assertRedirect();
    expect(App\Models\Network::home()->ssids())
        ->toBe(['Thistledown', 'fair'])
        ->and(App\Models\Network::home()->country)
        ->toBe('GB');
    $this->followingRedirects()
        ->post('/settings', $network + ['country' => 'XX'])
        ->assertOk()
        ->assertSee('is no country code');
    $this->post('/settings', $network + ['country' => 'DE'])->assertRedirect();
});

test('several cards at once: names and addresses count up around what is taken', function (): void {
    $box = newBox(['name' => 'bed', 'address' => '172.22.8.20']);
    $page = $this->asKeeper()
        ->post(
            "/boxes/{$box->id}/card",
            typedCard(
                series_count: '4',
                series_base: 'bed',
                series_first: '172.22.8.14',
                ssid_1: 'Thistledown',
                security_1: 'wpa2',
                passphrase_1: 'seeds in paper bags',
            ),
        )
        ->assertOk();
    // .14 and .15 are lantern and seedpress, and .20 is the box itself.
    expect(
        Box::query()->where('name', 'like', 'bed-%')->orderBy('id')->pluck('address', 'name')->all(),
    )->toBe([
        'bed-1' => '172.22.8.16',
        'bed-2' => '172.22.8.17',
        'bed-3' => '172.22.8.18',
        'bed-4' => '172.22.8.19',
    ]);
    $instances = Box::query()->where('name', 'like', 'bed-%')->pluck('instance')->all();
    expect(count(array_unique($instances)))
        ->toBe(4)
        ->and(Box::query()->where('name', 'bed-2')->firstOrFail()->jobs->pluck('job')->all())
        ->toBe($box->jobs->pluck('job')->all());
    preg_match_all('~href="data:application/zip;base64,([^"]+)"~', (string) $page->getContent(), $zips);
    $file = scratch().'/cards.zip';
    file_put_contents($file, base64_decode(end($zips[1])));
    expect(run("unzip -Z1 {$file}")['out'])
        ->toContain('bed-1/user-data')
        ->toContain('bed-4/network-config')
        ->and(run("unzip -p {$file} bed-3/user-data")['out'])
        ->toContain('hostname: bed-3');
    // Once more the names are taken, and nothing is made.
    $this->post(
        "/boxes/{$box->id}/card",
        typedCard(series_count: '2', series_base: 'bed', series_first: '172.22.8.30'),
    )->assertSee('Another box is called bed-1.');
    $this->post(
        "/boxes/{$box->id}/card",
        typedCard(series_count: '2', series_base: 'pot_', series_first: '172.22.8.30'),
    )->assertSee('holds a character that host names cannot have');
    $this->post(
        "/boxes/{$box->id}/card",
        typedCard(series_count: '2', series_base: 'pot', series_first: 'tea'),
    )->assertSee('is no IPv4 address');
    expect(Box::query()->where('name', 'like', 'pot%')->count())->toBe(0);
});

test('two boxes with one host key are found', function (): void {
    Box::query()
        ->whereIn('name', ['larder', 'lantern'])
        ->update(['host_key' => 'SHA256:same']);
    $larder = Box::query()->where('name', 'larder')->firstOrFail();
    $this->asKeeper()
        ->get("/boxes/{$larder->id}")
        ->assertSee('larder and lantern have one host key.');
    $this->get('/boxes/'.Box::query()->where('name', 'dewpoint')->value('id'))->assertDontSee(
        'have one host key',
    );
});

test('the time of a writing is kept with its card', function (): void {
    $spare = Medium::query()->where('label', 'SPARE-2')->firstOrFail();
    $this->asKeeper()->post("/stores/media/{$spare->id}/took", ['minutes' => '3', 'bytes' => '2700000000']);
    expect($spare->refresh()->write_mbyte)->toEqualWithDelta(15.0, 1e-9);
    $this->post('/card/target', [
        'before' => file_get_contents('tests/Core/Card/disks/lsblk-without.txt'),
        'after' => file_get_contents('tests/Core/Card/disks/lsblk-with.txt'),
    ])->assertSee('measured here on this card');
    $this->from('/card/target')
        ->post("/stores/media/{$spare->id}/took", ['minutes' => '0', 'bytes' => '2700000000'])
        ->assertSessionHasErrors('minutes');
});

test('a box whose address is on its card is brought up without a reservation', function (): void {
    $box = newBox(['name' => 'wren', 'address' => '172.22.8.16']);
    $typed = [
        'user' => 'warden',
        'public_key' => WEB_KEY,
        'keyboard' => 'gb',
        'time_zone' => 'Europe/London',
    ];
    $this->asKeeper()
        ->post("/boxes/{$box->id}/card", ['fixed' => 'card', ...$typed])
        ->assertOk();
    $this->post("/boxes/{$box->id}/run")->assertRedirect();
    $steps = $box->refresh()->run?->steps->pluck('step')->all();
    expect($steps)->toContain('fixed')->not->toContain('reserve', 'found');
    $this->get('/addresses')->assertSee('on its card');
    $this->post("/boxes/{$box->id}/card", ['fixed' => 'router', ...$typed])->assertOk();
    expect($box->refresh()->fixed_address)->toBeFalse();
});

test(
    'an image that is told everything in its writing tool has a sheet to type from, and nothing to pack',
    function (): void {
        $box = newBox(['name' => 'wren', 'address' => '172.22.8.16', 'image' => 'server-64-2023']);
        $this->asKeeper()
            ->post("/boxes/{$box->id}/card", typedCard(schools: ['dialog']))
            ->assertOk()
            ->assertSee('A sheet to type from')
            ->assertDontSee('Download as zip');
        // And so for several of a kind.
        $this->post(
            "/boxes/{$box->id}/card",
            typedCard(schools: ['dialog'], series_count: '3', series_first: '172.22.8.40'),
        )
            ->assertOk()
            ->assertSee('typed')
            ->assertDontSee('Download all');
    },
);

test('a card that was read in part is not said to start', function (int $slips, string $says): void {
    $file = scratch().'/wpa_supplicant.conf';
    file_put_contents(
        $file,
        "country=GB\n".
            implode('', array_map(fn (int $at): string => "slip{$at}=1\n", range(1, $slips))).
            "network={\n ssid=\"Thistledown\"\n psk=\"seeds in bags\"\n}\n",
    );
    $this->asKeeper()
        ->post('/card/lint', [
            'card' => [new Illuminate\Http\UploadedFile($file, 'wpa_supplicant.conf', test: true)],
        ])
        ->assertSee($says)
        ->assertDontSee('names no network');
})->with([
    [3, 'Nothing here stops it; something is to be borne in mind.'],
    [45, 'Nothing that was read stops it; a part was not read.'],
]);
