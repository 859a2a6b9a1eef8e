<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Where a box starts from, whether its address is on the card, its pages' ports, and the currency of prices. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('boxes', function (Blueprint $table): void {
            $table->string('start', 10)->nullable()->after('card');
            $table->boolean('fixed_address')->default(false)->after('address');
        });
        Schema::table('box_jobs', function (Blueprint $table): void {
            $table->unsignedSmallInteger('page_port')->nullable()->after('school');
        });
        Schema::table('networks', function (Blueprint $table): void {
            $table->string('currency', 3)->nullable()->after('country');
        });
    }

    public function down(): void
    {
        Schema::table('boxes', function (Blueprint $table): void {
            $table->dropColumn(['start', 'fixed_address']);
        });
        Schema::table('box_jobs', function (Blueprint $table): void {
            $table->dropColumn('page_port');
        });
        Schema::table('networks', function (Blueprint $table): void {
            $table->dropColumn('currency');
        });
    }
};
