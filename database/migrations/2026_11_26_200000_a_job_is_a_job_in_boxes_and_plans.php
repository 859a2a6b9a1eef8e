<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A box's jobs and a kept plan's choices call a job by that name. */
return new class extends Migration
{
    /** table => the columns that hold choices, or rows with choices in them */
    private const CHOSEN = ['plans' => ['choices'], 'decisions' => ['choices', 'tried']];

    public function up(): void
    {
        Schema::table('box_jobs', function (Blueprint $table): void {
            $table->renameColumn('role', 'job');
        });
        $this->rename('role', 'job');
    }

    public function down(): void
    {
        Schema::table('box_jobs', function (Blueprint $table): void {
            $table->renameColumn('job', 'role');
        });
        $this->rename('job', 'role');
    }

    private function rename(string $from, string $to): void
    {
        foreach (self::CHOSEN as $name => $columns) {
            foreach (
                DB::table($name)
                    ->orderBy('id')
                    ->get(['id', ...$columns]) as $row
            ) {
                $changed = [];
                foreach ($columns as $column) {
                    $held = json_decode((string) $row->{$column}, true);
                    if (is_array($held)) {
                        $changed[$column] = json_encode(
                            $this->called($held, $from, $to),
                            JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
                        );
                    }
                }
                DB::table($name)->where('id', $row->id)->update($changed);
            }
        }
    }

    /**
     * @param  array<mixed>  $held
     * @return array<mixed>
     */
    private function called(array $held, string $from, string $to): array
    {
        $renamed = [];
        foreach ($held as $key => $value) {
            $renamed[$key === $from ? $to : $key] = is_array($value) ? $this->called($value, $from, $to) : $value;
        }

        return $renamed;
    }
};
