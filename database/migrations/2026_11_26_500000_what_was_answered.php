<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a run asked of the person, kept with the box's job; the container engine of the house; doubted steps. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('box_jobs', function (Blueprint $table): void {
            $table->json('answers')->nullable()->after('page_port');
        });
        Schema::table('networks', function (Blueprint $table): void {
            $table->string('engine', 40)->nullable()->after('currency');
        });
        Schema::create('step_doubts', function (Blueprint $table): void {
            $table->id();
            $table->string('step', 90);
            $table->string('title', 80);
            $table->foreignId('box_id')->nullable()->constrained()->nullOnDelete();
            $table->string('saw', 200);
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('step_doubts');
        Schema::table('box_jobs', function (Blueprint $table): void {
            $table->dropColumn('answers');
        });
        Schema::table('networks', function (Blueprint $table): void {
            $table->dropColumn('engine');
        });
    }
};
