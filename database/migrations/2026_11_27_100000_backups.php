<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// What of which box is copied where and for how long, when that last went well, and when a copy was tried.
return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasTable('backups')) {
            Schema::create('backups', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('box_id')->constrained()->cascadeOnDelete();
                $table->string('name', 31)->unique();
                $table->text('paths');
                $table->string('database', 12)->default('none');
                $table->string('database_file', 200)->nullable();
                $table->string('school', 8)->default('folders');
                $table->foreignId('target_box_id')->nullable()->constrained('boxes')->nullOnDelete();
                $table->string('target_host', 253)->nullable();
                $table->string('target_account', 32);
                $table->unsignedSmallInteger('target_port')->default(22);
                $table->string('target_folder', 200);
                $table->boolean('elsewhere')->default(false);
                $table->string('key_kept_at', 120)->nullable();
                $table->string('runs_at', 5)->default('02:30');
                $table->unsignedSmallInteger('keep_daily')->default(7);
                $table->unsignedSmallInteger('keep_weekly')->default(4);
                $table->unsignedSmallInteger('keep_monthly')->default(12);
                $table->unsignedSmallInteger('keep_yearly')->default(0);
                $table->unsignedBigInteger('full_bytes')->nullable();
                $table->unsignedBigInteger('changed_bytes')->nullable();
                $table->unsignedInteger('seconds')->nullable();
                $table->timestamp('ran_at')->nullable();
                $table->timestamp('failed_at')->nullable();
                $table->string('failed_because', 200)->nullable();
                $table->unsignedInteger('revision')->default(0);
                $table->timestamps();
            });
        }
        if (! Schema::hasTable('restore_drills')) {
            Schema::create('restore_drills', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('backup_id')->constrained()->cascadeOnDelete();
                $table->timestamp('tried_at');
                $table->string('what', 160);
                $table->unsignedInteger('minutes');
                $table->boolean('worked');
            });
        }
    }

    public function down(): void
    {
        Schema::dropIfExists('restore_drills');
        Schema::dropIfExists('backups');
    }
};
