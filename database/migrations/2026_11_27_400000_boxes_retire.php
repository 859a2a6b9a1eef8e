<?php

declare(strict_types=1);

use App\Database\Grow;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// Boxes that were taken out of service: since when, until when their card is kept, and when it was wiped.
return new class extends Migration
{
    public function up(): void
    {
        if (Grow::needsColumns('boxes', 'retired_at')) {
            Schema::table('boxes', function (Blueprint $table): void {
                $table->timestamp('retired_at')->nullable();
                $table->date('wipe_on')->nullable();
                $table->timestamp('wiped_at')->nullable();
            });
        }
    }

    public function down(): void
    {
        Schema::table(
            'boxes',
            fn (Blueprint $table) => $table->dropColumn(['retired_at', 'wipe_on', 'wiped_at']),
        );
    }
};
