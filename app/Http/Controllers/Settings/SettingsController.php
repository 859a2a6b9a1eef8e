<?php

declare(strict_types=1);

namespace App\Http\Controllers\Settings;

use App\Addresses\HouseNetworks;
use App\Bench\BenchHouse;
use App\House\SettingsFindings;
use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Network;
use Burrow\Addresses\NetworkCheck;
use Burrow\Addresses\NetworkExtras;
use Burrow\Addresses\Scheme;
use Burrow\Card\WifiCheck;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Net\Ipv6Prefix;
use Burrow\Net\Mac;
use Burrow\Net\Prefix;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The network as the router hands it out. */
final class SettingsController
{
    private const SHOWN = 8;

    private const FIELDS = [
        'name',
        'prefix',
        'router',
        'pool_first',
        'pool_last',
        'domain',
        'wan',
        'time_zone',
        'country',
        'currency',
        'engine',
        'dns',
        'ipv6',
        'ranges',
        'ssids',
        'contact',
    ];

    /** Boxes that the described network does not cover are not asked any more; that is said at once. */
    private function outside(Network $network): string
    {
        $prefix = Prefix::parse($network->prefix);
        $outside = $network
            ->boxes()
            ->whereNotNull('address')
            ->orderBy('id')
            ->get()
            ->filter(fn (Box $box): bool => ! ($box->ipv4() !== null && $prefix->contains($box->ipv4())));
        $names =
            $outside->take(self::SHOWN)->map(fn (Box $box): string => $box->called())->implode(', ').
            ($outside->count() > self::SHOWN ? ' and more' : '');

        return $outside->isEmpty()
            ? ''
            : ' '.
                    ($outside->count() === 1
                        ? '1 box has an address'
                        : "{$outside->count()} boxes have addresses").
                    " outside of it: {$names}. ".
                    'Nobody asks them until they have an address in the network; nothing else of their records changed.';
    }

    /** As it is kept, or as it was typed when that could not be kept. */
    public function edit(Request $request, HouseNetworks $networks): View|RedirectResponse
    {
        // What the house is set to is for keepers; a guest has a password here.
        if ($request->user()?->isKeeper() !== true) {
            return redirect()->route('logins');
        }
        $typed = array_map(fn (mixed $value): string => (string) $value, Network::home()->only(self::FIELDS));
        foreach ($request->session()->hasOldInput() ? self::FIELDS : [] as $field) {
            $typed[$field] = is_string(old($field)) ? old($field) : '';
        }

        return view('settings.edit', [
            'typed' => $typed,
            'findings' => $request->session()->hasOldInput() ? self::judge($typed)[1] : Findings::of(),
            'uniqueLocal' => (string) Ipv6Prefix::uniqueLocal(
                microtime(true),
                Mac::parse('02:'.implode(':', str_split(bin2hex(random_bytes(5)), 2))),
            ),
            'scheme' => NetworkExtras::lines(Scheme::propose($networks->described(Network::home()))),
        ]);
    }

    public function update(Request $request, BenchHouse $bench): RedirectResponse
    {
        $typed = array_map(
            fn (string $field): string => $request->string($field)->value(),
            array_combine(self::FIELDS, self::FIELDS),
        );
        $typed['ranges'] = str_replace("\r", '', $typed['ranges']);
        $typed['ssids'] = str_replace("\r", '', $typed['ssids']);
        $typed['country'] = strtoupper($typed['country']);
        $typed['currency'] = strtoupper($typed['currency']);
        [$check, $findings] = self::judge($typed);
        if ($check->network === null || $findings->blocks()) {
            return redirect()->route('settings')->withInput($typed);
        }
        $network = Network::home();
        $network->update(
            [
                'wan' => $typed['wan'] ?: null,
                'currency' => $typed['currency'] ?: null,
                'engine' => $typed['engine'] ?: null,
                'dns' => $typed['dns'] ?: null,
                'ipv6' => $typed['ipv6'] ?: null,
                'ranges' => $typed['ranges'] ?: null,
                'contact' => $typed['contact'] ?: null,
                'name' => $typed['name'] ?: 'The network',
            ] + $typed,
        );
        JournalEntry::write(
            $network,
            'network',
            "The network is described as {$check->network->prefix}, router {$check->network->router}, pool {$check->network->pool}.",
        );

        $bench->follow($network);

        return redirect()
            ->route('settings')
            ->with('told', 'Kept.'.$this->outside($network));
    }

    /**
     * @param  array<string, string>  $typed
     * @return array{NetworkCheck, Findings}
     */
    private static function judge(array $typed): array
    {
        $check = NetworkCheck::of(
            $typed['prefix'],
            $typed['router'],
            $typed['pool_first'],
            $typed['pool_last'],
            $typed['domain'],
            $typed['time_zone'],
        );
        $country =
            $typed['country'] === ''
                ? Findings::of()
                : WifiCheck::country($typed['country'], $typed['time_zone'], Place::field('country'));
        $currency =
            $typed['currency'] === '' || preg_match('/^[A-Z]{3}$/D', $typed['currency']) === 1
                ? []
                : [SettingsFindings::currency($typed['currency'])];

        $engine =
            $typed['engine'] === '' || preg_match('/^[a-z][a-z0-9._-]{0,39}$/D', $typed['engine']) === 1
                ? []
                : [SettingsFindings::engine($typed['engine'])];

        $extras = NetworkExtras::of(
            $typed['dns'],
            $typed['ipv6'],
            $typed['ranges'],
            $check->network?->prefix,
        );

        return [
            $check,
            $check->findings->and($country)->and($currency)->and($engine)->and($extras->findings),
        ];
    }
}
