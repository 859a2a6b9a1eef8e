<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** When a step that was passed over is to be looked at again, and when a doubt about a step was answered. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('run_steps', function (Blueprint $table): void {
            $table->date('due_on')->nullable()->after('outcome');
        });
        Schema::table('step_doubts', function (Blueprint $table): void {
            $table->timestamp('answered_at')->nullable()->after('saw');
        });
    }

    public function down(): void
    {
        Schema::table('run_steps', function (Blueprint $table): void {
            $table->dropColumn('due_on');
        });
        Schema::table('step_doubts', function (Blueprint $table): void {
            $table->dropColumn('answered_at');
        });
    }
};
