<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// When boxes are in use, and when somebody may be at work on them.
return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasTable('hours')) {
            Schema::create('hours', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('network_id')->constrained()->cascadeOnDelete();
                $table->string('kind', 8);
                $table->string('what', 60);
                $table->string('days', 30);
                $table->string('from', 5);
                $table->string('to', 5);
                $table->text('boxes');
                $table->timestamps();
            });
        }
    }

    public function down(): void
    {
        Schema::dropIfExists('hours');
    }
};
