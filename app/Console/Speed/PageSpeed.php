<?php

declare(strict_types=1);

namespace App\Console\Speed;

use App\BringUp\RunStart;
use App\Models\Box;
use App\Models\BoxJob;
use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\Service;
use App\Models\User;
use Burrow\Household\Stage;
use Closure;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Client\PendingRequest;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use RuntimeException;

/** Pages as multiples of a blank one. */
final readonly class PageSpeed
{
    private const LISTS = [
        '/blank',
        '/',
        '/boxes',
        '/addresses',
        '/ports',
        '/reach',
        '/stores',
        '/upkeep',
        '/journal',
    ];

    /** Jobs of one box whose runs together have more than sixty steps. */
    private const JOBS = ['dns-filter', 'tunnel-endpoint', 'file-store', 'print-host', 'media-library'];

    /** @param  Closure(string): void  $say */
    public function __construct(private Closure $say)
    {
    }

    /** @param  string  $base  where the running copy answers */
    public function measure(string $base): void
    {
        $served = $this->pages($base);
        Auth::login(User::query()->where('role', 'keeper')->firstOrFail());
        $this->run($served);
        $this->lists($served);
    }

    /** @return float milliseconds of the blank page, as it is served */
    private function pages(string $base): float
    {
        $client = $this->login($base);
        $box = Box::query()->inService()->firstOrFail()->id;
        $pages = [
            'blank page' => '/blank',
            'Ground' => '/',
            'box page' => "/boxes/{$box}",
            'plan fragment' => '/plan',
            'Ports' => '/ports',
            'Upkeep' => '/upkeep',
        ];
        $times = array_fill_keys(array_keys($pages), []);
        // All pages in turn, round by round, so that a busy moment hits each of them.
        for ($round = 0; $round < Stopwatch::ROUNDS; $round++) {
            foreach ($pages as $name => $path) {
                $began = hrtime(true);
                $client
                    ->withHeaders($name === 'plan fragment' ? ['HX-Request' => 'true'] : [])
                    ->get($base.$path)
                    ->throw();
                $times[$name][] = (hrtime(true) - $began) / 1e6;
            }
        }
        $blank = Stopwatch::middle($times['blank page']);
        foreach ($times as $name => $all) {
            ($this->say)(
                sprintf(
                    '%-34s %6.1f ms  %4.1f × blank',
                    $name,
                    Stopwatch::middle($all),
                    Stopwatch::middle($all) / $blank,
                ),
            );
        }

        return $blank;
    }

    /**
     * Pages that grow with the house, asked of this process so that no household's record is filled: what is put in is
     * taken back. What the served blank page takes longer than this process's own is on top of each. The first view
     * after a change works out what the others find kept; it stands behind.
     */
    private function lists(float $served): void
    {
        foreach ([6, 30, 300, 1000] as $boxes) {
            DB::beginTransaction();
            Network::home()->update(['prefix' => '172.22.0.0/16']);
            $this->fill($boxes);
            $times = array_fill_keys(self::LISTS, []);
            for ($round = 0; $round < 12; $round++) {
                foreach (self::LISTS as $path) {
                    $began = hrtime(true);
                    $answer = app(Kernel::class)->handle(Request::create($path));
                    $times[$path][] = (hrtime(true) - $began) / 1e6;
                    $bytes[$path] = strlen((string) $answer->getContent());
                }
            }
            DB::rollBack();
            foreach (array_slice(self::LISTS, 1) as $path) {
                ($this->say)(
                    sprintf(
                        '%-34s %6.1f ms  %4.1f × blank, %d kB; after a change %.1f ×',
                        "{$path} with {$boxes} boxes",
                        $time =
                            Stopwatch::middle($times[$path]) - Stopwatch::middle($times['/blank']) + $served,
                        $time / $served,
                        ($bytes[$path] ?? 0) / 1000,
                        ($times[$path][0] - $times['/blank'][1] + $served) / $served,
                    ),
                );
            }
        }
    }

    /** As many boxes as the one that is copied, each with its jobs, ports and what it depends on. */
    private function fill(int $count): void
    {
        $model = Box::query()
            ->inService()
            ->with(['jobs', 'services', 'dependencies', 'openings'])
            ->orderBy('id')
            ->firstOrFail();
        for ($have = Box::query()->whereNotNull('name')->count(); $have < $count; $have++) {
            $box = $model->replicate()->fill([
                'name' => "box{$have}",
                'address' => '172.22.'.(9 + intdiv($have, 250)).'.'.(($have % 250) + 1),
            ]);
            $box->save();
            $model->jobs->each(fn (BoxJob $job) => $box->jobs()->save($job->replicate()));
            $model->services->each(fn (Service $service) => $box->services()->save($service->replicate()));
            $box->dependencies()->create(['on_box_id' => $model->id, 'what' => 'names']);
            for ($entry = 0; $entry < 5; $entry++) {
                JournalEntry::write($box, 'run', "Something happened to box{$have}.");
            }
        }
    }

    private function login(string $base): PendingRequest
    {
        $client = Http::withOptions(['cookies' => new \GuzzleHttp\Cookie\CookieJar()]);
        preg_match('/name="_token" value="([^"]+)"/', $client->get($base.'/login')->body(), $token);
        $answer = $client->asForm()->post($base.'/login', [
            '_token' => $token[1] ?? '',
            'name' => 'warden',
            'password' => 'thistledown-demo',
        ]);
        if (! str_contains($answer->body(), 'class="rail"')) {
            throw new RuntimeException('The demo login does not work here; ./burrow demo brings it back.');
        }

        return $client;
    }

    /** The page of a run with many steps, in a house of its own that is taken back. */
    private function run(float $served): void
    {
        DB::beginTransaction();
        $box = Box::query()->inService()->orderBy('id')->firstOrFail();
        $box->update(['stage' => Stage::Named, 'on_bench' => false]);
        foreach (self::JOBS as $job) {
            $box->jobs()->firstOrCreate(['job' => $job], ['school' => null]);
        }
        $run = app(RunStart::class)->begin($box->refresh());
        $steps = $run->steps()->count();
        $times = ['/blank' => [], "/runs/{$run->id}" => []];
        for ($round = 0; $round < Stopwatch::ROUNDS; $round++) {
            foreach (array_keys($times) as $path) {
                $began = hrtime(true);
                app(Kernel::class)->handle(Request::create($path));
                $times[$path][] = (hrtime(true) - $began) / 1e6;
            }
        }
        DB::rollBack();
        [$blank, $page] = array_values(array_map(Stopwatch::middle(...), $times));
        $time = $page - $blank + $served;
        ($this->say)(
            sprintf('%-34s %6.1f ms  %4.1f × blank', "run page with {$steps} steps", $time, $time / $served),
        );
    }
}
