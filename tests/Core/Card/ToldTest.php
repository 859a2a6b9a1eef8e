<?php

declare(strict_types=1);

use Burrow\Card\CardFolder;
use Burrow\Card\Linter;
use Burrow\Card\Read\CardDocument;
use Burrow\Card\Read\CloudAccount;
use Burrow\Card\Read\CloudAccounts;
use Burrow\Judgement\Finding;
use Symfony\Component\Yaml\Yaml;

// Files of a card, damaged in one or more places, and what the programs that read them on a box said of each: told/
// holds their answers, tests/Outside asks them again. Here the linter is held to them.

test(
    'what netplan refuses is stopped at its line, and what it takes is not called refused',
    function (): void {
        $refused = $stopped = $near = 0;
        foreach (told('netplan') as ['text' => $text, 'refused' => $line]) {
            $stops = stopsIn(['network-config' => $text], 'network-config');
            $codes = array_map(fn (Finding $one): string => $one->code, $stops);
            if ($line === null) {
                expect([$text, in_array('card.netplan_refuses', $codes, true)])->toBe([$text, false]);

                continue;
            }
            $refused++;
            $stopped += $stops === [] ? 0 : 1;
            $near += isBeside($line, $stops) ? 1 : 0;
        }
        expect($refused)
            ->toBeGreaterThan(200)
            ->and($stopped)
            ->toBe($refused)
            ->and($near / $refused)
            ->toBeGreaterThan(0.98);
    },
);

test(
    'what wpa_supplicant refuses is stopped near its line, and what it takes is not unreadable',
    function (): void {
        $refused = $stopped = $near = 0;
        foreach (told('wpa') as ['text' => $text, 'refused' => $line]) {
            $files = ['wpa_supplicant.conf' => $text, 'ssh' => ''];
            $stops = stopsIn($files, 'wpa_supplicant.conf');
            if ($line === null) {
                $unread = array_intersect((new Linter())->lint(new CardFolder($files))->codes(), [
                    'card.wpa_does_not_parse',
                    'card.wpa_unknown_field',
                    'card.wpa_blanks',
                ]);
                expect([$text, $unread])->toBe([$text, []]);

                continue;
            }
            $refused++;
            $stopped += $stops === [] ? 0 : 1;
            $near += $line === 0 || isBeside($line, $stops) ? 1 : 0;
        }
        expect($refused)
            ->toBeGreaterThan(100)
            ->and($stopped / $refused)
            ->toBeGreaterThan(0.99)
            ->and($near / $refused)
            ->toBeGreaterThan(0.98);
    },
);

/** Numbers to the base of 8 or 60 and words of truth as keys: for such passphrases and names there are rules. */
function isOddNumber(string $text): bool
{
    return preg_match('/(?:^\s*|: |- )(?:0[0-7]+|\d+:[0-5]\d)(?:\s|:|$)|^\s*(?:on|off|yes|no):/im', $text) ===
        1;
}

test('a settings file says what the box reads in it', function (): void {
    $same = $unreadable = $called = 0;
    foreach (told('settings') as ['text' => $text, 'read' => $read]) {
        $document = CardDocument::read('user-data', $text);
        $refused =
            array_intersect($document->findings->codes(), ['card.yaml_tab', 'card.yaml_does_not_parse']) !==
            [];
        if ($read === null) {
            $unreadable++;
            $called += $refused || ! $document->findings->isEmpty() ? 1 : 0;
        } elseif (! $refused && is_array($read) && ! array_is_list($read) && ! isOddNumber($text)) {
            $same++;
            expect([$text, $document->data])->toEqual([$text, $read]);
        }
    }
    expect($same)
        ->toBeGreaterThan(150)
        ->and($called / $unreadable)
        ->toBeGreaterThan(0.98);
});

test('a value is taken up to the last that wpa_supplicant takes', function (): void {
    foreach (told('wpa-bounds') as ['text' => $text, 'refused' => $line]) {
        $stops = stopsIn(['wpa_supplicant.conf' => $text, 'ssh' => ''], 'wpa_supplicant.conf');
        expect([$text, $stops !== []])->toBe([$text, $line !== null]);
    }
});

test('who can log in is who could on the box', function (): void {
    foreach (told('logins') as ['text' => $text, 'in' => $in]) {
        $accounts = array_filter(
            CloudAccounts::of(Yaml::parse($text)),
            fn (CloudAccount $account): bool => array_filter(
                $account->keys,
                fn (array $key): bool => $key[0] !== '',
            ) !== [] || $account->hasPassword(),
        );
        $names = array_map(fn (CloudAccount $account): string => $account->name ?: 'standard', $accounts);
        sort($names);
        expect([$text, $names])->toBe([$text, $in]);
    }
});
