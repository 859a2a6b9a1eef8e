<?php

declare(strict_types=1);

use App\Database\Grow;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// What boxes told of themselves, and the mark of one that sends by itself. Of a token only its sum is kept.
return new class extends Migration
{
    public function up(): void
    {
        if (Grow::needsTable('reports')) {
            Schema::create('reports', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('box_id')->constrained()->cascadeOnDelete();
                $table->string('came', 8);
                $table->timestamp('made_at')->nullable();
                $table->timestamp('received_at');
                $table->string('sum', 64);
                $table->mediumText('text');
                $table->unique(['box_id', 'sum']);
            });
        }
        if (Grow::needsColumns('boxes', 'report_token')) {
            Schema::table('boxes', function (Blueprint $table): void {
                $table->string('report_token', 64)->nullable()->unique();
                $table->timestamp('report_token_at')->nullable();
                $table->timestamp('fetched_at')->nullable();
                $table->string('fetch_wrong', 200)->nullable();
            });
        }
    }

    public function down(): void
    {
        Schema::table(
            'boxes',
            fn (Blueprint $table) => $table->dropColumn([
                'report_token',
                'report_token_at',
                'fetched_at',
                'fetch_wrong',
            ]),
        );
        Schema::dropIfExists('reports');
    }
};
