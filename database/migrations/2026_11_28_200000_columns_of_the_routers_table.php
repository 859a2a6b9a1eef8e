<?php

declare(strict_types=1);

use App\Database\Grow;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// Where names stand in the router's table of clients, as it was recognised or told the last time.
return new class extends Migration
{
    public function up(): void
    {
        if (Grow::needsColumns('networks', 'client_columns')) {
            Schema::table('networks', function (Blueprint $table): void {
                $table->text('client_columns')->nullable();
            });
        }
    }

    public function down(): void
    {
        Schema::table('networks', fn (Blueprint $table) => $table->dropColumn('client_columns'));
    }
};
