<?php

declare(strict_types=1);

use App\Database\Grow;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

// Who may fetch the calendar or the figures without a login, whom the house tells, and what it does again and again.
// Of a token only its sum is kept.
return new class extends Migration
{
    public function up(): void
    {
        if (Grow::needsTable('tokens')) {
            Schema::create('tokens', function (Blueprint $table): void {
                $table->id();
                $table->string('kind', 8);
                $table->string('holder', 60);
                $table->string('sum', 64)->unique();
                $table->timestamp('used_at')->nullable();
                $table->timestamp('created_at')->nullable();
            });
        }
        if (Grow::needsColumns('networks', 'mail_to')) {
            Schema::table('networks', function (Blueprint $table): void {
                $table->string('mail_to', 254)->nullable();
                $table->string('mail_server', 21)->nullable();
                $table->string('hook', 240)->nullable();
                $table->timestamp('told_at')->nullable();
                $table->text('told_silent')->nullable();
                $table->string('told_wrong', 200)->nullable();
                $table->text('cares')->nullable();
            });
        }
    }

    public function down(): void
    {
        Schema::table(
            'networks',
            fn (Blueprint $table) => $table->dropColumn([
                'mail_to',
                'mail_server',
                'hook',
                'told_at',
                'told_silent',
                'told_wrong',
                'cares',
            ]),
        );
        Schema::dropIfExists('tokens');
    }
};
