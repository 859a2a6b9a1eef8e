<?php

declare(strict_types=1);

use App\Database\Grow;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// Ways in that were open once, from when to when: what could be reached on a day that is past. And the mark of a box
// that is made anew from its records, until it is in service again.
return new class extends Migration
{
    public function up(): void
    {
        if (Grow::needsTable('past_openings')) {
            Schema::create('past_openings', function (Blueprint $table): void {
                $table->id();
                $table->string('box', 63);
                $table->unsignedSmallInteger('outside_port');
                $table->string('protocol', 3);
                $table->string('purpose', 60);
                $table->timestamp('opened_at');
                $table->timestamp('closed_at');
                $table->index('closed_at');
            });
        }
        if (Grow::needsColumns('boxes', 'made_anew_at')) {
            Schema::table('boxes', function (Blueprint $table): void {
                $table->timestamp('made_anew_at')->nullable();
            });
        }
    }

    public function down(): void
    {
        Schema::table('boxes', fn (Blueprint $table) => $table->dropColumn('made_anew_at'));
        Schema::dropIfExists('past_openings');
    }
};
