<?php

declare(strict_types=1);

use App\Database\Grow;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * Small parts, schools and the origin of the image in a plan; desk computers; decisions with what was tried; jobs
 * added to a box in service.
 */
return new class extends Migration
{
    public function up(): void
    {
        if (Grow::needsColumns('boxes', 'hub')) {
            Schema::table('boxes', function (Blueprint $table): void {
                $table->string('hub', 40)->nullable()->after('case');
                $table->string('cooling', 40)->nullable()->after('hub');
                $table->string('addon', 40)->nullable()->after('cooling');
                $table->string('plugged', 190)->default('')->after('addon');
                $table->string('image_from', 10)->default('author')->after('image');
            });
        }
        if (Grow::needsColumns('box_jobs', 'school')) {
            Schema::table('box_jobs', function (Blueprint $table): void {
                $table->string('school', 40)->nullable();
            });
        }
        if (Grow::needsColumns('plans', 'dropped_at')) {
            Schema::table('plans', function (Blueprint $table): void {
                $table->timestamp('dropped_at')->nullable();
                $table->string('dropped_because', 200)->default('');
            });
        }
        if (Grow::needsColumns('runs', 'adds')) {
            Schema::table('runs', function (Blueprint $table): void {
                $table->json('adds')->nullable()->after('learned');
            });
        }
        if (Grow::needsTable('desk_computers')) {
            Schema::create('desk_computers', function (Blueprint $table): void {
                $table->id();
                $table->string('name', 60)->unique();
                $table->string('system', 10);
                $table->string('usb_plug', 5);
                $table->boolean('card_slot');
                $table->boolean('local_names');
                $table->boolean('login_client');
                $table->boolean('plain_editor');
                $table->boolean('file_copier');
                $table->boolean('administrator');
                $table->boolean('sleeps');
                $table->boolean('restarts');
                $table->double('hours');
                $table->double('watts');
                $table->timestamps();
            });
        }
        if (Grow::needsTable('decisions')) {
            Schema::create('decisions', function (Blueprint $table): void {
                $table->id();
                $table->foreignId('box_id')->nullable()->constrained()->nullOnDelete();
                $table->string('seat', 80);
                $table->text('sentence');
                $table->string('because', 500)->default('');
                $table->text('overruled');
                $table->json('choices');
                $table->json('tried');
                $table->string('by', 40);
                $table->timestamps();
            });
        }
    }

    public function down(): void
    {
        Schema::dropIfExists('decisions');
        Schema::dropIfExists('desk_computers');
        Schema::table('runs', fn (Blueprint $table) => $table->dropColumn('adds'));
        Schema::table('plans', fn (Blueprint $table) => $table->dropColumn(['dropped_at', 'dropped_because']));
        Schema::table('box_jobs', fn (Blueprint $table) => $table->dropColumn('school'));
        Schema::table(
            'boxes',
            fn (Blueprint $table) => $table->dropColumn(['hub', 'cooling', 'addon', 'plugged', 'image_from']),
        );
    }
};
