<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Filter\Folder;
use App\Models\FilterException;
use App\Models\FilterList;
use Burrow\Filter\Lists;
use Burrow\Filter\Workbench;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Support\Facades\Cache;

/** Holds the lists against the log, in the queue; how far it is stands beside it, and it can be ended. */
final class CompareLists implements ShouldBeUnique, ShouldQueue
{
    use Queueable;

    /** Lines of the log that were read; -1 when it is to end. */
    public const AT = 'filter-at';

    /** Bytes that the largest comparison takes. */
    private const MEMORY = 640 * 1024 * 1024;

    public int $uniqueFor = 120;

    public int $tries = 1;

    public function handle(): void
    {
        // Millions of names are its ordinary work. A limit is raised, and none is made where there was none.
        $limit = ini_parse_quantity((string) ini_get('memory_limit'));
        if ($limit > 0 && $limit < self::MEMORY) {
            ini_set('memory_limit', (string) self::MEMORY);
        }
        $folder = Folder::here();
        $lists = [];
        foreach (FilterList::query()->orderBy('id')->limit(Lists::MOST)->get() as $list) {
            $lists[(string) $list->name] = Folder::lines($folder->list($list));
        }
        Cache::put(self::AT, 0, 600);
        $bench = Workbench::of($lists, FilterException::names(), Folder::lines($folder->log()), function (
            int $at,
        ): bool {
            if (Cache::get(self::AT) === -1) {
                return false;
            }
            Cache::put(self::AT, $at, 600);

            return true;
        });
        if (Cache::pull(self::AT) !== -1) {
            $told = $bench->told();
            foreach ($told['order'] as $one) {
                $list = FilterList::query()->where('name', $one['name'])->first();
                if ($list !== null && (int) $list->names !== $one['names']) {
                    $list->update(['names' => $one['names'], 'names_before' => $list->names ?: null]);
                }
            }
            $folder->keep($told + ['at' => now()->getTimestamp()]);
        }
    }
}
