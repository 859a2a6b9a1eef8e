<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** The catalogue's jobs are called so in the household's own entries too. */
return new class extends Migration
{
    public function up(): void
    {
        DB::table('catalogue_entries')
            ->where('kind', 'role')
            ->update(['kind' => 'job']);
    }

    public function down(): void
    {
        DB::table('catalogue_entries')
            ->where('kind', 'job')
            ->update(['kind' => 'role']);
    }
};
