<?php

declare(strict_types=1);

namespace App\Models;

use Burrow\Net\AddressRange;
use Burrow\Net\Ipv4;
use Burrow\Net\LocalNetwork;
use Burrow\Net\Prefix;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/** The household's network as its router hands it out. */
class Network extends Model
{
    protected $guarded = [];

    /** @return HasMany<Box, $this> */
    public function boxes(): HasMany
    {
        return $this->hasMany(Box::class);
    }

    /** The one network of this copy. */
    public static function home(): self
    {
        return self::query()->orderBy('id')->firstOrFail();
    }

    /** The zone that times are shown in; read once a request. */
    public static function zone(): string
    {
        return once(fn (): string => self::query()->orderBy('id')->value('time_zone') ?? 'Etc/UTC');
    }

    /** @return list<string> names of the wireless networks */
    public function ssids(): array
    {
        return array_values(array_filter(explode("\n", $this->ssids ?? ''), fn (string $ssid): bool => $ssid !== ''));
    }

    public function asLocalNetwork(): LocalNetwork
    {
        return new LocalNetwork(
            Prefix::parse($this->prefix),
            Ipv4::parse($this->router),
            AddressRange::between(Ipv4::parse($this->pool_first), Ipv4::parse($this->pool_last)),
            $this->domain,
        );
    }
}
