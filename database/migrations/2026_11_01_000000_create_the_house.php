<?php

declare(strict_types=1);

use App\Database\Grow;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        if (Grow::needsTable('users')) {
            Schema::create('users', function (Blueprint $table): void {
                $table->id();
                $table->string('name', 40)->unique();
                $table->string('password');
                $table->string('role', 10);
                $table->rememberToken();
                $table->timestamps();
            });
        }
        if (Grow::needsTable('networks')) {
            Schema::create('networks', function (Blueprint $table): void {
                $table->id();
                $table->string('name', 80);
                $table->string('prefix', 18);
                $table->string('router', 15);
                $table->string('pool_first', 15);
                $table->string('pool_last', 15);
                $table->string('domain', 190);
                $table->string('wan', 45)->nullable();
                $table->string('time_zone', 60);
                $table->timestamps();
            });
        }
        if (Grow::needsTable('boxes')) {
            Schema::create('boxes', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('network_id')->constrained()->cascadeOnDelete();
                $table->string('name', 63)->nullable();
                $table->string('stage', 12);
                $table->string('board', 40);
                $table->string('supply', 40)->nullable();
                $table->string('cable', 40)->nullable();
                $table->string('drive', 40)->nullable();
                $table->string('link', 10);
                $table->string('image', 40)->nullable();
                $table->string('card', 40)->nullable();
                $table->string('case', 40)->nullable();
                $table->string('fed_by', 60)->nullable();
                $table->string('address', 15)->nullable();
                $table->string('mac', 17)->nullable();
                $table->timestamp('pinned_at')->nullable();
                $table->string('user', 32)->nullable();
                $table->string('login', 10)->nullable();
                $table->string('login_fingerprint', 60)->nullable();
                $table->string('instance', 80)->nullable();
                $table->timestamp('card_written_at')->nullable();
                $table->string('host_key', 60)->nullable();
                $table->timestamp('host_key_at')->nullable();
                $table->boolean('on_bench')->default(false);
                $table->timestamp('answered_at')->nullable();
                $table->timestamp('silent_since')->nullable();
                $table->timestamp('in_service_at')->nullable();
                $table->timestamp('updated_system_at')->nullable();
                $table->unsignedInteger('version')->default(1);
                $table->timestamps();
                $table->unique(['network_id', 'name']);
                $table->unique(['network_id', 'address']);
            });
        }
        if (Grow::needsTable('box_jobs')) {
            Schema::create('box_jobs', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('box_id')->constrained()->cascadeOnDelete();
                $table->string('role', 40);
                $table->unique(['box_id', 'role']);
            });
        }
        if (Grow::needsTable('box_dependencies')) {
            Schema::create('box_dependencies', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('box_id')->constrained()->cascadeOnDelete();
                $table->foreignId('on_box_id')->constrained('boxes')->cascadeOnDelete();
                $table->string('what', 40);
                $table->unique(['box_id', 'on_box_id', 'what']);
            });
        }
        if (Grow::needsTable('services')) {
            Schema::create('services', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('box_id')->constrained()->cascadeOnDelete();
                $table->unsignedSmallInteger('port');
                $table->string('protocol', 3);
                $table->string('purpose', 60);
                $table->string('state', 10)->nullable();
                $table->timestamp('looked_at')->nullable();
                $table->timestamps();
                $table->unique(['box_id', 'protocol', 'port', 'purpose']);
            });
        }
        if (Grow::needsTable('openings')) {
            Schema::create('openings', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('box_id')->constrained()->cascadeOnDelete();
                $table->unsignedSmallInteger('outside_port');
                $table->unsignedSmallInteger('inside_port');
                $table->string('protocol', 3);
                $table->string('purpose', 60);
                $table->string('reason');
                $table->date('review_on');
                $table->timestamps();
                $table->unique(['protocol', 'outside_port']);
            });
        }
        if (Grow::needsTable('stores')) {
            Schema::create('stores', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('box_id')->constrained()->cascadeOnDelete();
                $table->string('label', 40);
                $table->string('serial', 80)->nullable();
                $table->unsignedBigInteger('bytes')->nullable();
                $table->string('uuid', 36)->nullable();
                $table->string('mount_point', 120);
                $table->string('share', 40);
                $table->timestamps();
            });
        }
        if (Grow::needsTable('runs')) {
            Schema::create('runs', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('box_id')->constrained()->cascadeOnDelete();
                $table->json('learned');
                $table->timestamp('finished_at')->nullable();
                $table->timestamps();
            });
        }
        if (Grow::needsTable('run_steps')) {
            Schema::create('run_steps', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('run_id')->constrained()->cascadeOnDelete();
                $table->unsignedSmallInteger('position');
                $table->string('step', 40);
                $table->string('state', 10);
                $table->timestamp('began_at', 3)->nullable();
                $table->timestamp('finished_at', 3)->nullable();
                $table->string('outcome', 190)->nullable();
                $table->json('findings')->nullable();
                $table->unsignedInteger('version')->default(1);
                $table->timestamps();
                $table->unique(['run_id', 'step']);
            });
        }
        if (Grow::needsTable('journal_entries')) {
            Schema::create('journal_entries', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('network_id')->constrained()->cascadeOnDelete();
                $table->foreignId('box_id')->nullable()->constrained()->nullOnDelete();
                $table->string('kind', 20);
                $table->text('text');
                $table->string('by', 40);
                $table->timestamp('at', 3);
                $table->index(['network_id', 'at']);
            });
        }
        if (Grow::needsTable('catalogue_entries')) {
            Schema::create('catalogue_entries', function (Blueprint $table): void {
                $table->id();
                $table->string('kind', 10);
                $table->string('slug', 40);
                $table->text('yaml');
                $table->timestamps();
                $table->unique(['kind', 'slug']);
            });
        }
        if (Grow::needsTable('plans')) {
            Schema::create('plans', function (Blueprint $table): void {
                $table->id();
                $table->json('choices');
                $table->timestamps();
            });
        }
        if (Grow::needsTable('drawer_parts')) {
            Schema::create('drawer_parts', function (Blueprint $table): void {
                $table->id();
                $table->string('label', 160)->unique();
                $table->timestamps();
            });
        }
        if (Grow::needsTable('measurements')) {
            Schema::create('measurements', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('box_id')->constrained()->cascadeOnDelete();
                $table->double('megabytes')->nullable();
                $table->double('idle')->nullable();
                $table->double('board_celsius')->nullable();
                $table->double('room_celsius')->nullable();
                $table->timestamps();
            });
        }
        if (Grow::needsTable('jobs')) {
            Schema::create('jobs', function (Blueprint $table): void {
                $table->id();
                $table->string('queue')->index();
                $table->longText('payload');
                $table->unsignedTinyInteger('attempts');
                $table->unsignedInteger('reserved_at')->nullable();
                $table->unsignedInteger('available_at');
                $table->unsignedInteger('created_at');
            });
        }
        if (Grow::needsTable('failed_jobs')) {
            Schema::create('failed_jobs', function (Blueprint $table): void {
                $table->id();
                $table->string('uuid')->unique();
                $table->text('connection');
                $table->text('queue');
                $table->longText('payload');
                $table->longText('exception');
                $table->timestamp('failed_at')->useCurrent();
            });
        }
    }

    public function down(): void
    {
        foreach (
            [
                'failed_jobs',
                'jobs',
                'measurements',
                'drawer_parts',
                'plans',
                'catalogue_entries',
                'journal_entries',
                'run_steps',
                'runs',
                'stores',
                'openings',
                'services',
                'box_dependencies',
                'box_jobs',
                'boxes',
                'networks',
                'users',
            ] as $table
        ) {
            Schema::dropIfExists($table);
        }
    }
};
