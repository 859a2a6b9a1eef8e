<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// Lists of names that a filter may refuse, where they came from and why, and names that are answered all the same.
return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasTable('filter_lists')) {
            Schema::create('filter_lists', function (Blueprint $table): void {
                $table->id();
                $table->string('name', 60)->unique();
                $table->string('origin', 200)->nullable();
                $table->string('because', 200)->nullable();
                $table->boolean('chosen')->default(true);
                $table->unsignedInteger('names')->default(0);
                $table->unsignedInteger('names_before')->nullable();
                $table->timestamps();
            });
        }
        if (! Schema::hasTable('filter_exceptions')) {
            Schema::create('filter_exceptions', function (Blueprint $table): void {
                $table->id();
                $table->string('name', 253)->unique();
                $table->string('because', 200)->nullable();
                $table->timestamps();
            });
        }
    }

    public function down(): void
    {
        Schema::dropIfExists('filter_exceptions');
        Schema::dropIfExists('filter_lists');
    }
};
