<?php

declare(strict_types=1);

use Burrow\Household\Certificate;
use Burrow\Household\EngineGroup;
use Burrow\Household\PacketFilter;
use Burrow\Household\Service;
use Burrow\Household\WhoReaches;
use Burrow\Intake\Firewall\FirewallRule;
use Burrow\Intake\Intake;
use Burrow\Intake\System\GroupFact;
use Burrow\Net\Ipv4;
use Burrow\Net\Port;
use Burrow\Net\Protocol;
use Burrow\Ports\Certificates;
use Burrow\Ports\EngineGroups;
use Burrow\Ports\Filter\FilterAgainstLedger;
use Burrow\Ports\Filter\FilterWalk;
use Burrow\Ports\Filter\Verdict;
use Burrow\Ports\PortScheme;
use Burrow\Ports\ShownCertificate;
use Burrow\Ports\TypedPort;

// What stands before a port: the packet filter, the certificate, and who commands the engine behind it.

/** @return list<FirewallRule> */
function rulesOf(string $listing): array
{
    return Intake::standard()->read('firewall', $listing)->all(FirewallRule::class);
}

/** What is said of larder, whose filter is told so. */
function filterSays(string $listing, array $services, bool $active = true): array
{
    $house = household(
        [
            dweller('larder', address: Ipv4::parse('172.22.8.20')),
            dweller('sieve', address: Ipv4::parse('172.22.8.10')),
        ],
        ['larder' => $services],
        told: [
            'filters' => [
                new PacketFilter('larder', new DateTimeImmutable(THREE_O_CLOCK), rulesOf($listing), $active),
            ],
        ],
    );

    return array_map(
        fn ($one): string => "{$one->code} {$one->found}",
        (new FilterAgainstLedger())->findings($house)->list,
    );
}

function shutter(string $rules, string $policy = 'drop'): string
{
    return "table inet house {\n\tchain in {\n\t\ttype filter hook input priority filter; policy {$policy};\n\t\t".
        str_replace('; ', "\n\t\t", $rules).
        "\n\t}\n}\n";
}

function reached(
    int $port,
    WhoReaches $reach = WhoReaches::House,
    array $from = [],
    ?string $bound = null,
): Service {
    return new Service(
        'larder',
        Port::of($port),
        Protocol::Tcp,
        'file share',
        bound: $bound,
        reach: $reach,
        from: $from,
    );
}

test('a filter that keeps out who is meant is told, one that lets them in is not', function (
    string $rules,
    Service $service,
    array $says,
): void {
    $said = filterSays(shutter($rules), [$service]);
    expect(array_map(fn (string $one): string => explode(' ', $one)[0], $said))->toBe($says);
})->with([
    'the house comes in' => ['tcp dport 445 accept', fn () => reached(445), []],
    'nobody comes in' => [
        'tcp dport 22 accept',
        fn () => reached(445),
        ['ports.filter_shuts', 'ports.filter_opens'],
    ],
    'only another comes in' => [
        'ip saddr 172.22.8.99 tcp dport 445 accept',
        fn () => reached(445),
        ['ports.filter_shuts'],
    ],
    'a rate is not known' => ['tcp dport 445 limit rate 4/second accept', fn () => reached(445), []],
    'some are meant, all come in' => [
        'tcp dport 445 accept',
        fn () => reached(445, WhoReaches::Some, ['172.22.8.32/28']),
        ['ports.filter_wider'],
    ],
    'some are meant, and come in' => [
        'ip saddr 172.22.8.32/28 tcp dport 445 accept',
        fn () => reached(445, WhoReaches::Some, ['172.22.8.32/28']),
        [],
    ],
    'for the box alone, bound to all of it' => [
        'tcp dport 445 accept',
        fn () => reached(445, WhoReaches::Box),
        ['ports.filter_wider'],
    ],
    'bound to loopback' => [
        'tcp dport 445 accept',
        fn () => reached(445, WhoReaches::Box, [], '127.0.0.1'),
        [],
    ],
]);

test('a filter that is switched off says nothing', function (): void {
    expect(filterSays(shutter('tcp dport 22 accept'), [reached(445)], active: false))->toBe([]);
});

test('a profile of the short form may be for any port, so nothing is said of it', function (): void {
    $walk = FilterWalk::of(
        rulesOf(
            "Status: active\nDefault: deny (incoming), allow (outgoing), disabled (routed)\n\nTo                         Action      From\n--                         ------      ----\nRemote login               ALLOW IN    Anywhere\n",
        ),
    );
    expect($walk->verdict(Protocol::Tcp, 22, Ipv4::parse('172.22.8.10'), Ipv4::parse('172.22.8.20')))->toBe(
        Verdict::NotSure,
    );
});

test('chains that jump into each other without an end are left', function (): void {
    $walk = FilterWalk::of([
        new FirewallRule('in', 'drop', 'jump a', family: 'ip', table: 'filter', hook: 'input'),
        new FirewallRule('a', null, 'jump b', family: 'ip', table: 'filter'),
        new FirewallRule('b', null, 'jump a', family: 'ip', table: 'filter'),
    ]);
    expect($walk->verdict(Protocol::Tcp, 22, Ipv4::parse('172.22.8.10')))->toBe(Verdict::KeepsOut);
});

test('who commands the engine is told by name', function (): void {
    $house = household(
        [dweller('larder')],
        told: [
            'groups' => [
                new EngineGroup('larder', new DateTimeImmutable(THREE_O_CLOCK), 'engine', ['warden', 'desk']),
                new EngineGroup('sieve', new DateTimeImmutable(THREE_O_CLOCK), 'engine', []),
            ],
        ],
    );
    $found = (new EngineGroups())->findings($house)->list;
    expect(array_map(fn ($one): string => $one->found, $found))->toBe([
        'Warden, desk on larder are in the group engine.',
    ]);
});

test('groups are read as they are printed', function (string $text, array $expected): void {
    $reading = Intake::standard()->read('auto', $text);
    expect($reading->kind)->toBe('groups');
    $facts = [];
    foreach ($reading->all(GroupFact::class) as $one) {
        $facts[$one->group] = [$one->number, $one->accounts];
    }
    expect($facts)->toBe($expected);
})->with([
    'getent' => ["engine:x:998:warden,desk\n", ['engine' => [998, ['warden', 'desk']]]],
    'nobody in it' => ["warden@larder:~ $ getent group engine\nengine:x:998:\n", ['engine' => [998, []]]],
    'id' => [
        'uid=1000(warden) gid=1000(warden) groups=1000(warden),27(sudo),998(engine)',
        ['warden' => [1000, ['warden']], 'sudo' => [27, ['warden']], 'engine' => [998, ['warden']]],
    ],
]);

test('the machine\'s own groups are read as it has them', function (): void {
    $said = (string) shell_exec('getent group');
    $read = Intake::standard()->read('groups', $said);
    $facts = $read->all(GroupFact::class);
    expect(count($facts))
        ->toBe(substr_count(trim($said), "\n") + 1)
        ->and($read->unread)
        ->toBe(0);
    foreach ($facts as $fact) {
        expect(posix_getgrgid((int) $fact->number)['members'] ?? null)->toBe($fact->accounts);
    }
});

/** A certificate of a page that was seen at three o'clock. */
function shown(
    string $ends,
    ?string $changed = null,
    ?string $before = null,
    string $starts = '2026-01-01',
): Certificate {
    $time = fn (?string $said): ?DateTimeImmutable => $said === null ? null : new DateTimeImmutable($said);

    return new Certificate(
        reached(8443),
        str_repeat('ab', 32),
        'CN = larder',
        'CN = larder',
        ['larder'],
        $time($starts),
        $time($ends),
        new DateTimeImmutable(THREE_O_CLOCK),
        $time($changed),
        $time($before),
    );
}

test('a certificate is told in time, and a change where none was due', function (
    Certificate $one,
    array $says,
): void {
    $house = household([dweller('larder')], told: ['certificates' => [$one]]);
    $found = (new Certificates())->findings($house)->list;
    expect(array_map(fn ($one): string => $one->found, $found))->toBe($says);
})->with([
    'months left' => [fn () => shown('2027-03-01'), []],
    'three weeks and an hour' => [fn () => shown('2026-12-16 16:00'), []],
    'less than three weeks' => [
        fn () => shown('2026-12-16 14:00'),
        ['File share on larder: its certificate ends on 2026-12-16, in 20 days.'],
    ],
    'ended' => [
        fn () => shown('2026-11-20'),
        ['The certificate of file share on larder ended on 2026-11-20.'],
    ],
    'renewed near its end' => [fn () => shown('2027-03-01', '2026-11-20', '2026-12-10'), []],
    'changed long before' => [
        fn () => shown('2027-11-01', '2026-11-20', '2027-06-01'),
        [
            'File share on larder shows another certificate since 2026-11-20; the one before was good until 2027-06-01.',
        ],
    ],
    'changed long ago' => [fn () => shown('2027-11-01', '2026-09-20', '2027-06-01'), []],
    'not yet' => [
        fn () => shown('2027-11-01', starts: '2026-12-01'),
        ['File share on larder: its certificate counts from 2026-12-01 on only.'],
    ],
]);

test('a certificate is read as openssl tells it', function (string $options, array $names): void {
    $folder = scratch();
    run(
        "openssl req -x509 -newkey rsa:2048 -nodes -keyout {$folder}/key -out {$folder}/pem -days 90 -subj '/O=Thistledown/CN=larder.thistledown.home.arpa' {$options}",
    );
    $shown = ShownCertificate::ofPem((string) file_get_contents("{$folder}/pem"));
    $told = run("openssl x509 -in {$folder}/pem -noout -fingerprint -sha256 -enddate")['out'];
    preg_match('/=([0-9A-F:]+)\s+notAfter=(.+)/', $told, $m);
    expect($shown?->sha256)
        ->toBe(strtolower(str_replace(':', '', $m[1])))
        ->and($shown?->ends?->getTimestamp())
        ->toBe(strtotime($m[2]))
        ->and($shown?->names)
        ->toBe($names)
        ->and($shown?->holder)
        ->toBe($shown?->issuer);
})->with([
    'a name alone' => ['', ['larder.thistledown.home.arpa']],
    'names and addresses' => [
        "-addext 'subjectAltName=DNS:larder,DNS:larder.local,IP:172.22.8.20,IP:fd4b:1e90:7:8::14'",
        ['larder', 'larder.local', '172.22.8.20', 'fd4b:1e90:7:8::14'],
    ],
]);

test('what is no certificate is none', function (string $text): void {
    expect(ShownCertificate::ofPem($text))->toBeNull();
})->with(['', 'certificate', "-----BEGIN CERTIFICATE-----\nAAAA\n-----END CERTIFICATE-----\n"]);

test('some of the house have names, or it is not written down', function (
    string $sources,
    ?array $from,
    array $codes,
): void {
    $typed = TypedPort::of(
        'larder',
        ['port' => '8090', 'purpose' => 'seed search', 'reach' => 'some', 'sources' => $sources],
        [],
        new PortScheme([]),
    );
    expect($typed->service?->from)
        ->toBe($from)
        ->and($typed->findings->codes())
        ->toBe($codes);
})->with([
    'named' => [
        '172.22.8.20, 172.22.8.32/28 fd4b:1e90:7:8:0::14',
        ['172.22.8.20', '172.22.8.32/28', 'fd4b:1e90:7:8::14'],
        [],
    ],
    'nobody' => ['', null, ['ports.who_are_some']],
    'none of them' => ['the desk', null, ['ports.not_a_prefix', 'ports.not_a_prefix']],
    'not at its network address' => ['172.22.8.20/24', null, ['ports.not_a_prefix']],
    'too many' => [
        implode(' ', array_map(fn (int $i): string => "172.22.8.{$i}", range(1, 9))),
        null,
        ['ports.too_many_sources'],
    ],
]);
