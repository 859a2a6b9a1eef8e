<?php

declare(strict_types=1);

use App\Database\Grow;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** When a box was last asked, and which of its jobs got to the end of their playbook. */
return new class extends Migration
{
    public function up(): void
    {
        if (Grow::needsColumns('boxes', 'asked_at')) {
            Schema::table('boxes', function (Blueprint $table): void {
                $table->timestamp('asked_at')->nullable()->after('on_bench');
            });
        }
        if (Grow::needsColumns('box_jobs', 'finished_at')) {
            Schema::table('box_jobs', function (Blueprint $table): void {
                $table->timestamp('finished_at')->nullable();
            });
        }
        // Boxes that went into service before this was kept are taken at their word.
        DB::table('box_jobs')
            ->join('boxes', 'boxes.id', '=', 'box_jobs.box_id')
            ->where('boxes.stage', 'in-service')
            ->whereNull('box_jobs.finished_at')
            ->update(['box_jobs.finished_at' => DB::raw('COALESCE(boxes.in_service_at, CURRENT_TIMESTAMP)')]);
    }

    public function down(): void
    {
        Schema::table('box_jobs', fn (Blueprint $table) => $table->dropColumn('finished_at'));
        Schema::table('boxes', fn (Blueprint $table) => $table->dropColumn('asked_at'));
    }
};
