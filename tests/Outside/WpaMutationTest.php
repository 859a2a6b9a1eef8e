<?php

declare(strict_types=1);

use Burrow\Card\CardFolder;
use Burrow\Card\Linter;

// Files of wpa_supplicant, changed in one or two places in thousands of ways: what the program refuses is stopped, and
// what it takes is not called unreadable.

const WPA_RIGHT = [
    "country=GB\nctrl_interface=DIR=/var/run/wpa_supplicant GROUP=netdev\nupdate_config=1\n\nnetwork={\n\tssid=\"Thistledown\"\n\tpsk=\"seeds in paper bags\"\n\tkey_mgmt=WPA-PSK\n\tpriority=2\n\tscan_ssid=1\n}\n",
    "# the reading room\ncountry=GB\nnetwork={\n\tssid=\"reading room\"\n\tpsk=0dc0d6eb90555ed6419756b9a15ec3e3209b63df707dd508d14581f8982721af\n}\nnetwork={\n\tssid=\"Guests\"\n\tkey_mgmt=NONE\n}\n",
    "country=GB\nap_scan=1\np2p_disabled=1\nnetwork={\n\tssid=5468697374\n\tkey_mgmt=SAE WPA-PSK\n\tsae_password=\"seeds in paper bags\"\n\tieee80211w=1\n\tproto=RSN\n\tpairwise=CCMP\n\tbssid=02:4b:1e:77:00:0a\n\tdisabled=0\n}\n",
];

/** Values that stand where they do not belong. */
const WPA_VALUES = [
    '', '"', '""', '"x"', 'x', '0', '-1', '2', '99999999999', '0x12', 'WPA-PSK', 'NONE', 'CCMP TKIP', 'P"a\\x20b"', 'P"\\',
    '"seven77"', '"a passphrase of usual length"', 'deadbeef', 'zz', '02:4b:1e:77:00:0a', '02:4b', 'RSN', '{', '}',
    '0dc0d6eb90555ed6419756b9a15ec3e3209b63df707dd508d14581f8982721af', 'true', '"ümläut" x', 'a b c', '#',
];

const WPA_SIGNS = ['"', '{', '}', '=', '#', ' ', "\t", '\\', "\n"];

const WPA_EQUALS = [' = ', ' =', '= ', ':', '=='];

const WPA_KEYS = [
    'ssid', 'psk', 'key_mgmt', 'country', 'priority', 'scan_ssid', 'pask', 'SSID', 'network', 'proto', 'bssid', 'eap',
    'id_str', 'wep_key0', 'x y',
];

/** @return list<string> */
function wpaMutants(int $seed, int $count): array
{
    mt_srand($seed);
    $pick = fn (array $of): mixed => $of[mt_rand(0, count($of) - 1)];
    $changes = [
        // A character taken out, put in, or doubled.
        fn (string $t): string => substr_replace($t, '', mt_rand(0, strlen($t) - 1), 1),
        fn (string $t): string => substr_replace($t, $pick(WPA_SIGNS), mt_rand(0, strlen($t)), 0),
        // A line taken out, doubled, put elsewhere, joined to the next.
        function (string $t) use ($pick): string {
            $lines = explode("\n", $t);
            $at = mt_rand(0, count($lines) - 1);
            [$line] = array_splice($lines, $at, 1);
            array_splice($lines, mt_rand(0, count($lines)), 0, $pick([[], [$line], [$line, $line]]));

            return implode("\n", $lines);
        },
        function (string $t): string {
            $ends = array_keys(str_split($t), "\n", true);

            return $ends === [] ? $t : substr_replace($t, ' ', $ends[mt_rand(0, count($ends) - 1)], 1);
        },
        // Another value, another key, blanks around the sign.
        function (string $t) use ($pick): string {
            preg_match_all('/=(.*)$/m', $t, $found, PREG_OFFSET_CAPTURE);
            [$text, $at] = $pick($found[1] ?: [['', 0]]);

            return substr_replace($t, $pick(WPA_VALUES), $at, strlen($text));
        },
        function (string $t) use ($pick): string {
            preg_match_all('/^\s*([a-z_0-9]+)=/m', $t, $found, PREG_OFFSET_CAPTURE);
            [$text, $at] = $pick($found[1] ?: [['', 0]]);

            return substr_replace($t, $pick(WPA_KEYS), $at, strlen($text));
        },
        fn (string $t): string => (string) preg_replace('/=/', $pick(WPA_EQUALS), $t, mt_rand(1, 4)),
    ];
    $mutants = [];
    while (count($mutants) < $count) {
        $text = $pick(WPA_RIGHT);
        for ($i = mt_rand(1, 2); $i > 0; $i--) {
            $text = $pick($changes)($text);
        }
        if (! str_contains($text, "\r")) {
            $mutants[] = $text;
        }
    }

    return $mutants;
}

/**
 * @param  list<string>  $texts
 * @return list<?int> the line that wpa_supplicant refuses, 0 when it names none, null when it takes the file
 */
function wpaRefused(array $texts): array
{
    $folder = scratch();
    foreach ($texts as $at => $text) {
        file_put_contents("{$folder}/{$at}", $text);
    }
    run(
        "ls {$folder} | xargs -P 8 -I{} sh -c 'timeout 0.5 /usr/sbin/wpa_supplicant -i lo -D none -c {$folder}/{} > {$folder}/{}.out 2>&1 || true'",
    );

    return array_map(function (int $at) use ($folder): ?int {
        $out = (string) file_get_contents("{$folder}/{$at}.out");
        if (preg_match('/Failed to read or parse configuration/', $out) !== 1) {
            return null;
        }

        return preg_match('/Line (\d+)/', $out, $line) === 1 ? (int) $line[1] : 0;
    }, array_keys($texts));
}

test('what wpa_supplicant refuses is stopped near its line, and what it takes is not called unreadable', function (): void {
    $count = (int) (getenv('MUTANTS') ?: 260);
    $texts = wpaMutants((int) (getenv('SEED') ?: 802), $count);
    $refused = wpaRefused($texts);
    $stopped = $near = $all = $wronged = 0;
    $missed = [];
    foreach ($texts as $at => $text) {
        $ours = stopsIn(['wpa_supplicant.conf' => $text, 'ssh' => ''], 'wpa_supplicant.conf');
        $codes = (new Linter())->lint(new CardFolder(['wpa_supplicant.conf' => $text, 'ssh' => '']))->codes();
        if ($refused[$at] === null) {
            $unread = array_intersect($codes, ['card.wpa_does_not_parse', 'card.wpa_unknown_field', 'card.wpa_blanks']);
            $wronged += $unread === [] ? 0 : 1;
            $unread === [] || $missed[] = 'wronged '.implode(' ', $unread)."\n{$text}";

            continue;
        }
        $all++;
        $stopped += $ours === [] ? 0 : 1;
        $ours === [] && $missed[] = "missed at {$refused[$at]}\n{$text}";
        $near += $refused[$at] === 0 || isBeside($refused[$at], $ours) ? 1 : 0;
    }
    if (getenv('MUTANTS')) {
        fwrite(STDERR, "refused {$all}, stopped {$stopped}, near {$near}, wronged {$wronged}\n".implode("\n---\n", array_slice($missed, 0, 25))."\n");
    }
    expect($all)->toBeGreaterThan($count / 4)
        ->and($wronged)->toBe(0)
        ->and($stopped / $all)->toBeGreaterThan(0.99)
        ->and($near / $all)->toBeGreaterThan(0.97);
});

test('what is on record as the answers of wpa_supplicant it says today', function (): void {
    $record = [...told('wpa'), ...told('wpa-bounds')];
    expect(wpaRefused(array_column($record, 'text')))->toBe(array_column($record, 'refused'));
});
