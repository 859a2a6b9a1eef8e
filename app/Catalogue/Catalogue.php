<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Models\CatalogueEntry;
use Burrow\Board\BoardClass;
use Burrow\Board\CatalogueReader;
use Burrow\Board\Kit;
use Burrow\Board\SmallParts;
use Burrow\Intake\YamlEntry;
use Burrow\Plan\Shelf;
use Burrow\Role\Role;
use Burrow\Role\RoleReader;
use Burrow\Role\StepTemplate;
use Illuminate\Database\QueryException;
use RuntimeException;
use Symfony\Component\Yaml\Yaml;

/**
 * The built-in entries with the household's own beside them. An own entry with the id of a built-in one goes
 * before it. Files are parsed once and kept in the cache until one of them changes.
 */
final class Catalogue
{
    /** kind => [what one of them is called, what all of them are called] */
    public const KINDS = [
        'role' => ['job', 'Jobs'],
        'board' => ['board class', 'Boards'],
        'supply' => ['supply', 'Supplies'],
        'cable' => ['supply cable', 'Supply cables'],
        'drive' => ['disk', 'Disks'],
        'image' => ['image kind', 'Images'],
        'card' => ['memory card', 'Cards'],
        'case' => ['case', 'Cases'],
        'cooling' => ['sink or fan', 'Sinks and fans'],
        'addon' => ['add-on', 'Add-ons'],
        'adapter' => ['adapter', 'Adapters, hubs, readers'],
        'kit' => ['kit', 'Kits'],
    ];

    /** @var array<string, array<string, array<string, mixed>>>|null */
    private ?array $entries = null;

    private ?Shelf $shelf = null;

    public function role(string $id): ?Role
    {
        return $this->shelf()->roles[$id] ?? null;
    }

    /** Every entry as a typed value, boards from the slowest to the fastest. */
    public function shelf(): Shelf
    {
        if ($this->shelf !== null) {
            return $this->shelf;
        }
        $reader = new CatalogueReader();
        $boards = array_map($reader->board(...), $this->entries('board'));
        uasort($boards, fn (BoardClass $a, BoardClass $b): int => [$a->speed, $a->memory->count] <=> [$b->speed, $b->memory->count]);

        return $this->shelf = new Shelf(
            array_map((new RoleReader())->role(...), $this->entries('role')),
            $boards,
            array_map($reader->supply(...), $this->entries('supply')),
            array_map($reader->cable(...), $this->entries('cable')),
            array_map($reader->drive(...), $this->entries('drive')),
            array_map($reader->image(...), $this->entries('image')),
            array_map($reader->card(...), $this->entries('card')),
            array_map($reader->case(...), $this->entries('case')),
            array_map($reader->cooling(...), $this->entries('cooling')),
            array_map($reader->addOn(...), $this->entries('addon')),
            new SmallParts(array_map($reader->adapter(...), array_values($this->entries('adapter')))),
        );
    }

    /** @return list<Kit> */
    public function kits(): array
    {
        return array_map((new CatalogueReader())->kit(...), array_values($this->entries('kit')));
    }

    /** @return array{before: non-empty-list<StepTemplate>, again: non-empty-list<StepTemplate>, after: list<StepTemplate>} "again": those of "before" that also come before a job added later */
    public function commonSteps(): array
    {
        $file = self::path('BringUp/data/common.yaml');
        /** @var array{before: non-empty-list<array<string, mixed>>, again: list<string>, after: list<array<string, mixed>>} $data */
        $data = self::parsed('common-steps', [$file])[$file];
        $reader = new RoleReader();
        /** @var non-empty-list<StepTemplate> $before */
        $before = $reader->steps($data['before']);

        /** @var non-empty-list<StepTemplate> $again */
        $again = array_values(array_filter($before, fn (StepTemplate $step): bool => in_array($step->id, $data['again'], true)));

        return ['before' => $before, 'again' => $again, 'after' => $reader->steps($data['after'])];
    }

    public static function schema(string $kind): string
    {
        $folder = match ($kind) {
            'role' => 'Role',
            'plan' => 'Plan',
            default => 'Board',
        };

        return self::text(self::path("{$folder}/schema/{$kind}.schema.json"));
    }

    /** The YAML of a built-in entry as it was written, or null. */
    public function builtIn(string $kind, string $id): ?string
    {
        $file = self::folder($kind).'/'.basename($id).'.yaml';

        return is_file($file) ? self::text($file) : null;
    }

    /** Takes in an entry of the household's own when its schema passes it. */
    public function import(string $kind, string $yaml): YamlEntry
    {
        $entry = YamlEntry::read($yaml, self::schema($kind), 'entry.yaml');
        if ($entry->data !== null && is_string($entry->data['id'] ?? null)) {
            CatalogueEntry::query()->updateOrCreate(['kind' => $kind, 'slug' => $entry->data['id']], ['yaml' => $yaml]);
            $this->entries = $this->shelf = null;
        }

        return $entry;
    }

    /** Takes an own entry away; a built-in one of that name comes back into force. */
    public function drop(string $kind, string $id): void
    {
        CatalogueEntry::query()->where('kind', $kind)->where('slug', $id)->delete();
        $this->entries = $this->shelf = null;
    }

    /** @return array<string, array<string, mixed>> by id */
    public function entries(string $kind): array
    {
        $this->entries ??= $this->load();

        return $this->entries[$kind] ?? [];
    }

    /** @return array<string, array<string, array<string, mixed>>> */
    private function load(): array
    {
        $entries = self::builtInEntries();
        foreach ($this->own() as $own) {
            /** @var array<string, mixed> $data */
            $data = Yaml::parse($own->yaml);
            $entries[$own->kind][$own->slug] = $data;
        }

        return $entries;
    }

    /**
     * The terminal commands also work while the database is not running; then the built-in entries are all there are.
     *
     * @return iterable<CatalogueEntry>
     */
    private function own(): iterable
    {
        try {
            return CatalogueEntry::query()->orderBy('slug')->get();
        } catch (QueryException $away) {
            return app()->runningInConsole() ? [] : throw $away;
        }
    }

    /** @return array<string, array<string, array<string, mixed>>> */
    private static function builtInEntries(): array
    {
        $files = [];
        foreach (array_keys(self::KINDS) as $kind) {
            foreach (glob(self::folder($kind).'/*.yaml') ?: [] as $file) {
                $files[$file] = $kind;
            }
        }
        $entries = [];
        foreach (self::parsed('catalogue', array_keys($files)) as $file => $data) {
            $entries[$files[$file]][is_string($data['id'] ?? null) ? $data['id'] : ''] = $data;
        }

        return $entries;
    }

    /**
     * Files parsed once and kept until one of them changes: as PHP, which the opcode cache holds ready.
     *
     * @param  list<string>  $files
     * @return array<string, array<string, mixed>> by file
     */
    private static function parsed(string $what, array $files): array
    {
        $state = md5(implode(' ', array_map(fn (string $file): string => $file.filemtime($file), $files)));
        $kept = storage_path("framework/cache/{$what}-{$state}.php");
        if (! is_file($kept)) {
            $data = array_map(fn (string $file): mixed => Yaml::parse(self::text($file)), array_combine($files, $files));
            array_map(unlink(...), glob(storage_path("framework/cache/{$what}-*.php")) ?: []);
            // Whole or not at all: another request may be reading.
            $new = $kept.'.'.bin2hex(random_bytes(4));
            file_put_contents($new, '<?php return '.var_export($data, true).';');
            rename($new, $kept);
        }

        /** @var array<string, array<string, mixed>> */
        return require $kept;
    }

    private static function folder(string $kind): string
    {
        return $kind === 'role' ? self::path('Role/data') : self::path("Board/data/{$kind}");
    }

    private static function path(string $file): string
    {
        return base_path('core/'.$file);
    }

    private static function text(string $file): string
    {
        return file_get_contents($file) ?: throw new RuntimeException("Cannot read {$file}.");
    }
}
