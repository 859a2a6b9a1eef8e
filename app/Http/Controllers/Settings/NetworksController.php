<?php

declare(strict_types=1);

namespace App\Http\Controllers\Settings;

use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\Networks;
use Burrow\Addresses\NetworkCheck;
use Burrow\Addresses\NetworkExtras;
use Burrow\Judgement\Findings;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** Further networks of the house: one for things that are not trusted, one in another building, one on the bench. */
final class NetworksController
{
    private const FIELDS = [
        'name',
        'prefix',
        'router',
        'pool_first',
        'pool_last',
        'domain',
        'dns',
        'ipv6',
        'ranges',
        'ssids',
    ];

    public function index(Request $request): View
    {
        return $this->page($request, null);
    }

    public function edit(Request $request, Network $network): View|RedirectResponse
    {
        return $network->is(Network::home())
            ? redirect()->route('settings')
            : $this->page($request, $network);
    }

    public function store(Request $request): RedirectResponse
    {
        abort_if(
            Networks::all()->count() >= Networks::MOST,
            409,
            'No more than '.Networks::MOST.' networks.',
        );

        return $this->kept($request, new Network());
    }

    public function update(Request $request, Network $network): RedirectResponse
    {
        abort_if($network->is(Network::home()), 404);

        return $this->kept($request, $network);
    }

    /** Only one that no box is in; what was seen in it goes along. */
    public function destroy(Network $network): RedirectResponse
    {
        $home = Network::home();
        abort_if($network->is($home), 404);
        $told = DB::transaction(function () use ($network, $home): ?string {
            $held = $network->boxes()->here()->lockForUpdate()->get();
            if ($held->isNotEmpty()) {
                return $held->map(fn (Box $box): string => $box->called())->take(8)->implode(', ');
            }
            $network->boxes()->update(['network_id' => $home->id]);
            JournalEntry::query()
                ->where('network_id', $network->id)
                ->update(['network_id' => $home->id]);
            $network->delete();
            Networks::settle();

            return null;
        });
        if ($told !== null) {
            return redirect()
                ->route('networks.edit', $network)
                ->with('told', "Not taken off: {$told} would be nowhere. Give them other addresses first.");
        }
        JournalEntry::write(
            $home,
            'network',
            "{$network->name} ({$network->prefix}) is no network of the house any more.",
        );

        return redirect()
            ->route('networks')
            ->with('told', "{$network->name} is off the list.");
    }

    private function page(Request $request, ?Network $network): View
    {
        $home = Network::home();
        $old = $request->session()->hasOldInput();
        $typed = [];
        foreach (self::FIELDS as $field) {
            $kept =
                $network === null ? ($field === 'domain' ? $home->domain : '') : (string) $network->{$field};
            $typed[$field] = $old ? (is_string(old($field)) ? old($field) : '') : $kept;
        }

        return view('settings.networks', [
            'networks' => Networks::all(),
            'counts' => Box::query()
                ->here()
                ->selectRaw('network_id, COUNT(*) AS boxes')
                ->groupBy('network_id')
                ->pluck('boxes', 'network_id'),
            'network' => $network,
            'typed' => $typed,
            'findings' => $old ? self::judge($typed)[1] : Findings::of(),
        ]);
    }

    private function kept(Request $request, Network $network): RedirectResponse
    {
        $typed = [];
        foreach (self::FIELDS as $field) {
            $typed[$field] = str_replace("\r", '', $request->string($field)->value());
        }
        [$check, $findings] = self::judge($typed);
        if ($check->network === null || $findings->blocks()) {
            return redirect()
                ->route($network->exists ? 'networks.edit' : 'networks', $network->exists ? [$network] : [])
                ->withInput($typed);
        }
        $network
            ->fill(
                [
                    'dns' => $typed['dns'] ?: null,
                    'ipv6' => $typed['ipv6'] ?: null,
                    'ranges' => $typed['ranges'] ?: null,
                    'name' => $typed['name'] ?: 'Another network',
                    'time_zone' => Network::zone(),
                ] + $typed,
            )
            ->save();
        Networks::settle();
        JournalEntry::write(
            $network,
            'network',
            "{$network->name} is described as {$check->network->prefix}, router {$check->network->router}, pool {$check->network->pool}.",
        );

        return redirect()->route('networks')->with('told', 'Kept.');
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
            Network::zone(),
        );
        $extras = NetworkExtras::of(
            $typed['dns'],
            $typed['ipv6'],
            $typed['ranges'],
            $check->network?->prefix,
        );

        return [$check, $check->findings->and($extras->findings)];
    }
}
