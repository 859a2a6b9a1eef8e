<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How full file systems were, and what drives told of their health, each with its time. */
return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasTable('fill_samples')) {
            Schema::create('fill_samples', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('box_id')->constrained()->cascadeOnDelete();
                $table->string('mount', 190);
                $table->string('source', 190)->nullable();
                $table->unsignedBigInteger('bytes');
                $table->unsignedBigInteger('used_bytes');
                $table->timestamp('taken_at');
                $table->index(['box_id', 'mount', 'taken_at']);
            });
        }
        if (! Schema::hasTable('health_samples')) {
            Schema::create('health_samples', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('box_id')->constrained()->cascadeOnDelete();
                $table->string('serial', 80);
                $table->string('model', 120)->nullable();
                $table->unsignedBigInteger('bytes')->nullable();
                $table->boolean('passed')->nullable();
                $table->unsignedInteger('hours')->nullable();
                $table->smallInteger('celsius')->nullable();
                $table->unsignedInteger('reallocated')->nullable();
                $table->unsignedInteger('pending')->nullable();
                $table->unsignedTinyInteger('wear_percent')->nullable();
                $table->timestamp('taken_at');
                $table->index(['box_id', 'serial', 'taken_at']);
            });
        }
    }

    public function down(): void
    {
        Schema::dropIfExists('health_samples');
        Schema::dropIfExists('fill_samples');
    }
};
