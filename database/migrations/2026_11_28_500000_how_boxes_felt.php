<?php

declare(strict_types=1);

use App\Database\Grow;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// How warm boxes were, what they were fed with and whether that was too little, by their reports.
return new class extends Migration
{
    public function up(): void
    {
        if (Grow::needsTable('condition_samples')) {
            Schema::create('condition_samples', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('box_id')->constrained()->cascadeOnDelete();
                $table->double('celsius')->nullable();
                $table->double('volts')->nullable();
                $table->boolean('undervoltage')->nullable();
                $table->boolean('throttled')->nullable();
                $table->timestamp('taken_at');
                $table->index(['box_id', 'taken_at']);
            });
        }
    }

    public function down(): void
    {
        Schema::dropIfExists('condition_samples');
    }
};
