<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Cast\NamedTexts;
use Burrow\Addresses\NetworkCheck;
use Burrow\Judgement\Findings;
use Burrow\Net\AddressRange;
use Burrow\Net\Ipv4;
use Burrow\Net\LocalNetwork;
use Burrow\Net\Prefix;
use Burrow\Net\TimeZone;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A network of the house as its router hands it out; the row of the first holds what is so of the whole house, too.
 *
 * @property ?\Illuminate\Support\Carbon $name_wrong_since
 */
class Network extends Model
{
    /** Things that the household does by itself and are written down. */
    public const MOST_CARES = 200;

    protected $guarded = [];

    protected $casts = [
        'router_page' => 'array',
        'client_columns' => 'array',
        'tunnel' => NamedTexts::class,
        'list_before' => 'array',
        'list_now' => 'array',
        'list_before_at' => 'datetime',
        'list_now_at' => 'datetime',
        'name_asked_at' => 'datetime',
        'told_at' => 'datetime',
        'told_silent' => 'array',
        'name_wrong_since' => 'datetime',
    ];

    /** @return HasMany<Box, $this> */
    public function boxes(): HasMany
    {
        return $this->hasMany(Box::class);
    }

    /**
     * What the household does by itself, as rows; what is damaged is left out.
     *
     * @return list<array{id: int, box: string, what: string, every: int, done: string}>
     */
    public function cares(): array
    {
        $text = $this->getAttributes()['cares'] ?? null;
        $kept = json_decode(is_string($text) ? $text : '', true);
        $cares = [];
        foreach (is_array($kept) ? $kept : [] as $one) {
            if (is_array($one) && is_int($one['id'] ?? null) && is_string($one['what'] ?? null)) {
                $cares[] = [
                    'id' => $one['id'],
                    'box' => is_string($one['box'] ?? null) ? $one['box'] : '',
                    'what' => $one['what'],
                    'every' => is_int($one['every'] ?? null) ? $one['every'] : 30,
                    'done' => is_string($one['done'] ?? null) ? $one['done'] : '',
                ];
            }
        }

        return $cares;
    }

    /** The network that the house began with; its row says what is so of the whole house. */
    public static function home(): self
    {
        return self::query()->orderBy('id')->firstOrFail();
    }

    /** The prefix inside the house's tunnel; empty while there is none. */
    public function tunnelPrefix(): string
    {
        $net = Prefix::tryParse(($this->tunnel ?? [])['net'] ?? '');

        return $net === null ? '' : (string) $net;
    }

    /** The zone that times are shown in; read once a request. */
    public static function zone(): string
    {
        return once(
            fn (): string => self::query()
                ->orderBy('id')
                ->first(['time_zone'])
                ?->knownZone() ?? 'Etc/UTC',
        );
    }

    /** The zone that stands in the home network's row; one that nobody knows is UTC. */
    public function knownZone(): string
    {
        $zone = $this->time_zone;

        return is_string($zone) && TimeZone::isKnown($zone) ? $zone : 'Etc/UTC';
    }

    /** The command of the house's container engine, as somebody typed it in Settings; read once a request. */
    public static function engine(): ?string
    {
        return once(function (): ?string {
            $engine = self::query()->orderBy('id')->value('engine');

            return is_string($engine) ? $engine : null;
        });
    }

    /** Whom to tell when something is wrong, as the house wrote it down; empty where it did not. */
    public static function contact(): string
    {
        return (string) self::home()->contact;
    }

    /** " GBP", to stand behind a price; empty where nobody said. */
    public static function currency(): string
    {
        $currency = self::query()->orderBy('id')->value('currency');

        return is_string($currency) && $currency !== '' ? " {$currency}" : '';
    }

    /** @return list<string> names of the wireless networks */
    public function ssids(): array
    {
        return array_values(
            array_filter(explode("\n", $this->ssids ?? ''), fn (string $ssid): bool => $ssid !== ''),
        );
    }

    /**
     * What was described in Settings; where that cannot be read, what most home routers come with, and Ground says so.
     */
    public function asLocalNetwork(): LocalNetwork
    {
        $described = NetworkCheck::of(
            $this->prefix,
            $this->router,
            $this->pool_first,
            $this->pool_last,
            $this->domain,
            $this->time_zone,
        );

        return $described->network ??
            new LocalNetwork(
                Prefix::parse('192.168.1.0/24'),
                Ipv4::parse('192.168.1.1'),
                AddressRange::between(Ipv4::parse('192.168.1.100'), Ipv4::parse('192.168.1.199')),
                'home.arpa',
            );
    }

    /** What speaks against the description as it is kept. */
    public function findings(): Findings
    {
        return NetworkCheck::of(
            $this->prefix,
            $this->router,
            $this->pool_first,
            $this->pool_last,
            $this->domain,
            $this->time_zone,
        )->findings;
    }
}
