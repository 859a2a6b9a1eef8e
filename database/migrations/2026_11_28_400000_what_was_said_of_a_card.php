<?php

declare(strict_types=1);

use App\Database\Grow;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// Codes of what spoke against a card's files when they were made, for whoever asks later why the box is silent.
return new class extends Migration
{
    public function up(): void
    {
        if (Grow::needsColumns('boxes', 'card_codes')) {
            Schema::table('boxes', function (Blueprint $table): void {
                $table->text('card_codes')->nullable();
            });
        }
    }

    public function down(): void
    {
        Schema::table('boxes', fn (Blueprint $table) => $table->dropColumn('card_codes'));
    }
};
