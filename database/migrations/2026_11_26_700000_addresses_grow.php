<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What the network hands out beside addresses, who was seen in it, and what a box was known by over the years. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('networks', function (Blueprint $table): void {
            $table->string('dns', 200)->nullable()->after('domain');
            $table->string('ipv6', 49)->nullable()->after('dns');
            $table->text('ranges')->nullable()->after('ipv6');
            $table->json('router_page')->nullable()->after('ranges');
            $table->json('list_before')->nullable()->after('router_page');
            $table->timestamp('list_before_at')->nullable()->after('list_before');
            $table->json('list_now')->nullable()->after('list_before_at');
            $table->timestamp('list_now_at')->nullable()->after('list_now');
        });
        Schema::create('sightings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('network_id')->constrained()->cascadeOnDelete();
            $table->string('known_by', 45);
            $table->string('mac', 17)->nullable();
            $table->string('address', 45);
            $table->string('name', 253)->nullable();
            $table->json('open')->nullable();
            $table->string('label', 80)->nullable();
            $table->timestamp('first_seen');
            $table->timestamp('last_seen');
            $table->timestamps();
            $table->unique(['network_id', 'known_by']);
        });
        Schema::create('identities', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('box_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 12);
            $table->string('value', 200);
            $table->timestamp('first_seen');
            $table->timestamp('last_seen');
            $table->timestamps();
            $table->unique(['box_id', 'kind', 'value']);
        });
        // What is on record now was seen when it was recorded.
        foreach (
            ['address' => 'updated_at', 'mac' => 'updated_at', 'host_key' => 'host_key_at'] as $kind => $when
        ) {
            DB::table('boxes')
                ->whereNotNull($kind)
                ->orderBy('id')
                ->each(function (object $box) use ($kind, $when): void {
                    $at = $box->{$when} ?? $box->updated_at;
                    DB::table('identities')->insert([
                        'box_id' => $box->id,
                        'kind' => str_replace('_', '-', $kind),
                        'value' => mb_substr((string) $box->{$kind}, 0, 200),
                        'first_seen' => $at,
                        'last_seen' => $at,
                        'created_at' => $at,
                        'updated_at' => $at,
                    ]);
                });
        }
    }

    public function down(): void
    {
        Schema::dropIfExists('identities');
        Schema::dropIfExists('sightings');
        Schema::table('networks', function (Blueprint $table): void {
            $table->dropColumn([
                'dns',
                'ipv6',
                'ranges',
                'router_page',
                'list_before',
                'list_before_at',
                'list_now',
                'list_now_at',
            ]);
        });
    }
};
