<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Bench\BenchAway;
use App\Bench\BenchClient;
use App\Demo\DemoBench;
use App\Models\User;
use Database\Seeders\DemoSeeder;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

final class DemoCommand extends Command
{
    protected $signature = 'burrow:demo {--if-empty : only into a database where nobody can log in yet}';

    protected $description = 'Sets database and bench back to the demo of the first day';

    private const TABLES = [
        'journal_entries',
        'diagnoses',
        'rehearsals',
        'step_doubts',
        'identities',
        'sightings',
        'run_steps',
        'runs',
        'stores',
        'openings',
        'past_openings',
        'listings',
        'tellings',
        'reports',
        'report_inbox',
        'certificates',
        'fill_samples',
        'condition_samples',
        'health_samples',
        'restore_drills',
        'folder_pairs',
        'tokens',
        'name_checks',
        'rollouts',
        'backups',
        'outside_trials',
        'ways_in',
        'services',
        'box_dependencies',
        'box_jobs',
        'measurements',
        'boxes',
        'drawer_parts',
        'plans',
        'decisions',
        'media',
        'image_records',
        'desk_computers',
        'hours',
        'filter_lists',
        'filter_exceptions',
        'networks',
        'catalogue_entries',
        'users',
    ];

    public function handle(BenchClient $bench): int
    {
        if (! config()->boolean('burrow.demo')) {
            $this->error(
                'This copy holds a household\'s own records; the demo would wipe them. Nothing was changed.',
            );

            return 1;
        }
        if ($this->option('if-empty') && User::query()->exists()) {
            return 0;
        }
        Schema::withoutForeignKeyConstraints(
            fn () => array_map(fn (string $table) => DB::table($table)->truncate(), self::TABLES),
        );
        app(DemoSeeder::class)->run();
        try {
            $bench->ask(['do' => 'load', 'state' => DemoBench::state()]);
        } catch (BenchAway $away) {
            $this->warn($away->getMessage());
        }

        return 0;
    }
}
