<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Conversations about boxes that do not do their work, and practice on the bench. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('diagnoses', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('box_id')->constrained()->cascadeOnDelete();
            $table->json('seen');
            $table->json('skipped');
            $table->json('cleared');
            $table->string('cause', 40)->nullable();
            $table->dateTime('begun_at');
            $table->dateTime('ended_at')->nullable();
            $table->unsignedInteger('revision')->default(0);
        });
    }

    public function down(): void
    {
        Schema::drop('diagnoses');
    }
};
