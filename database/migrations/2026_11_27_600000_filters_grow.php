<?php

declare(strict_types=1);

use App\Database\Grow;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// Names that filters are asked again and again, how a filter was rolled out, whom the router asks, what logs may hold.
return new class extends Migration
{
    public function up(): void
    {
        if (Grow::needsTable('name_checks')) {
            Schema::create('name_checks', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('box_id')->constrained()->cascadeOnDelete();
                $table->string('name', 253);
                $table->string('expected', 10);
                $table->string('via', 60)->default('');
                $table->string('said', 200)->default('');
                $table->boolean('held')->nullable();
                $table->timestamp('asked_at')->nullable();
                $table->timestamps();
                $table->unique(['box_id', 'name', 'via']);
            });
        }
        if (Grow::needsTable('rollouts')) {
            Schema::create('rollouts', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('box_id')->constrained()->cascadeOnDelete();
                $table->string('school', 10);
                $table->string('first', 60);
                $table->unsignedInteger('lease_seconds');
                $table->timestamp('house_at')->nullable();
                $table->timestamp('back_at')->nullable();
                $table->text('counts');
                $table->timestamps();
            });
        }
        if (Grow::needsColumns('networks', 'router_asks')) {
            Schema::table('networks', function (Blueprint $table): void {
                $table->string('router_asks', 200)->nullable();
                $table->string('log_told', 10)->nullable();
            });
        }
    }

    public function down(): void
    {
        Schema::dropIfExists('rollouts');
        Schema::dropIfExists('name_checks');
        Schema::table('networks', fn (Blueprint $table) => $table->dropColumn(['router_asks', 'log_told']));
    }
};
