<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Cast\Known;
use Burrow\Household\Hearing;
use Burrow\Household\Stage;
use Burrow\Net\Ipv4;
use Carbon\CarbonInterface;
use DateTimeImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasManyThrough;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * One headless computer, from its plan to its years of service.
 *
 * @property Network $network
 * @property Stage $stage
 */
class Box extends Model
{
    protected $guarded = [];

    protected $casts = [
        'stage' => Known::class.':'.Stage::class.',planned',
        'asked_at' => 'datetime',
        'pinned_at' => 'datetime',
        'card_written_at' => 'datetime',
        'host_key_at' => 'datetime',
        'answered_at' => 'datetime',
        'silent_since' => 'datetime',
        'in_service_at' => 'datetime',
        'updated_system_at' => 'datetime',
        'report_token_at' => 'datetime',
        'fetched_at' => 'datetime',
        'retired_at' => 'datetime',
        'wipe_on' => 'date',
        'wiped_at' => 'datetime',
        'card_codes' => 'array',
        'on_bench' => 'boolean',
        'fixed_address' => 'boolean',
        'made_anew_at' => 'datetime',
    ];

    protected static function booted(): void
    {
        static::saving(function (self $box): void {
            $address = $box->isDirty('address') ? $box->ipv4() : null;
            $lies = $address === null ? null : Networks::covering($address, $box->network);
            $lies === null || ($box->network_id = $lies->id);
        });
        static::saved(fn (self $box) => Identity::keep($box));
    }

    /** @return HasMany<Identity, $this> what it was known by, the newest first */
    public function identities(): HasMany
    {
        return $this->hasMany(Identity::class)->orderByDesc('last_seen')->orderByDesc('id');
    }

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
        $query->where('stage', Stage::InService);
    }

    /**
     * In service, or standing there unfinished: what is watched.
     *
     * @param  Builder<Box>  $query
     */
    public function scopeStanding(Builder $query): void
    {
        $query->whereIn('stage', [Stage::InService, Stage::Unfinished]);
    }

    /**
     * Not taken out of service.
     *
     * @param  Builder<Box>  $query
     */
    public function scopeHere(Builder $query): void
    {
        $query->where('stage', '!=', Stage::Retired);
    }

    /**
     * Answers names for the house, as far as its ports tell.
     *
     * @param  Builder<$this>  $query
     */
    public function scopeNaming(Builder $query): void
    {
        $query
            ->whereIn('stage', [Stage::InService, Stage::Unfinished])
            ->whereNotNull('name')
            ->whereHas('services', fn (Builder $service) => $service->where('port', 53));
    }

    /** A box without a name yet is called by what it is to become. */
    public function called(): string
    {
        return $this->name ?? 'the new '.($this->loadMissing('jobs')->jobs->first()?->called() ?? 'box');
    }

    public function ipv4(): ?Ipv4
    {
        return $this->address === null ? null : Ipv4::tryParse($this->address);
    }

    /** What is known of whether it answers; times in the network's zone. */
    public function hearing(): Hearing
    {
        $zone = Network::zone();
        $at = fn (?CarbonInterface $time): ?DateTimeImmutable => $time
            ?->toImmutable()
            ->setTimezone($zone)
            ->toDateTimeImmutable();

        return Hearing::of(
            $at($this->asked_at),
            $at($this->answered_at),
            $at($this->silent_since),
            now()->toDateTimeImmutable(),
        );
    }

    public function isInService(): bool
    {
        return $this->stage === Stage::InService;
    }

    /** @return HasManyThrough<RunStep, Run, $this> steps of its runs that were passed over, the newest run last */
    public function passedOver(): HasManyThrough
    {
        return $this->hasManyThrough(RunStep::class, Run::class)
            ->where('run_steps.state', RunStep::SKIPPED)
            ->orderBy('run_steps.run_id')
            ->orderBy('run_steps.position');
    }
}
