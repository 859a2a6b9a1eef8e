<?php

declare(strict_types=1);

namespace App\Models;

use Burrow\Net\Ipv4;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * One headless computer, from its plan to its years of service.
 *
 * @property Network $network
 */
class Box extends Model
{
    public const PLANNED = 'planned';

    public const NAMED = 'named';

    public const BRINGING_UP = 'bringing-up';

    public const IN_SERVICE = 'in-service';

    protected $guarded = [];

    protected $casts = [
        'pinned_at' => 'datetime',
        'card_written_at' => 'datetime',
        'host_key_at' => 'datetime',
        'answered_at' => 'datetime',
        'silent_since' => 'datetime',
        'in_service_at' => 'datetime',
        'updated_system_at' => 'datetime',
        'on_bench' => 'boolean',
    ];

    /** @return BelongsTo<Network, $this> */
    public function network(): BelongsTo
    {
        return $this->belongsTo(Network::class);
    }

    /** @return HasMany<BoxJob, $this> */
    public function jobs(): HasMany
    {
        return $this->hasMany(BoxJob::class)->orderBy('id');
    }

    /** @return HasMany<Service, $this> */
    public function services(): HasMany
    {
        return $this->hasMany(Service::class);
    }

    /** @return HasMany<Opening, $this> */
    public function openings(): HasMany
    {
        return $this->hasMany(Opening::class);
    }

    /** @return HasMany<Store, $this> */
    public function stores(): HasMany
    {
        return $this->hasMany(Store::class);
    }

    /** @return HasMany<Dependency, $this> */
    public function dependencies(): HasMany
    {
        return $this->hasMany(Dependency::class);
    }

    /** @return HasOne<Run, $this> */
    public function run(): HasOne
    {
        return $this->hasOne(Run::class)->latestOfMany();
    }

    /** @return HasMany<Measurement, $this> */
    public function measurements(): HasMany
    {
        return $this->hasMany(Measurement::class)->latest('id');
    }

    /** @return HasMany<Decision, $this> */
    public function decisions(): HasMany
    {
        return $this->hasMany(Decision::class)->latest('id');
    }

    /** @return HasMany<JournalEntry, $this> */
    public function journal(): HasMany
    {
        return $this->hasMany(JournalEntry::class);
    }

    /** @param  Builder<Box>  $query */
    public function scopeInService(Builder $query): void
    {
        $query->where('stage', self::IN_SERVICE);
    }

    /** A box without a name yet is called by what it is to become. */
    public function called(): string
    {
        return $this->name ?? 'the new box';
    }

    public function ipv4(): ?Ipv4
    {
        return $this->address === null ? null : Ipv4::parse($this->address);
    }

    public function isSilent(): bool
    {
        return $this->stage === self::IN_SERVICE && $this->silent_since !== null;
    }
}
