<?php

declare(strict_types=1);

use Burrow\Catalogue\Part\LinkKind;
use Burrow\Diagnosis\Circumstances;
use Burrow\Diagnosis\Draw\HolePicture;
use Burrow\Diagnosis\Draw\RootPicture;
use Burrow\Diagnosis\Know\Light;
use Burrow\Diagnosis\Likely;
use Burrow\Diagnosis\Look\Probed;
use Burrow\Diagnosis\NextCheck;
use Burrow\Diagnosis\Odds;
use Burrow\Diagnosis\Seen;
use Burrow\Household\DoorState;
use Burrow\Intake\Leases\Lease;
use Burrow\Intake\Own\OwnAddressReader;
use Burrow\Net\Prefix;

// The conversation: what is offered, what contradicts, what is told, and what is forgotten after a cure.

/** @return list<string> */
function offered(array $seen, ?Circumstances $circumstances = null): array
{
    $talk = talk($seen, $circumstances);

    return array_keys(array_filter($talk->knowledge->checks, $talk->isOffered(...)));
}

test('it begins with what happens', function (): void {
    $next = talk()->next();
    expect($next)->toHaveCount(1)->and($next[0]->check->id)->toBe('complaint')->and(talk()->told())->toBeNull();
});

test('what a box has not is not looked at, and is not its trouble', function (): void {
    $wired = Circumstances::of(link: LinkKind::Wired);
    expect(offered(['complaint' => 'silent-new'], $wired))
        ->not->toContain('try-wifi')
        ->and(offered(['complaint' => 'silent-new'], $wired))
        ->toContain('link-lights')
        ->and(array_map(fn (Likely $one) => $one->id(), talk(['complaint' => 'silent-new'], $wired)->causes()))
        ->not->toContain('wifi-passphrase')
        ->toContain('cable-out');
    $store = Circumstances::of([catalogue('job')['file-store']]);
    expect($store->weight('share'))
        ->toBe(1.0)
        ->and($store->weight('names'))
        ->toBe(0.0)
        ->and($store->weight('drive'))
        ->toBe(1.0)
        ->and($store->weight('wifi'))
        ->toBe(0.5)
        ->and($store->weight(''))
        ->toBe(1.0)
        ->and(Circumstances::of([catalogue('job')['dns-filter']])->weight('names'))
        ->toBe(1.0)
        ->and(Circumstances::of([catalogue('job')['tunnel-endpoint']])->weight('tunnel'))
        ->toBe(1.0)
        ->and(Circumstances::of([catalogue('job')['automation-hub']])->weight('page'))
        ->toBe(1.0)
        ->and(Circumstances::of(link: LinkKind::UsbCable)->weight('wifi'))
        ->toBe(0.0)
        ->and(Circumstances::of(link: LinkKind::Wireless)->weight('wifi'))
        ->toBe(1.0)
        ->and(Circumstances::of(card: false)->weight('card'))
        ->toBe(0.0);
});

test('what needs a login is offered only where somebody gets in', function (): void {
    expect(offered(['complaint' => 'no-page']))
        ->toContain('units')
        ->and(offered(['complaint' => 'silent-old']))
        ->not->toContain('packages')
        ->and(offered(['complaint' => 'no-page', 'reach' => 'silent']))
        ->not->toContain('units')
        ->and(offered(['complaint' => 'no-page', 'login-says' => 'denied']))
        ->not->toContain('units')
        ->and(offered(['complaint' => 'no-page', 'login-says' => 'accepted', 'reach' => 'login']))
        ->toContain('units');
});

test('a check that was made, or cannot be made, is not asked again', function (): void {
    $talk = talk(['complaint' => 'silent-old', 'power-light' => 'steady'])->cannot('link-lights');
    $ids = array_map(fn (NextCheck $one) => $one->check->id, $talk->next(20));
    expect($ids)->not->toContain('power-light')->not->toContain('link-lights')->toContain('activity-light');
});

test('the next check is the one that clears most doubt for its minutes', function (): void {
    $next = talk(['complaint' => 'silent-old', 'reach' => 'silent', 'neighbours' => 'all'])->next(6);
    $worth = array_map(fn (NextCheck $one) => $one->bits / ($one->check->minutes + 2.5), $next);
    $sorted = $worth;
    rsort($sorted);
    expect($worth)->toBe($sorted)->and(count($next))->toBe(6);
    foreach ($next as $one) {
        expect($one->share)
            ->toBeGreaterThan(0)
            ->toBeLessThanOrEqual(1)
            ->and(array_keys($one->leadsTo))
            ->toBe(array_keys($one->check->answers));
    }
});

test('what an answer would lead to is what it does lead to', function (): void {
    $talk = talk(['complaint' => 'silent-old', 'reach' => 'silent']);
    $next = $talk->next(1)[0];
    foreach ($next->leadsTo as $answer => $likely) {
        $after = $talk->saw(new Seen($next->check->id, $answer))->causes();
        $named = array_values(array_filter($after, fn (Likely $one) => $one->id() === $likely->id()))[0];
        // The preview weighs the forty likeliest explanations only.
        expect(abs($named->probability - $likely->probability))->toBeLessThan(0.1, "{$answer}: {$likely->id()}");
    }
});

test('two answers that no cause gives contradict each other, and each counts half', function (): void {
    $talk = talk(['complaint' => 'silent-old', 'power-light' => 'dark', 'reach' => 'login']);
    $both = array_map(fn ($one) => [$one->one->check, $one->other->check], $talk->contradictions());
    expect($both)->toBe([['power-light', 'reach']]);
    $half = Odds::of(knowledge(), Circumstances::of(), [
        ['complaint', 'silent-old', 1.0],
        ['power-light', 'dark', 0.5],
        ['reach', 'login', 0.5],
    ]);
    expect($talk->odds()->byCause())->toBe($half->byCause());
});

test('two things at once are no contradiction', function (): void {
    $talk = talk(['complaint' => 'no-page', 'space' => 'full', 'memory' => 'short', 'clock' => 'wrong']);
    expect($talk->contradictions())->toBe([]);
});

test('something else gains where nothing known fits', function (): void {
    $else = fn (array $seen): float => talk($seen)->odds()->byCause()[''] ?? 0.0;
    expect($else(['complaint' => 'page-warns', 'certificate' => 'expired']))
        ->toBeLessThan(0.05)
        ->and(
            $else([
                'complaint' => 'page-warns',
                'certificate' => 'good',
                'clock' => 'right',
                'page' => 'answers',
                'units' => 'running',
            ]),
        )
        ->toBeGreaterThan(2.5 * Odds::ELSE);
});

test('the later answer to a check takes the earlier one’s place', function (): void {
    $talk = talk(['complaint' => 'silent-old'])
        ->saw(new Seen('reach', 'silent'))
        ->saw(new Seen('reach', 'login'));
    expect($talk->answer('reach'))->toBe('login')->and($talk->seen)->toHaveCount(2);
});

test('after a cure what that cause had shown is forgotten, and the rest is kept', function (): void {
    $talk = talk([
        'complaint' => 'silent-old',
        'link-lights' => 'dark',
        'touch' => 'warm',
        'guest' => 'same',
    ])->cannot('screen');
    $after = $talk->mended('cable-out');
    expect($after->answer('link-lights'))
        ->toBeNull()
        ->and($after->answer('complaint'))
        ->toBeNull()
        ->and($after->answer('guest'))
        ->toBe('same')
        ->and($after->skipped)
        ->toBe([])
        ->and(array_map(fn (Likely $one) => $one->id(), $after->causes()))
        ->not->toContain('cable-out');
});

test('it is told when it is sure, with its cure', function (): void {
    $told = talk(['complaint' => 'page-warns', 'certificate' => 'own'])->told();
    expect($told?->id())
        ->toBe('cert-own')
        ->and($told->probability)
        ->toBeGreaterThan(0.85)
        ->and($told->cause->cure)
        ->toContain('fingerprint')
        ->and($told->because)
        ->toBe('signed by itself, as on record')
        ->and(talk(['complaint' => 'silent-old'])->told())
        ->toBeNull();
});

test('unknown checks and answers are left out', function (): void {
    expect(talk(['complaint' => 'silent-old', 'nonsense' => 'yes', 'reach' => 'perhaps'])->seen)->toHaveCount(1);
});

test('probes are answers only where something was asked', function (): void {
    [$open, $shut, $silent] = [DoorState::Open, DoorState::Refused, DoorState::Silent];
    expect(Probed::reach(null, null, [$open]))
        ->toBeNull()
        ->and(Probed::reach($open, true, []))
        ->toBe('login')
        ->and(Probed::reach($open, null, []))
        ->toBe('login')
        ->and(Probed::reach($open, false, []))
        ->toBe('stranger')
        ->and(Probed::reach($shut, null, [$silent]))
        ->toBe('refused')
        ->and(Probed::reach($silent, null, [$silent, $shut]))
        ->toBe('ping-only')
        ->and(Probed::reach($silent, null, [$silent]))
        ->toBe('silent')
        ->and(Probed::neighbours([]))
        ->toBeNull()
        ->and(Probed::neighbours([$open, $shut]))
        ->toBe('all')
        ->and(Probed::neighbours([$open, $silent]))
        ->toBe('some')
        ->and(Probed::neighbours([$silent]))
        ->toBe('none')
        ->and(Probed::page(null, 200, ''))
        ->toBeNull()
        ->and(Probed::page($silent, null, ''))
        ->toBe('silent')
        ->and(Probed::page($shut, null, ''))
        ->toBe('refused')
        ->and(Probed::page($open, null, ''))
        ->toBe('error')
        ->and(Probed::page($open, 503, ''))
        ->toBe('loading')
        ->and(Probed::page($open, 200, '<h1>Loading data'))
        ->toBe('loading')
        ->and(Probed::page($open, 200, 'Create an owner account'))
        ->toBe('wizard')
        ->and(Probed::page($open, 500, ''))
        ->toBe('error')
        ->and(Probed::page($open, 401, ''))
        ->toBe('answers')
        ->and(Probed::page($open, 200, 'Vents and watering'))
        ->toBe('answers')
        ->and(Probed::sincePower(60, 120, 300))
        ->toBe('early')
        ->and(Probed::sincePower(300, 120, 300))
        ->toBe('within')
        ->and(Probed::sincePower(451, 120, 300))
        ->toBe('long');
});

test('the box in a list, by its hardware address first', function (): void {
    $mac = '02:4b:1e:90:00:07';
    $one = fn (string $address, ?string $own, ?string $name, ?string $state = null) => new Lease(
        $address,
        $own,
        $name,
        null,
        $state,
    );
    $in = fn (Lease ...$list) => Probed::inList($list, $mac, 'wren', '172.22.8.20');
    $other = $one('172.22.8.104', '02:11:5e:ed:00:05', 'desk');
    expect($in())
        ->toBeNull()
        ->and($in($other))
        ->toBe('absent')
        ->and($in($other, $one('172.22.8.20', $mac, 'wren')))
        ->toBe('listed')
        ->and($in($one('172.22.8.20', $mac, null)))
        ->toBe('listed')
        ->and($in($one('172.22.8.20', $mac, 'board')))
        ->toBe('other-name')
        ->and($in($one('172.22.8.131', $mac, 'wren')))
        ->toBe('other-address')
        ->and($in($one('172.22.8.131', '02:00:00:00:00:09', 'wren')))
        ->toBe('other-address')
        ->and($in($one('172.22.8.20', $mac, 'wren', 'expired'), $other))
        ->toBe('absent');
});

test('the desk’s own address, as its tools print it', function (): void {
    $desk = fn (string $text) => Probed::desk(
        (new OwnAddressReader())->read($text)->facts,
        Prefix::parse('172.22.8.0/24'),
    );
    $print = fn (
        string $address,
    ) => "2: eth0: <BROADCAST,UP> mtu 1500 state UP\n    link/ether 02:11:5e:ed:00:05 brd ff:ff:ff:ff:ff:ff\n    inet {$address} scope global eth0\n";
    expect($desk(''))
        ->toBeNull()
        ->and($desk($print('172.22.8.104/24')))
        ->toBe('same')
        ->and($desk($print('192.0.2.40/24')))
        ->toBe('other')
        ->and($desk($print('169.254.3.9/16')))
        ->toBe('none')
        ->and(
            $desk("1: lo: <LOOPBACK,UP> mtu 65536\n    inet 127.0.0.1/8 scope host lo\n".$print('172.22.8.9/24')),
        )
        ->toBe('same');
});

test('roots never leave their picture and stand apart, whatever was seen', function (): void {
    $chance = dice(21);
    for ($i = 0; $i < 30; $i++) {
        $seen = ['complaint' => (string) $chance->pickArrayKeys(knowledge()->checks['complaint']->answers, 1)[0]];
        foreach ($chance->pickArrayKeys(knowledge()->checks, $chance->getInt(1, 5)) as $check) {
            $seen += [$check => (string) drawn(knowledge()->usual[$check], $chance)];
        }
        $talk = talk($seen);
        $picture = RootPicture::of($talk, talk(['complaint' => $seen['complaint']]));
        $last = 0.0;
        foreach ($picture->roots as $root) {
            expect($root->end)
                ->toBeLessThanOrEqual(RootPicture::WIDTH)
                ->and($root->before ?? 0)
                ->toBeLessThanOrEqual(RootPicture::WIDTH)
                ->and($root->y - $last)
                ->toBeGreaterThanOrEqual($last === 0.0 ? 0 : 50)
                ->and($root->y + 47)
                ->toBeLessThanOrEqual($picture->height)
                ->and(mb_strlen($root->label) * 7.3 + 44)
                ->toBeLessThanOrEqual(RootPicture::WIDTH)
                ->and(mb_strlen($root->because) * 6.2 + 44)
                ->toBeLessThanOrEqual(RootPicture::WIDTH - 46);
            $last = $root->y;
        }
        expect($picture->roots)
            ->not->toBe([])
            ->and(array_filter($picture->roots, fn ($root) => $root->open))
            ->toHaveCount(1);
        $end = 0.0;
        foreach (HolePicture::of($talk->next())->holes as $hole) {
            expect($hole['x'])
                ->toBeGreaterThan($end)
                ->and($hole['depth'])
                ->toBeLessThanOrEqual(HolePicture::HEIGHT);
            $end = $hole['x'] + $hole['width'];
            expect($end)->toBeLessThanOrEqual(HolePicture::WIDTH);
        }
    }
});

test('the working multiplies to what the odds say', function (): void {
    $talk = talk(['complaint' => 'silent-old', 'link-lights' => 'dark', 'power-light' => 'steady']);
    $working = RootPicture::working($talk);
    expect($working?->result)
        ->toBe(RootPicture::percent($talk->causes()[0]->probability))
        ->and(count($working->lines))
        ->toBe(4)
        ->and(RootPicture::working(talk()))
        ->toBeNull()
        ->and(RootPicture::percent(0.999))
        ->toBe("over 99\u{a0}%")
        ->and(RootPicture::percent(0.001))
        ->toBe("under 1\u{a0}%")
        ->and(HolePicture::minutes(0.1))
        ->toBe('a moment')
        ->and(HolePicture::minutes(0.5))
        ->toBe('30 s')
        ->and(HolePicture::minutes(2.5))
        ->toBe('2.5 min')
        ->and(HolePicture::minutes(10))
        ->toBe('10 min');
});

test('lights differ to the eye', function (): void {
    $lines = array_map(fn (Light $light) => implode('', array_map(intval(...), $light->trace())), Light::cases());
    expect(array_unique($lines))
        ->toHaveCount(count(Light::cases()))
        ->and(Light::Off->isEverLit())
        ->toBeFalse()
        ->and(Light::Steady->line(1))
        ->toStartWith('M32 27H37.7V27')
        ->toEndWith('H146.0');
});
