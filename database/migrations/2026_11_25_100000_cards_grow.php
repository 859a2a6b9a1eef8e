<?php

declare(strict_types=1);

use App\Database\Grow;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Wireless networks by name, images that were fetched, and a register of cards and disks. */
return new class extends Migration
{
    public function up(): void
    {
        if (Grow::needsColumns('networks', 'ssids')) {
            Schema::table('networks', function (Blueprint $table): void {
                $table->string('ssids', 500)->default('');
                $table->string('country', 2)->default('');
            });
        }
        if (Grow::needsTable('image_records')) {
            Schema::create('image_records', function (Blueprint $table): void {
                $table->id();
                $table->string('label', 80)->unique();
                $table->string('kind', 40);
                $table->string('version', 40)->default('');
                $table->unsignedBigInteger('packed_bytes')->nullable();
                $table->unsignedBigInteger('unpacked_bytes')->nullable();
                $table->string('sha256', 64)->nullable();
                $table->string('origin', 10);
                $table->string('because', 300)->default('');
                $table->timestamp('checked_at')->nullable();
                $table->timestamps();
            });
        }
        if (Grow::needsTable('media')) {
            Schema::create('media', function (Blueprint $table): void {
                $table->id();
                $table->string('label', 60)->unique();
                $table->string('kind', 10);
                $table->string('serial', 80)->nullable();
                $table->unsignedBigInteger('bytes')->nullable();
                $table->string('purpose', 120);
                $table->foreignId('image_record_id')->nullable()->constrained()->nullOnDelete();
                $table->foreignId('box_id')->nullable()->constrained()->nullOnDelete();
                $table->boolean('may_be_wiped');
                $table->string('place', 120)->default('');
                $table->double('write_mbyte')->nullable();
                $table->timestamps();
            });
        }
    }

    public function down(): void
    {
        Schema::dropIfExists('media');
        Schema::dropIfExists('image_records');
        Schema::table('networks', fn (Blueprint $table) => $table->dropColumn(['ssids', 'country']));
    }
};
