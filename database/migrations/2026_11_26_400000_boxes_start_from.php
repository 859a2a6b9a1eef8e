<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Where a box's system lives: on its card, or on its drive. And the currency that prices are in. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('boxes', function (Blueprint $table): void {
            $table->string('start', 10)->nullable()->after('card');
        });
        Schema::table('networks', function (Blueprint $table): void {
            $table->string('currency', 3)->nullable()->after('country');
        });
    }

    public function down(): void
    {
        Schema::table('boxes', function (Blueprint $table): void {
            $table->dropColumn('start');
        });
        Schema::table('networks', function (Blueprint $table): void {
            $table->dropColumn('currency');
        });
    }
};
