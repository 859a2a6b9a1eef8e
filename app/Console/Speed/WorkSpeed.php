<?php

declare(strict_types=1);

namespace App\Console\Speed;

use App\Catalogue\Catalogue;
use App\Catalogue\KnownCauses;
use App\Models\Network;
use App\Plan\Choices;
use App\Plan\Household;
use App\Probe\PingProbe;
use App\Probe\Sweep;
use App\Probe\TcpProbe;
use Burrow\Addresses\Described\DescribedNetwork;
use Burrow\Addresses\Described\Host;
use Burrow\Addresses\Draw\AddressBand;
use Burrow\Addresses\Draw\Standing;
use Burrow\Addresses\Draw\StandingKind;
use Burrow\Card\CardContext;
use Burrow\Card\CardFolder;
use Burrow\Card\Linter;
use Burrow\Card\Write\CardOrder;
use Burrow\Card\Write\CardSet;
use Burrow\Card\Write\FirstBoot;
use Burrow\Card\Write\Sha512Crypt;
use Burrow\Card\Write\WifiNetwork;
use Burrow\Card\Write\WifiSecurity;
use Burrow\Catalogue\Part\CardSchool;
use Burrow\Catalogue\Part\ImageKind;
use Burrow\Diagnosis\Circumstances;
use Burrow\Diagnosis\Conversation;
use Burrow\Diagnosis\Know\Check;
use Burrow\Diagnosis\Know\Knowledge;
use Burrow\Diagnosis\Play;
use Burrow\Diagnosis\Seen;
use Burrow\Intake\Intake;
use Burrow\Net\Hostname;
use Burrow\Net\Ipv4;
use Burrow\Net\Prefix;
use Burrow\Plan\Ways\WaysOut;
use Closure;
use Illuminate\Http\Request;
use RuntimeException;

/** What is read and worked out, against the obvious tool where there is one. */
final readonly class WorkSpeed
{
    private const LONG_LIST = 100_000;

    private const ON_BAND = 5000;

    /** The order in which people look: cable, supply, card, settings, address, login, service, and the rest. */
    private const FIXED = [
        'link-lights',
        'power-light',
        'activity-light',
        'reseated',
        'card-read',
        'router-list',
        'desk-address',
        'clash',
        'waited',
        'name',
        'login-says',
        'user',
        'password',
        'desk-key',
        'firewall',
        'units',
        'listening',
        'page',
        'guest',
        'space',
        'clock',
        'memory',
        'mounts',
        'certificate',
        'share-says',
        'share-check',
        'client-resolver',
        'filter',
        'internet',
        'forward',
        'tunnel-status',
        'wan',
        'from',
        'keys',
        'far-network',
        'passing',
        'packets',
        'link-speed',
        'load',
        'health',
        'disk-socket',
        'power-flags',
        'touch',
        'kernel-log',
        'long-step',
        'name-record',
        'upstream',
        'try-wifi',
        'dhcp',
        'other-socket',
        'screen',
        'other-supply',
        'unplugged',
        'card-test',
    ];

    /** @param  Closure(string): void  $say */
    public function __construct(private Closure $say)
    {
    }

    public function measure(Intake $intake): void
    {
        $this->readers($intake);
        $this->addresses();
        $this->ways();
        $this->lint();
        $this->diagnosis();
    }

    /**
     * A card with every kind of file on it and a password's hash, which is tried against those that everybody knows.
     */
    private function lint(): void
    {
        $image = app(Catalogue::class)->shelf()->images['server-mixed'];
        // Another hash each time: one that was tried a moment ago is not tried again.
        $cards = array_map(
            fn (int $number): CardFolder => $this->card($image, "thistle{$number}"),
            range(1, Stopwatch::ROUNDS),
        );
        ($this->say)(
            sprintf(
                '%-34s %6.1f ms',
                'lint of a card with every file',
                Stopwatch::middle(
                    array_map(
                        fn (CardFolder $card): float => Stopwatch::median(
                            fn () => (new Linter())->lint($card, new CardContext($image)),
                            1,
                        ),
                        $cards,
                    ),
                ),
            ),
        );
    }

    private function card(ImageKind $image, string $salt): CardFolder
    {
        $settings = new FirstBoot(
            Hostname::parse('wren'),
            'thistledown.home.arpa',
            'wren-1',
            'warden',
            null,
            Sha512Crypt::hash('seeds in paper bags', $salt),
            'Europe/London',
            'gb',
            ['samba'],
            [WifiNetwork::of('Thistledown', WifiSecurity::Wpa2, 'seeds in paper bags', 1)],
            'GB',
        );
        $order = new CardOrder(
            $image,
            [
                CardSchool::Declarative,
                CardSchool::BootFiles,
                CardSchool::KernelLine,
                CardSchool::Firmware,
                CardSchool::UsbCable,
            ],
            true,
            true,
            '',
            'console=tty1 root=PARTUUID=1-02 rootwait',
        );

        return CardSet::of($settings, $order)->folder();
    }

    private function ways(): void
    {
        $catalogue = app(Catalogue::class);
        $plan = Choices::from(
            Request::create('/', 'GET', [
                'job' => 'media-library',
                'board' => 'cobble',
                'supply' => 'charger-1a',
                'case' => 'closed',
                'image' => 'desktop-64',
            ]),
            $catalogue,
            app(Household::class),
        )->input();
        $ways = new WaysOut($catalogue->shelf());
        ($this->say)(
            sprintf(
                '%-34s %6.1f ms',
                'ways out over the whole catalogue',
                Stopwatch::median(fn () => $ways->from($plan), 9),
            ),
        );
    }

    private function readers(Intake $intake): void
    {
        $python = <<<'PY'
        import ipaddress, re, sys
        mac = re.compile(r'^[0-9a-f]{2}(:[0-9a-f]{2}){5}$')
        address, hardware = (2, 1) if sys.argv[2] == 'leases' else (0, 4)
        found = []
        for line in open(sys.argv[1]):
            words = line.split()
            if mac.match(words[hardware]):
                found.append((ipaddress.ip_address(words[address]), words[hardware], words[3], words[-1]))
        PY;
        $forms = [
            'leases' => '1795600000 %2$s %1$s box *',
            'neighbours' => '%1$s dev eth0 lladdr %2$s REACHABLE',
        ];
        foreach ($forms as $kind => $form) {
            $text = '';
            for ($i = 0; $i < self::LONG_LIST; $i++) {
                $parts = [($i >> 16) & 255, ($i >> 8) & 255, $i & 255];
                $text .= sprintf(
                    "{$form}\n",
                    '10.'.implode('.', $parts),
                    vsprintf('02:00:%02x:%02x:%02x:01', $parts),
                );
            }
            $file =
                tempnam(sys_get_temp_dir(), 'speed') ?:
                throw new RuntimeException('No temporary file could be made.');
            file_put_contents($file, $text);
            memory_reset_peak_usage();
            $before = memory_get_usage();
            $ours = Stopwatch::median(fn () => $intake->read($kind, $text), 5);
            $peak = (memory_get_peak_usage() - $before + strlen($text)) / 1024 ** 2;
            $call = 'python3 -c '.escapeshellarg($python).' '.escapeshellarg($file)." {$kind}";
            $theirs = Stopwatch::median(fn () => exec($call), 5);
            unlink($file);
            ($this->say)(
                sprintf(
                    '%-34s %6.1f ms  %4.2f × Python with ipaddress, %d MB',
                    "{$kind} of ".self::LONG_LIST.' lines',
                    $ours,
                    $ours / $theirs,
                    $peak,
                ),
            );
        }
    }

    /** A band with thousands on it, and a look at every address of a network on loopback. */
    private function addresses(): void
    {
        $standing = [];
        $hosts = [];
        for ($i = 0; $i < self::ON_BAND; $i++) {
            $address = Ipv4::fromNumber(0xAC160000 + (int) (($i + 0.5) * (65536 / self::ON_BAND)));
            $hosts[] = new Host("box{$i}", $address);
            $standing[] = new Standing($address, "box{$i}", StandingKind::Reservation);
        }
        $network = new DescribedNetwork('wide', Prefix::parse('172.22.0.0/16'), hosts: $hosts);
        ($this->say)(
            sprintf(
                '%-34s %6.1f ms',
                'band of a /16 with '.self::ON_BAND.' on it',
                Stopwatch::median(fn () => AddressBand::of($network, $standing), 9),
            ),
        );
        $sweep = new Sweep(new TcpProbe(1), new PingProbe(1));
        ($this->say)(
            sprintf(
                '%-34s %6.1f ms',
                'sweep of a /24 on loopback, 1 s',
                Stopwatch::median(fn () => $sweep->part(Network::home(), 0, true), 3),
            ),
        );
    }

    /** The next check with all causes and all observations, and the search against a fixed list of looks. */
    private function diagnosis(): void
    {
        $knowledge = KnownCauses::common();
        $seen = [];
        foreach ($knowledge->usual as $check => $shares) {
            arsort($shares);
            $seen[] = new Seen($check, (string) array_key_first($shares));
        }
        $next = fn (int $answers): array => Conversation::of($knowledge, Circumstances::of(), [
            new Seen(Check::FIRST, 'silent-old'),
            ...array_slice($seen, 1, $answers),
        ])->next(1);
        foreach ([5, count($seen) - 6] as $answers) {
            ($this->say)(
                sprintf(
                    '%-34s %6.1f ms',
                    "next check, {$answers} answers, ".count($knowledge->causes).' causes',
                    Stopwatch::median(fn (): array => $next($answers), 9),
                ),
            );
        }
        $guided = $fixed = 0.0;
        foreach ($knowledge->causes as $cause) {
            $guided += Play::of($knowledge, [$cause])->minutes();
            $fixed += self::byList($knowledge, $cause->id);
        }
        $count = count($knowledge->causes);
        ($this->say)(
            sprintf(
                '%-34s %6.1f min  %4.2f × a fixed list of looks',
                'search for a single cause',
                $guided / $count,
                $guided / $fixed,
            ),
        );
    }

    /** Minutes until the look that shows a cause, when everything is looked at in the same order every time. */
    private static function byList(Knowledge $knowledge, string $cause): float
    {
        $minutes = 0.0;
        foreach (self::FIXED as $check) {
            $minutes += $knowledge->checks[$check]->minutes;
            $shares = $knowledge->answers($check, $cause);
            arsort($shares);
            $usual = $knowledge->usual[$check];
            arsort($usual);
            if (array_key_first($shares) !== array_key_first($usual)) {
                return $minutes;
            }
        }

        return $minutes;
    }
}
