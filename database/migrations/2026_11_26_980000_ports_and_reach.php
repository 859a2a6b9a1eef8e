<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// Who reaches a port and what stands before it, what a box told of all that listens, and who may come in from outside.
return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasColumn('services', 'reach')) {
            Schema::table('services', function (Blueprint $table): void {
                $table->string('bound', 45)->nullable();
                $table->unsignedSmallInteger('inner_port')->nullable();
                $table->string('scheme', 8)->nullable();
                $table->string('path', 120)->nullable();
                $table->string('reach', 8)->default('house');
                $table->string('access', 12)->nullable();
                $table->timestamp('access_since')->nullable();
                $table->string('codes_kept', 120)->nullable();
                $table->string('sends_home', 160)->nullable();
                $table->text('clients')->nullable();
                $table->unsignedInteger('revision')->default(0);
            });
        }
        if (! Schema::hasTable('listings')) {
            Schema::create('listings', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('box_id')->unique()->constrained()->cascadeOnDelete();
                $table->string('tool', 20);
                $table->mediumText('heard');
                $table->timestamp('taken_at');
                $table->timestamps();
            });
        }
        if (! Schema::hasColumn('openings', 'owner')) {
            Schema::table('openings', function (Blueprint $table): void {
                $table->string('owner', 80)->nullable();
                $table->string('sources', 160)->nullable();
                $table->date('since')->nullable();
                $table->unsignedInteger('revision')->default(0);
            });
        }
        if (! Schema::hasTable('ways_in')) {
            Schema::create('ways_in', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('network_id')->constrained()->cascadeOnDelete();
                $table->string('device', 40);
                $table->string('holder', 80)->nullable();
                $table->string('kind', 12);
                $table->string('public_key', 60)->nullable();
                $table->string('address', 45)->nullable();
                $table->date('given_on');
                $table->timestamp('last_came_at')->nullable();
                $table->timestamp('taken_back_at')->nullable();
                $table->string('note', 160)->nullable();
                $table->timestamps();
                $table->unique(['network_id', 'kind', 'device']);
            });
        }
        if (! Schema::hasColumn('networks', 'wan_kind')) {
            Schema::table('networks', function (Blueprint $table): void {
                $table->string('wan_kind', 12)->nullable();
                $table->string('outside_name', 253)->nullable();
                $table->text('tunnel')->nullable();
            });
        }
    }

    public function down(): void
    {
        Schema::dropIfExists('ways_in');
        Schema::dropIfExists('listings');
        Schema::table(
            'networks',
            fn (Blueprint $table) => $table->dropColumn(['wan_kind', 'outside_name', 'tunnel']),
        );
        Schema::table(
            'openings',
            fn (Blueprint $table) => $table->dropColumn(['owner', 'sources', 'since', 'revision']),
        );
        Schema::table(
            'services',
            fn (Blueprint $table) => $table->dropColumn([
                'bound',
                'inner_port',
                'scheme',
                'path',
                'reach',
                'access',
                'access_since',
                'codes_kept',
                'sends_home',
                'clients',
                'revision',
            ]),
        );
    }
};
