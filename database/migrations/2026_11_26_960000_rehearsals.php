<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Practice at the bench: what was hidden, what it took to find it, and what it would have taken at best. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('rehearsals', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('box_id')->constrained()->cascadeOnDelete();
            $table->string('fault', 90);
            $table->dateTime('begun_at');
            $table->dateTime('ended_at')->nullable();
            $table->json('looks');
            $table->json('told');
        });
    }

    public function down(): void
    {
        Schema::drop('rehearsals');
    }
};
