<?php

declare(strict_types=1);

use App\Database\Grow;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// Reports that boxes sent, from when they came in until they are read; a box is found by its token's sum.
return new class extends Migration
{
    public function up(): void
    {
        if (Grow::needsTable('report_inbox')) {
            Schema::create('report_inbox', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('box_id')->constrained()->cascadeOnDelete();
                $table->dateTime('received_at', 3);
                $table->boolean('taken')->default(false);
                $table->mediumText('text');
                $table->index(['taken', 'box_id']);
                $table->index(['box_id', 'received_at']);
            });
        }
        if (! Schema::hasIndex('boxes', 'boxes_report_token_index')) {
            Schema::table('boxes', fn (Blueprint $table) => $table->index('report_token'));
        }
    }

    public function down(): void
    {
        Schema::dropIfExists('report_inbox');
        Schema::table('boxes', fn (Blueprint $table) => $table->dropIndex(['report_token']));
    }
};
