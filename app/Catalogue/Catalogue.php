<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Models\CatalogueEntry;
use Burrow\Board\BoardClass;
use Burrow\Board\Cable;
use Burrow\Board\CardKind;
use Burrow\Board\CatalogueReader;
use Burrow\Board\Drive;
use Burrow\Board\Enclosure;
use Burrow\Board\ImageKind;
use Burrow\Board\Supply;
use Burrow\Intake\YamlEntry;
use Burrow\Plan\Shelf;
use Burrow\Role\Role;
use Burrow\Role\RoleReader;
use Burrow\Role\StepTemplate;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Cache;
use RuntimeException;
use Symfony\Component\Yaml\Yaml;

/**
 * The built-in entries with the household's own beside them. An own entry with the id of a built-in one goes
 * before it. Files are parsed once and kept in the cache until one of them changes.
 */
final class Catalogue
{
    public const KINDS = ['role', 'board', 'supply', 'cable', 'drive', 'image', 'card', 'case'];

    /** @var array<string, array<string, array<string, mixed>>>|null */
    private ?array $entries = null;

    /** @var array<string, Role>|null */
    private ?array $roles = null;

    /** @return array<string, Role> by id */
    public function roles(): array
    {
        return $this->roles ??= array_map((new RoleReader)->role(...), $this->entries('role'));
    }

    public function role(string $id): ?Role
    {
        return $this->roles()[$id] ?? null;
    }

    /** @return array<string, BoardClass> slowest first */
    public function boards(): array
    {
        $boards = array_map((new CatalogueReader)->board(...), $this->entries('board'));
        uasort($boards, fn (BoardClass $a, BoardClass $b): int => [$a->speed, $a->memory->count] <=> [$b->speed, $b->memory->count]);

        return $boards;
    }

    /** @return array<string, Supply> */
    public function supplies(): array
    {
        return array_map((new CatalogueReader)->supply(...), $this->entries('supply'));
    }

    /** @return array<string, Cable> */
    public function cables(): array
    {
        return array_map((new CatalogueReader)->cable(...), $this->entries('cable'));
    }

    /** @return array<string, Drive> */
    public function drives(): array
    {
        return array_map((new CatalogueReader)->drive(...), $this->entries('drive'));
    }

    /** @return array<string, ImageKind> */
    public function images(): array
    {
        return array_map((new CatalogueReader)->image(...), $this->entries('image'));
    }

    /** @return array<string, CardKind> */
    public function cards(): array
    {
        return array_map((new CatalogueReader)->card(...), $this->entries('card'));
    }

    /** @return array<string, Enclosure> */
    public function cases(): array
    {
        return array_map((new CatalogueReader)->case(...), $this->entries('case'));
    }

    public function shelf(): Shelf
    {
        return new Shelf(
            array_values($this->boards()), array_values($this->supplies()), array_values($this->cables()), array_values($this->drives()),
            array_values($this->images()), array_values($this->cards()), array_values($this->cases()),
        );
    }

    /** @return array{before: non-empty-list<StepTemplate>, after: list<StepTemplate>} */
    public function commonSteps(): array
    {
        /** @var array{before: non-empty-list<array<string, mixed>>, after: list<array<string, mixed>>} $data */
        $data = $this->parsed(self::path('BringUp/data/common.yaml'));
        $reader = new RoleReader;
        /** @var non-empty-list<StepTemplate> $before */
        $before = $reader->steps($data['before']);

        return ['before' => $before, 'after' => $reader->steps($data['after'])];
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
            $this->entries = $this->roles = null;
        }

        return $entry;
    }

    /** Takes an own entry away; a built-in one of that name comes back into force. */
    public function drop(string $kind, string $id): void
    {
        CatalogueEntry::query()->where('kind', $kind)->where('slug', $id)->delete();
        $this->entries = $this->roles = null;
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
        $entries = [];
        foreach (self::KINDS as $kind) {
            foreach (glob(self::folder($kind).'/*.yaml') ?: [] as $file) {
                $data = $this->parsed($file);
                $entries[$kind][(string) $data['id']] = $data;
            }
        }
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

    /** @return array<string, mixed> */
    private function parsed(string $file): array
    {
        /** @var array<string, mixed> $data */
        $data = Cache::store('file')->rememberForever('yaml '.$file.' '.filemtime($file), fn (): mixed => Yaml::parse(self::text($file)));

        return $data;
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
