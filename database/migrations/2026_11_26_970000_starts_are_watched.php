<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** When each stage of a start answered first, in seconds since the step began. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('run_steps', function (Blueprint $table): void {
            $table->json('stages')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('run_steps', function (Blueprint $table): void {
            $table->dropColumn('stages');
        });
    }
};
