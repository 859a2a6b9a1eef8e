<?php

declare(strict_types=1);

namespace App\Http\Controllers\Addresses;

use App\Addresses\HouseNetworks;
use App\Addresses\Networks;
use App\Files\FileKinds;
use App\Models\Box;
use App\Models\Network;
use App\View\Pages;
use Burrow\Addresses\Described\DescribedNetwork;
use Burrow\Addresses\Described\Host;
use Burrow\Addresses\Described\Room;
use Burrow\Addresses\Draw\AddressBand;
use Burrow\Addresses\NetworkRules;
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

    public function index(Request $request): View
    {
        $network = Networks::asked($request);
        $keeper = $request->user()?->isKeeper() === true;
        $all = Networks::all();
        $described = $this->networks->described($network, $keeper);
        $room = Room::of($described);
        $free = Ipv4::tryParse($request->string('free')->value());
        $gap = array_values(
            array_filter($room->gaps, fn (AddressRange $one): bool => $free !== null && $one->contains($free)),
        );

        $first = Ipv4::tryParse($request->string('what_if_first')->trim()->value());
        $last = Ipv4::tryParse($request->string('what_if_last')->trim()->value());
        $range =
            $first === null || $last === null || $last->number < $first->number
                ? null
                : AddressRange::between($first, $last);

        return view('addresses.index', [
            'whatIf' => [
                'first' => $request->string('what_if_first', $network->pool_first)->value(),
                'last' => $request->string('what_if_last', $network->pool_last)->value(),
                'asked' => $request->hasAny(['what_if_first', 'what_if_last']),
            ],
            'cut' => $request->hasAny(['cut_prefix', 'cut_length'])
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
            'change' => $range === null ? null : PoolChange::of($described, $range),
            'network' => $network,
            'described' => $described,
            'boxes' => Pages::of($this->networks->boxes($network)),
            'room' => $room,
            'free' => $room->next($room->firstOffered($described)),
            'findings' => NetworkRules::against([
                $described,
                ...$all
                    ->where('id', '!=', $network->id)
                    ->map(fn (Network $one): DescribedNetwork => $this->networks->described($one, $keeper))
                    ->values()
                    ->all(),
            ]),
            'networks' => $all,
            'band' => AddressBand::of($described, $this->networks->standing($network, $keeper), $room),
            'keeper' => $keeper,
            'haveKeys' => array_filter($described->hosts, fn (Host $host): bool => $host->keys !== []) !== [],
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
