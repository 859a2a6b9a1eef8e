<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// Who "some of the house" are, what a box told of its packet filter and its groups, the certificates of pages, keys
// that programs hold, and whether the house's name still leads here.
return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasColumn('services', 'sources')) {
            Schema::table('services', function (Blueprint $table): void {
                $table->string('sources', 255)->nullable();
            });
        }
        if (! Schema::hasColumn('ways_in', 'service_id')) {
            Schema::table('ways_in', function (Blueprint $table): void {
                $table->foreignId('service_id')->nullable()->constrained()->nullOnDelete();
                $table->date('ends_on')->nullable();
                $table->boolean('starts_alone')->default(false);
                $table->string('taken_back_by', 160)->nullable();
            });
        }
        if (! Schema::hasColumn('networks', 'name_led_to')) {
            Schema::table('networks', function (Blueprint $table): void {
                $table->string('name_led_to', 45)->nullable();
                $table->timestamp('name_asked_at')->nullable();
                $table->timestamp('name_wrong_since')->nullable();
            });
        }
        if (! Schema::hasTable('tellings')) {
            Schema::create('tellings', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('box_id')->constrained()->cascadeOnDelete();
                $table->string('kind', 12);
                $table->mediumText('told');
                $table->timestamp('taken_at');
                $table->unique(['box_id', 'kind']);
            });
        }
        if (! Schema::hasTable('certificates')) {
            Schema::create('certificates', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('service_id')->unique()->constrained()->cascadeOnDelete();
                $table->string('sha256', 64);
                $table->string('holder', 160);
                $table->string('issuer', 160);
                $table->text('names');
                $table->timestamp('starts_at')->nullable();
                $table->timestamp('ends_at')->nullable();
                $table->timestamp('seen_at');
                $table->timestamp('before_ended_at')->nullable();
                $table->timestamp('changed_at')->nullable();
            });
        }
    }

    public function down(): void
    {
        Schema::dropIfExists('certificates');
        Schema::dropIfExists('tellings');
        Schema::table('services', fn (Blueprint $table) => $table->dropColumn('sources'));
        Schema::table('ways_in', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('service_id');
            $table->dropColumn(['ends_on', 'starts_alone', 'taken_back_by']);
        });
        Schema::table(
            'networks',
            fn (Blueprint $table) => $table->dropColumn(['name_led_to', 'name_asked_at', 'name_wrong_since']),
        );
    }
};
