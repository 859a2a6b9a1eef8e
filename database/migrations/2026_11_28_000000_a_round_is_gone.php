<?php

declare(strict_types=1);

use App\Database\Grow;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// The plan of upkeep that is being carried out; one at a time, none when it is over. And who looks after the house.
return new class extends Migration
{
    public function up(): void
    {
        if (Grow::needsColumns('networks', 'round')) {
            Schema::table('networks', function (Blueprint $table): void {
                $table->mediumText('round')->nullable();
                $table->string('contact', 160)->nullable();
            });
        }
    }

    public function down(): void
    {
        Schema::table('networks', fn (Blueprint $table) => $table->dropColumn(['round', 'contact']));
    }
};
