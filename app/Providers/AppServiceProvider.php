<?php

declare(strict_types=1);

namespace App\Providers;

use App\Bench\BenchClient;
use App\Catalogue\Catalogue;
use App\Probe\TcpProbe;
use Burrow\Intake\Intake;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\ServiceProvider;

class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->singleton(Catalogue::class);
        $this->app->singleton(Intake::class, fn (): Intake => Intake::standard());
        $this->app->singleton(BenchClient::class, fn (): BenchClient => new BenchClient(config()->string('burrow.bench_socket')));
        $this->app->singleton(TcpProbe::class, fn (): TcpProbe => new TcpProbe(config()->float('burrow.probe_timeout')));
    }

    public function boot(): void
    {
        Model::shouldBeStrict(! $this->app->isProduction());
    }
}
