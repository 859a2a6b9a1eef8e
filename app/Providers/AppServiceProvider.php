<?php

declare(strict_types=1);

namespace App\Providers;

use App\Bench\BenchClient;
use App\Catalogue\Catalogue;
use App\Catalogue\Playbooks;
use App\House\Place;
use App\Household\HouseholdLoader;
use App\Household\RecordStamp;
use App\Jobs\TakeReports;
use App\Models\ForGuests;
use App\Probe\GreetingProbe;
use App\Probe\NameProbe;
use App\Probe\PageProbe;
use App\Probe\PingProbe;
use App\Probe\ReverseNames;
use App\Probe\TcpProbe;
use App\Probe\UdpProbe;
use App\Session\LoginsOnly;
use Burrow\Household\Household;
use Burrow\Intake\Intake;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Queue\Events\Looping;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Blade;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\Facades\View;
use Illuminate\Support\ServiceProvider;

class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        // Made anew for each request and each task of the worker, which lives for an hour: entries may have changed.
        $this->app->scoped(Catalogue::class);
        $this->app->scoped(Playbooks::class);
        $this->app->bind(
            Household::class,
            fn (): Household => $this->app->make(HouseholdLoader::class)->load(),
        );
        $this->app->singleton(RecordStamp::class, function (): RecordStamp {
            $memory = config()->string('burrow.memory_folder');

            return new RecordStamp(
                $memory !== '' && is_writable($memory) ? $memory : storage_path('framework'),
            );
        });
        $this->app->singleton(Intake::class, fn (): Intake => Intake::standard());
        $this->app->singleton(
            BenchClient::class,
            fn (): BenchClient => new BenchClient(config()->string('burrow.bench_socket')),
        );
        $this->app->singleton(
            TcpProbe::class,
            fn (): TcpProbe => new TcpProbe(config()->float('burrow.probe_timeout')),
        );
        $this->app->bind(
            PingProbe::class,
            fn (): PingProbe => new PingProbe(config()->float('burrow.probe_timeout')),
        );
        foreach (
            [NameProbe::class, PageProbe::class, GreetingProbe::class, ReverseNames::class, UdpProbe::class] as $probe
        ) {
            $this->app->bind($probe, fn () => new $probe(2 * config()->float('burrow.probe_timeout')));
        }
    }

    public function boot(): void
    {
        $this->app->make(RecordStamp::class)->watch();
        Model::shouldBeStrict(! $this->app->isProduction());
        View::share('places', Place::cases());
        Blade::directive(
            'mark',
            fn (string $severity): string => "<?php echo \\App\\View\\Plain::mark({$severity}); ?>",
        );
        Blade::directive(
            'longest',
            fn (string $name): string => "<?php echo \\App\\House\\Fields::maxlength({$name}); ?>",
        );
        // An answer that may not outlive its request stands in place of the page: reload and Back then show the page
        // before, and never ask to send anything again. Without htmx the form is posted as any other.
        Blade::directive(
            'inPlace',
            fn (
                string $to,
            ): string => "hx-post=\"<?php echo e({$to}); ?>\" hx-target=\"#main\" hx-select=\"#main\" ".
                'hx-swap="outerHTML show:window:top" data-in-place',
        );
        // What of a field's text the one who looks may see.
        Blade::if('sees', fn (string $field): bool => ForGuests::see(Auth::user(), $field));
        Blade::directive('ago', fn (string $at): string => "<?php echo \\App\\View\\Plain::ago({$at}); ?>");
        // Reports that were laid down without the application are read by whoever looks for work next.
        Event::listen(Looping::class, fn () => TakeReports::ifAnyWait());
        Session::extend(
            'logins',
            fn (): LoginsOnly => new LoginsOnly(
                $this->app->make(Filesystem::class),
                config()->string('session.files'),
                config()->integer('session.lifetime'),
            ),
        );
        $proxies = array_values(
            array_filter(array_map(trim(...), explode(',', config()->string('burrow.proxy')))),
        );
        $proxies === [] || TrustProxies::at($proxies);
    }
}
