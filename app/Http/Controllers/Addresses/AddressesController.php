<?php

declare(strict_types=1);

namespace App\Http\Controllers\Addresses;

use App\Addresses\AddressesPage;
use App\Addresses\AskedNetwork;
use App\Addresses\HouseNetworks;
use App\Files\FileKinds;
use App\Household\Kept;
use App\Models\Box;
use App\Models\Network;
use App\Models\Networks;
use App\View\Pages;
use Burrow\Addresses\Described\DescribedNetwork;
use Burrow\Addresses\PoolChange;
use Burrow\Addresses\PrefixCut;
use Burrow\Addresses\Write\NetworkWriter;
use Burrow\Net\AddressRange;
use Burrow\Net\Ipv4;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Who has which address, what is free, what speaks against it, and the files that pin it. */
final class AddressesController
{
    public function __construct(private readonly HouseNetworks $networks)
    {
    }

    public function index(Request $request, Kept $kept): View
    {
        $network = AskedNetwork::of($request);
        $keeper = $request->user()?->isKeeper() === true;
        $page = AddressesPage::kept($kept, $this->networks, $network, $keeper, Pages::at());
        $free = Ipv4::tryParse($request->string('free')->value());
        $gap = array_values(
            array_filter(
                $page->room->gaps,
                fn (AddressRange $one): bool => $free !== null && $one->contains($free),
            ),
        );

        return view('addresses.index', [
            ...$this->asked($request, $network, $keeper),
            'network' => $network,
            'networks' => Networks::all(),
            'page' => $page,
            'boxes' => Pages::shown($page->boxes, $page->of),
            'band' => $page->band,
            'keeper' => $keeper,
            'gap' => $gap[0] ?? null,
            'waiting' => $gap === []
                    ? []
                    : Box::query()
                        ->where('network_id', $network->id)
                        ->where(fn ($query) => $query->whereNull('address')->orWhereNull('pinned_at'))
                        ->with('jobs')
                        ->orderBy('id')
                        ->limit(50)
                        ->get(),
        ]);
    }

    /** @return array<string, mixed> what was asked of the page: another pool, prefixes cut or joined */
    private function asked(Request $request, Network $network, bool $keeper): array
    {
        $ends = [
            $request->string('what_if_first')->trim()->value(),
            $request->string('what_if_last')->trim()->value(),
        ];
        [$first, $last] = array_map(Ipv4::tryParse(...), $ends);
        $range =
            $first === null || $last === null || $last->number < $first->number
                ? null
                : AddressRange::between($first, $last);
        $cut = $request->hasAny(['cut_prefix', 'cut_length']);
        $described = $range !== null || $cut ? $this->networks->described($network, $keeper) : null;

        return [
            'whatIf' => [
                'first' => $request->string('what_if_first', $network->pool_first)->value(),
                'last' => $request->string('what_if_last', $network->pool_last)->value(),
                'asked' => $request->hasAny(['what_if_first', 'what_if_last']),
            ],
            'change' => $range === null || $described === null ? null : PoolChange::of($described, $range),
            'cut' => $cut && $described !== null
                    ? PrefixCut::of(
                        $request->string('cut_prefix')->value(),
                        $request->string('cut_length')->value(),
                        $keeper ? self::held($described) : [],
                    )
                    : null,
            'cutTyped' => [
                'prefix' => $request->string('cut_prefix', $network->prefix)->value(),
                'length' => $request->string('cut_length')->value(),
            ],
        ];
    }

    /** A file of names and addresses, made from what is on record. */
    public function file(string $file): Response
    {
        $kind = FileKinds::all()[$file] ?? null;
        abort_unless($kind instanceof NetworkWriter, 404);
        $written = $kind->written(
            array_values(
                Networks::all()
                    ->map(fn (Network $one): DescribedNetwork => $this->networks->described($one))
                    ->all(),
            ),
        );
        abort_if($written->text === null, 404);

        return response($written->text, 200, [
            'Content-Type' => 'text/plain; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"{$file}.txt\"",
        ]);
    }

    /** @return array<string, Ipv4> name => address of everything that is known */
    private static function held(DescribedNetwork $network): array
    {
        $held = [];
        foreach ($network->hosts as $host) {
            $address = Ipv4::tryParse((string) $host->address);
            $address === null || ($held[$host->name] = $address);
        }

        return $held;
    }
}
