<?php

declare(strict_types=1);

namespace App\Addresses;

use App\Models\Box;
use App\Models\Network;
use App\Models\Run;
use Burrow\Addresses\AddressBook;
use Burrow\Addresses\Taken;
use Burrow\BringUp\Change;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Net\AddressFindings;
use Burrow\Net\Hostname;
use Burrow\Net\Ipv4;

/** The names and addresses of a network's boxes, from the database into the core's books. */
final class Books
{
    /** Everybody's addresses but this box's own. */
    public static function addresses(Network $network, ?Box $except = null): AddressBook
    {
        $taken = Box::query()
            ->where('network_id', $network->id)
            ->whereNotNull('address')
            ->when($except, fn ($query, Box $box) => $query->whereKeyNot($box->id))
            ->orderByRaw('INET_ATON(address)')
            ->get(['id', 'name', 'address']);

        return new AddressBook($network->asLocalNetwork(), [
            ...self::promised($except),
            ...array_values(
                array_filter(
                    $taken
                        ->map(
                            fn (Box $box): ?Taken => $box->ipv4() === null
                                ? null
                                : new Taken($box->ipv4(), $box->called()),
                        )
                        ->all(),
                ),
            ),
        ]);
    }

    /** @return list<Taken> addresses that runs under way are bringing boxes to */
    private static function promised(?Box $except): array
    {
        $taken = [];
        $runs = Run::query()
            ->where('change', Change::Address->value)
            ->whereNull('finished_at')
            ->when($except, fn ($query, Box $box) => $query->where('box_id', '!=', $box->id))
            ->with('box')
            ->get();
        foreach ($runs as $run) {
            $new = $run->learned['new_address'] ?? null;
            $address = is_string($new) ? Ipv4::tryParse($new) : null;
            $address === null || ($taken[] = new Taken($address, $run->box->called()));
        }

        return $taken;
    }

    /** The rules of RFC 952/1123, and whether another box has the name already. */
    public static function nameFindings(Network $network, string $typed, Box $box): Findings
    {
        $findings = Findings::of(
            ...array_map(
                fn (Finding $finding): Finding => $finding->at(Place::field('name')),
                Hostname::check($typed)->list,
            ),
        );
        $taken = Box::query()->where('name', strtolower($typed))->whereKeyNot($box->id)->exists();

        if (strtolower($typed) === strtolower(explode('.', $network->domain)[0])) {
            $findings = $findings->and([
                AddressFindings::nameOfNetwork($typed, $network->domain, Place::field('name')),
            ]);
        }

        return ! $taken
            ? $findings
            : $findings->and([
                AddressFindings::nameTaken($typed, 'Choose another word.', Place::field('name')),
            ]);
    }
}
