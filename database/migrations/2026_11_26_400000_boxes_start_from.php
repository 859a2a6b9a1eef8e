<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Where a box starts from, whether its address stands on the card, and the currency that prices are in. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('boxes', function (Blueprint $table): void {
            $table->string('start', 10)->nullable()->after('card');
            $table->boolean('fixed_address')->default(false)->after('address');
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
        Schema::table('networks', function (Blueprint $table): void {
            $table->dropColumn('currency');
        });
    }
};
