<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Demo\DemoLogins;
use App\Models\Backup;
use App\Models\Box;
use App\Models\ConditionSample;
use App\Models\Dependency;
use App\Models\Desk;
use App\Models\FillSample;
use App\Models\HealthSample;
use App\Models\Identity;
use App\Models\ImageRecord;
use App\Models\JournalEntry;
use App\Models\Listing;
use App\Models\Measurement;
use App\Models\Medium;
use App\Models\Network;
use App\Models\Opening;
use App\Models\Rhythm;
use App\Models\Service;
use App\Models\Sighting;
use App\Models\Store;
use App\Models\User;
use App\Models\WayIn;
use Burrow\Household\Stage;
use Illuminate\Database\Seeder;

/** The Thistledown Seed Library: six boxes in service, one of them silent. */
class DemoSeeder extends Seeder
{
    /** name => [job, board, last number of the address, days since its update, ports beside those of remote login] */
    private const BOXES = [
        'sieve' => [
            'dns-filter',
            'cobble',
            10,
            4,
            [['53', 'tcp', 'name lookups'], ['53', 'udp', 'name lookups'], ['80', 'tcp', 'its own page']],
        ],
        'larder' => ['file-store', 'flint', 11, 12, [['445', 'tcp', 'file share']]],
        'culvert' => ['tunnel-endpoint', 'pebble', 12, 2, [['51944', 'udp', 'tunnel']]],
        'dewpoint' => ['automation-hub', 'flint', 13, 12, [['8082', 'tcp', 'its own page']]],
        'lantern' => ['media-library', 'flint', 14, 33, [['8081', 'tcp', 'its own page']]],
        'seedpress' => ['print-host', 'cobble', 15, 20, [['80', 'tcp', 'its own page']]],
    ];

    public function run(): void
    {
        foreach (DemoLogins::ALL as $name => [$password, $right]) {
            User::query()->create(['name' => $name, 'password' => $password, 'role' => $right]);
        }
        $network = Network::query()->create([
            'name' => 'Thistledown Seed Library',
            'prefix' => '172.22.8.0/24',
            'router' => '172.22.8.1',
            'pool_first' => '172.22.8.100',
            'pool_last' => '172.22.8.199',
            'domain' => 'thistledown.home.arpa',
            'dns' => '172.22.8.10',
            'ranges' => "routers 172.22.8.1 172.22.8.9\nboxes 172.22.8.10 172.22.8.49",
            'router_page' => [
                'router_clients' => 'Home network, then Devices',
                'router_reservations' => 'the pencil beside a device, then “always this address”',
                'router_forwards' => 'Internet, then Openings',
                'router_apply' => 'Save, then Apply at the top; it is away for a minute',
            ],
            'wan' => '203.0.113.27',
            'wan_kind' => 'changing',
            'outside_name' => 'seeds.example.net',
            'tunnel' => [
                'net' => '10.73.12.0/24',
                'port' => '51944',
                'public_key' => base64_encode(hash('sha256', 'culvert', true)),
            ],
            'time_zone' => 'Europe/London',
            'country' => 'GB',
            'currency' => 'GBP',
            'ssids' => "Thistledown\nThistledown reading room",
        ]);
        $boxes = collect(self::BOXES)
            ->map(fn (array $spec, string $name): Box => $this->box($network, $name, ...$spec))
            ->all();
        $this->listings($boxes['larder'], $boxes['lantern']);
        $this->disks($boxes['larder']);
        $boxes['seedpress']->update([
            'silent_since' => now()->subHours(3),
            'answered_at' => now()->subHours(3),
        ]);
        JournalEntry::query()->create([
            'network_id' => $network->id,
            'box_id' => $boxes['seedpress']->id,
            'kind' => 'silent',
            'text' => 'seedpress fell silent.',
            'by' => 'the burrow itself',
            'at' => now()->subHours(3),
        ]);
        // They have been known by the same things since they went into service.
        Identity::query()
            ->with('box')
            ->get()
            ->each(fn (Identity $one) => $one->update(['first_seen' => $one->box->in_service_at ?? now()]));
        foreach (
            [
                ['00:11:5e:ed:00:05', '172.22.8.104', 'reading-desk', 'the reading room desk', 200, 0],
                ['00:11:5e:ed:00:06', '172.22.8.112', 'label-printer', 'the printer for seed labels', 190, 0],
                ['7a:40:3c:99:10:07', '172.22.8.131', null, null, 9, 2],
            ] as [$mac, $address, $name, $label, $first, $last]
        ) {
            Sighting::query()->create([
                'network_id' => $network->id,
                'known_by' => $mac,
                'mac' => $mac,
                'address' => $address,
                'name' => $name,
                'label' => $label,
                'first_seen' => now()->subDays($first),
                'last_seen' => now()->subDays($last),
            ]);
        }
        foreach (
            [
                ['the phone of the greenhouse', 'warden', 2, 310, 0],
                ['the fair-day laptop', 'desk', 3, 230, 1],
                ['the fair tablet', 'kiosk', 4, 230, 40],
            ] as [$device, $holder, $number, $given, $came]
        ) {
            WayIn::query()->create([
                'network_id' => $network->id,
                'device' => $device,
                'holder' => $holder,
                'kind' => 'tunnel',
                // Made of its name, so that nobody has the other half.
                'public_key' => base64_encode(hash('sha256', $device, true)),
                'address' => "10.73.12.{$number}",
                'given_on' => now()->subDays($given),
                'last_came_at' => now()->subDays($came)->subMinutes(12),
            ]);
        }
        WayIn::query()->create([
            'network_id' => $network->id,
            'device' => 'the tray slicer of the reading room desk',
            'holder' => 'desk',
            'kind' => 'program',
            'service_id' => $boxes['seedpress']
                ->services()
                ->where('purpose', '!=', 'remote login')
                ->value('id'),
            'given_on' => now()->subDays(120),
            'starts_alone' => true,
            'taken_back_by' => 'The printer host’s page: Settings, Application keys',
        ]);
        Opening::query()->create([
            'owner' => 'warden',
            'since' => now()->subDays(188),
            'box_id' => $boxes['culvert']->id,
            'outside_port' => 51944,
            'inside_port' => 51944,
            'protocol' => 'udp',
            'purpose' => 'tunnel',
            'reason' => 'The warden looks at the greenhouse from home.',
            'review_on' => now()->addMonths(4),
        ]);
        Store::query()->create([
            'box_id' => $boxes['larder']->id,
            'label' => 'store',
            'serial' => 'SEED000002',
            'bytes' => 500000000000,
            'uuid' => '7c9e6679-7425-40de-944b-e07fc1f90ae7',
            'mount_point' => '/srv/store',
            'share' => 'store',
        ]);
        foreach (
            [
                ['busy', 'film evening', 'fri sat', '19:00', '21:30', ['lantern', 'larder']],
                [
                    'busy',
                    'reading room open',
                    'tue thu sat',
                    '10:00',
                    '16:00',
                    ['lantern', 'larder', 'sieve'],
                ],
                ['busy', 'watering', '', '06:00', '06:40', ['dewpoint']],
                ['window', 'quiet evening', '', '21:40', '23:30', []],
            ] as [$kind, $what, $days, $from, $to, $in]
        ) {
            Rhythm::query()->create([
                'network_id' => $network->id,
                'kind' => $kind,
                'what' => $what,
                'days' => $days,
                'from' => $from,
                'to' => $to,
                'boxes' => $in,
            ]);
        }
        $near = Backup::query()->create([
            'box_id' => $boxes['larder']->id,
            'name' => 'seed-scans',
            'paths' => ['/srv/store', '/etc/samba/smb.conf', '/etc/fstab'],
            'target_box_id' => $boxes['dewpoint']->id,
            'target_account' => 'copies',
            'target_folder' => '/srv/copies/larder',
            'full_bytes' => 212_400_000_000,
            'changed_bytes' => 640_000_000,
            'seconds' => 512,
            'ran_at' => now()->subHours(13),
        ]);
        $near->drills()->create([
            'tried_at' => now()->subDays(210),
            'what' => 'the folder of beans, opened on the reading room desk',
            'minutes' => 14,
            'worked' => true,
        ]);
        Backup::query()->create([
            'box_id' => $boxes['larder']->id,
            'name' => 'seed-scans-away',
            'paths' => ['/srv/store'],
            'school' => 'archive',
            'target_host' => 'copies.example.net',
            'target_account' => 'seeds',
            'target_folder' => '/home/seeds/copies',
            'elsewhere' => true,
            'key_kept_at' => 'the sealed envelope in the office',
            'runs_at' => '03:40',
            'keep_daily' => 2,
            'keep_weekly' => 4,
            'keep_monthly' => 3,
            'full_bytes' => 198_100_000_000,
            'seconds' => 17_300,
            'ran_at' => now()->subDay(),
        ]);
        Dependency::query()->create([
            'box_id' => $boxes['lantern']->id,
            'on_box_id' => $boxes['larder']->id,
            'what' => 'files',
        ]);
        Dependency::query()->create([
            'box_id' => $boxes['culvert']->id,
            'on_box_id' => $boxes['sieve']->id,
            'what' => 'names',
        ]);
        Desk::query()->create([
            'name' => 'the reading room desk',
            'system' => 'lsblk',
            'usb_plug' => 'USB-A',
            'card_slot' => false,
            'local_names' => true,
            'login_client' => true,
            'plain_editor' => true,
            'file_copier' => true,
            'administrator' => true,
            'sleeps' => true,
            'restarts' => false,
            'hours' => 7,
            'watts' => 28,
        ]);
        Desk::query()->create([
            'name' => 'the fair-day laptop',
            'system' => 'get-disk',
            'usb_plug' => 'USB-C',
            'card_slot' => true,
            'local_names' => false,
            'login_client' => true,
            'plain_editor' => false,
            'file_copier' => true,
            'administrator' => false,
            'sleeps' => true,
            'restarts' => true,
            'hours' => 2,
            'watts' => 9,
        ]);
        $image = ImageRecord::query()->create([
            'label' => 'plain server, autumn',
            'kind' => 'server-64',
            'version' => '2026-10',
            'packed_bytes' => 520000000,
            'unpacked_bytes' => 2750000000,
            'sha256' => hash('sha256', 'thistledown'),
            'origin' => 'author',
            'checked_at' => now()->subDays(20),
        ]);
        Medium::query()->create([
            'label' => 'LARDER-1',
            'kind' => 'card',
            'serial' => '0x4b1e7700',
            'bytes' => 31914983424,
            'purpose' => 'larder starts from it',
            'image_record_id' => $image->id,
            'box_id' => $boxes['larder']->id,
            'may_be_wiped' => false,
            'place' => 'in larder',
        ]);
        Medium::query()->create([
            'label' => 'SPARE-2',
            'kind' => 'card',
            'serial' => '0x4b1e7702',
            'bytes' => 31914983424,
            'purpose' => 'spare',
            'may_be_wiped' => true,
            'place' => 'tin on the reading room shelf',
        ]);
        Medium::query()->create([
            'label' => 'SEED SCANS 2024',
            'kind' => 'drive',
            'serial' => 'SEEDSCANS24',
            'bytes' => 2000398934016,
            'purpose' => 'the second copy of the seed scans',
            'may_be_wiped' => false,
            'place' => 'office drawer',
        ]);
        Measurement::query()->create(['box_id' => $boxes['larder']->id, 'megabytes' => 104, 'idle' => 0.71]);
        Measurement::query()->create([
            'box_id' => $boxes['larder']->id,
            'board_celsius' => 69,
            'room_celsius' => 22,
        ]);
    }

    /**
     * Who reaches a port, and what stands before it.
     *
     * @return array<string, mixed>
     */
    private static function door(string $name, string $purpose): array
    {
        return match (true) {
            $purpose === 'remote login' => ['access' => 'keys', 'scheme' => 'ssh'],
            $purpose === 'file share' => [
                'access' => 'changed',
                'reach' => 'tunnel',
                'scheme' => 'smb',
                'clients' => [
                    ['client' => 'reading-desk', 'holds' => 'a drive letter'],
                    ['client' => 'lantern', 'holds' => 'its name'],
                ],
            ],
            $purpose === 'tunnel' => ['access' => 'keys', 'reach' => 'world'],
            $purpose === 'name lookups' => ['access' => 'none', 'reach' => 'tunnel'],
            $name === 'dewpoint' => [
                'access' => 'second',
                'reach' => 'tunnel',
                'scheme' => 'http',
                'codes_kept' => 'the sealed envelope in the office',
                'sends_home' => 'nothing; usage reports are off',
                'clients' => [['client' => 'the phone of the greenhouse', 'holds' => 'its address']],
            ],
            $name === 'lantern' => ['access' => 'default', 'scheme' => 'http', 'path' => '/library'],
            default => ['access' => 'changed', 'scheme' => 'http'],
        };
    }

    /** How the store filled up over half a year, and how its drive is. */
    private function disks(Box $larder): void
    {
        $rows = [];
        for ($day = 180; $day >= 0; $day -= 3) {
            // Seed scans come in steadily, more in the season; an old year was cleared out in between.
            $used = 210e9 + (180 - $day) * 1.15e9 + 6e9 * sin($day / 29) - ($day < 70 ? 55e9 : 0);
            $rows[] = ['/srv/store', '/dev/sda1', 480e9, $used, $day];
            $rows[] = ['/', '/dev/mmcblk0p2', 29e9, 3.4e9 + (180 - $day) * 4e6, $day];
        }
        FillSample::query()->insert(
            array_map(
                fn (array $row): array => [
                    'box_id' => $larder->id,
                    'mount' => $row[0],
                    'source' => $row[1],
                    'bytes' => (int) $row[2],
                    'used_bytes' => (int) $row[3],
                    'taken_at' => now()->subDays($row[4])->subHours(2),
                ],
                $rows,
            ),
        );
        $felt = [];
        for ($day = 90; $day >= 0; $day -= 2) {
            $felt[] = [
                'box_id' => $larder->id,
                'celsius' => 46 + 4 * sin($day / 11) + ($day % 5) * 0.3,
                'volts' => 5.08 + 0.02 * sin($day / 7),
                'undervoltage' => false,
                'throttled' => false,
                'taken_at' => now()->subDays($day)->subHours(2),
            ];
        }
        ConditionSample::query()->insert($felt);
        foreach ([[120, 19_510, 8], [1, 22_360, 8]] as [$days, $hours, $replaced]) {
            HealthSample::query()->create([
                'box_id' => $larder->id,
                'serial' => 'SEED000002',
                'model' => 'store drive, 500 GB',
                'bytes' => 500107862016,
                'passed' => true,
                'hours' => $hours,
                'celsius' => 34,
                'reallocated' => $replaced,
                'pending' => 0,
                'wear_percent' => 12,
                'taken_at' => now()->subDays($days),
            ]);
        }
    }

    /** What two of the boxes told of all that listens on them. */
    private function listings(Box $larder, Box $lantern): void
    {
        $usual = [
            ['tcp', '0.0.0.0', 22, 'sshd'],
            ['tcp', '::', 22, 'sshd'],
            ['udp', '0.0.0.0', 5353, 'avahi-daemon'],
        ];
        foreach (
            [
                [$larder, [['tcp', '::', 445, 'smbd'], ['tcp', '127.0.0.1', 8090, 'seed-search']]],
                [$lantern, [['tcp', '::', 8081, 'media'], ['tcp', '0.0.0.0', 8086, 'python3']]],
            ] as [$box, $heard]
        ) {
            Listing::query()->create([
                'box_id' => $box->id,
                'tool' => 'listening',
                'heard' => json_encode([...$usual, ...$heard]),
                'taken_at' => now()->subHours(2),
            ]);
        }
    }

    /** @param  list<array{string, string, string}>  $ports */
    private function box(
        Network $network,
        string $name,
        string $job,
        string $board,
        int $number,
        int $days,
        array $ports,
    ): Box {
        $box = Box::query()->create([
            'network_id' => $network->id,
            'name' => $name,
            'stage' => Stage::InService,
            'board' => $board,
            'supply' => $board === 'flint' ? 'supply-3a' : 'supply-2a5',
            'cable' => 'usual-1m',
            'fed_by' => [
                'sieve' => 'the strip behind the desk',
                'larder' => 'the strip behind the desk',
                'lantern' => 'the reading room switch',
                'seedpress' => 'the workshop switch',
            ][$name] ?? null,
            'drive' => in_array($name, ['larder', 'lantern'], true) ? 'ssd-500' : null,
            'image' => ['pebble' => 'server-32'][$board] ?? ($job === 'print-host' ? 'server-64-2023' : 'server-64'),
            'link' => $board === 'pebble' ? 'wireless' : 'wired',
            'address' => "172.22.8.{$number}",
            'mac' => sprintf('02:4b:1e:77:00:%02x', $number),
            'pinned_at' => now()->subDays(200),
            'user' => 'warden',
            'login' => 'key',
            'on_bench' => true,
            'asked_at' => now(),
            'answered_at' => now(),
            'in_service_at' => now()->subDays(200 - $number),
            'updated_system_at' => now()->subDays($days),
            'card_written_at' => now()->subDays(201 - $number),
        ]);
        $box->jobs()->create(['job' => $job, 'finished_at' => $box->in_service_at]);
        foreach ([['22', 'tcp', 'remote login'], ...$ports] as [$port, $protocol, $purpose]) {
            Service::query()->create([
                'box_id' => $box->id,
                'port' => (int) $port,
                'protocol' => $protocol,
                'purpose' => $purpose,
                'state' => $protocol !== 'tcp' ? null : ($name === 'seedpress' ? 'silent' : 'open'),
                'looked_at' => $protocol === 'tcp' ? now() : null,
                ...self::door($name, $purpose),
            ]);
        }
        foreach (
            [
                ['in service', 200 - $number, "{$name} is in service."],
                ['update', $days, 'System brought up to date.'],
            ] as [$kind, $ago, $text]
        ) {
            JournalEntry::query()->create([
                'network_id' => $network->id,
                'box_id' => $box->id,
                'kind' => $kind,
                'text' => $text,
                'by' => 'warden',
                'at' => now()->subDays($ago),
            ]);
        }

        return $box;
    }
}
