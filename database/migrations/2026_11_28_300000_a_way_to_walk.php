<?php

declare(strict_types=1);

use App\Database\Grow;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// Minutes from the desk to where boxes stand, for whoever plans an evening with several.
return new class extends Migration
{
    public function up(): void
    {
        if (Grow::needsColumns('networks', 'walk')) {
            Schema::table('networks', function (Blueprint $table): void {
                $table->unsignedTinyInteger('walk')->nullable();
            });
        }
    }

    public function down(): void
    {
        Schema::table('networks', fn (Blueprint $table) => $table->dropColumn('walk'));
    }
};
