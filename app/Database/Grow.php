<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Lets the steps of a migration be repeated: MariaDB cannot take back a change of its tables, so a migration that was
 * cut off leaves some of them done, and the next start begins at its first step again.
 */
final class Grow
{
    /**
     * A table is to be made: it is not there, or it is empty and was cut off before its keys were on it, and is taken
     * away here.
     */
    public static function needsTable(string $name): bool
    {
        if (Schema::hasTable($name)) {
            if (DB::table($name)->exists()) {
                return false;
            }
            Schema::withoutForeignKeyConstraints(fn () => Schema::drop($name));
        }

        return true;
    }

    /** Columns are to be added: one statement adds all of them or none, so the first speaks for the others. */
    public static function needsColumns(string $table, string $first): bool
    {
        return ! Schema::hasColumn($table, $first);
    }
}
