<?php

declare(strict_types=1);

use Burrow\Diagnosis\Look\Probed;
use Burrow\Household\DoorState;
use Burrow\Net\NameAnswer;
use Burrow\Net\Prefix;

// What probes met, as answers that the checks have.

test(
    'an echo says that somebody is there where ports are silent, and nothing where nobody could ask',
    function (): void {
        expect(Probed::reach(DoorState::Silent, null, [DoorState::Silent], true))
            ->toBe('ping-only')
            ->and(Probed::reach(DoorState::Silent, null, [DoorState::Silent], false))
            ->toBe('silent')
            ->and(Probed::reach(DoorState::Silent, null, [], null))
            ->toBe('silent')
            ->and(Probed::reach(DoorState::Silent, null, [DoorState::Refused], null))
            ->toBe('ping-only')
            ->and(Probed::reach(null, null, [], true))
            ->toBeNull()
            ->and(Probed::reach(DoorState::Refused, null, [], true))
            ->toBe('refused');
    },
);

test('where a name leads', function (?NameAnswer $said, ?string $called, bool $alive, ?string $answer): void {
    expect(Probed::name($said, $called, 'larder', '172.22.8.11', $alive))->toBe($answer);
})->with([
    'to it' => [new NameAnswer(0, ['172.22.8.11']), null, true, 'answers'],
    'to it, and nobody is there' => [new NameAnswer(0, ['172.22.8.11']), null, false, 'nothing'],
    'elsewhere' => [new NameAnswer(0, ['172.22.8.99']), null, true, 'wrong-address'],
    'by multicast alone' => [new NameAnswer(3), 'larder', true, 'answers'],
    'another name by multicast' => [new NameAnswer(3), 'board', true, 'address-only'],
    'unknown, and it is there' => [new NameAnswer(3), null, true, 'address-only'],
    'no answer, and it is there' => [new NameAnswer(null), null, true, 'address-only'],
    'nothing at all' => [new NameAnswer(null), null, false, 'nothing'],
    'nobody asked' => [null, null, true, null],
    'nobody asked but the link' => [null, 'larder', true, 'answers'],
]);

test('a certificate by what is worst about it', function (
    string $starts,
    string $ends,
    array $names,
    bool $own,
    bool $changed,
    string $answer,
): void {
    $for = ['larder', 'larder.home.arpa', '172.22.8.11'];
    $at = fn (string $day): DateTimeImmutable => new DateTimeImmutable("{$day} 12:00 UTC");
    expect(
        Probed::certificate($at($starts), $at($ends), $names, $own, $changed, $for, $at('2026-11-27')),
    )->toBe($answer);
})->with([
    ['2026-01-01', '2027-01-01', ['larder.home.arpa'], false, false, 'good'],
    ['2026-01-01', '2027-01-01', ['LARDER.home.arpa'], true, false, 'own'],
    ['2026-01-01', '2027-01-01', ['*.home.arpa'], true, true, 'changed'],
    ['2026-01-01', '2027-01-01', ['172.22.8.11'], false, false, 'good'],
    ['2026-01-01', '2027-01-01', ['*.arpa'], false, false, 'other-name'],
    ['2026-01-01', '2027-01-01', [], true, true, 'other-name'],
    ['2026-01-01', '2026-11-26', ['other'], true, true, 'expired'],
    ['2026-11-28', '2027-01-01', ['other'], true, true, 'not-yet'],
    'on its first moment and its last' => ['2026-11-27', '2026-11-27', ['larder'], false, false, 'good'],
]);

test('what was said of a card when it was made tells only where it tells something', function (): void {
    expect(Probed::card([]))
        ->toBeNull()
        ->and(Probed::card(['card.password_short']))
        ->toBeNull()
        ->and(Probed::card(['card.password_short', 'card.ssid_nearly']))
        ->toBe('radio-name')
        ->and(Probed::card(['card.country_missing']))
        ->toBe('country')
        ->and(Probed::card(['card.gateway_outside']))
        ->toBe('address')
        ->and(Probed::card(['card.remote_login_off']))
        ->toBe('no-login');
});

test('every answer of a probe is one that its check has', function (): void {
    $checks = [];
    foreach (knowledge()->checks as $check) {
        $checks[$check->probe] = array_map(fn ($answer): string => $answer->id, array_values($check->answers));
    }
    foreach (
        [
            'reach' => ['login', 'refused', 'ping-only', 'silent', 'stranger'],
            'name' => ['answers', 'wrong-address', 'address-only', 'nothing'],
            'certificate' => ['good', 'own', 'expired', 'not-yet', 'other-name', 'changed'],
            'card-read' => ['country', 'radio-name', 'address', 'no-login'],
        ] as $probe => $answers
    ) {
        expect(array_diff($answers, $checks[$probe]))->toBe([]);
    }
});

test('nothing told of the desk is no answer', function (): void {
    expect(Probed::desk([], Prefix::parse('172.22.8.0/24')))->toBeNull();
});

test('what a page says of itself begins with 400 to be an error', function (
    int $status,
    string $answer,
): void {
    expect(Probed::page(DoorState::Open, $status, ''))->toBe($answer);
})->with([
    [399, 'answers'],
    [400, 'error'],
    [401, 'answers'],
    [403, 'answers'],
    [404, 'error'],
    [503, 'loading'],
]);

test('what went by since the power came on, against what it takes', function (
    float $seconds,
    string $is,
): void {
    expect(Probed::sincePower($seconds, 30, 90))->toBe($is);
})->with([[59.9, 'early'], [60, 'within'], [135, 'within'], [135.1, 'long']]);
