<?php

declare(strict_types=1);

use App\Database\Grow;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// Until when a disk is under warranty, and folders that are kept alike with another machine.
return new class extends Migration
{
    public function up(): void
    {
        if (Grow::needsColumns('media', 'warranty_until')) {
            Schema::table('media', fn (Blueprint $table) => $table->date('warranty_until')->nullable());
        }
        if (Grow::needsTable('folder_pairs')) {
            Schema::create('folder_pairs', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('box_id')->constrained()->cascadeOnDelete();
                $table->string('folder', 191);
                $table->string('peer', 60);
                $table->unsignedSmallInteger('keeps_days')->nullable();
                $table->timestamp('in_step_at')->nullable();
                $table->timestamp('differed_at')->nullable();
                $table->unsignedInteger('conflicts')->nullable();
                $table->timestamps();
            });
        }
    }

    public function down(): void
    {
        Schema::dropIfExists('folder_pairs');
        Schema::table('media', fn (Blueprint $table) => $table->dropColumn('warranty_until'));
    }
};
