<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What answered and what did not when somebody tried it from outside. */
return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasTable('outside_trials')) {
            Schema::create('outside_trials', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('network_id')->constrained()->cascadeOnDelete();
                $table->unsignedSmallInteger('port');
                $table->string('protocol', 3);
                $table->boolean('must_answer');
                $table->boolean('answered');
                $table->timestamp('tried_at');
                $table->unique(['network_id', 'port', 'protocol']);
            });
        }
    }

    public function down(): void
    {
        Schema::dropIfExists('outside_trials');
    }
};
