<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Models\Box;
use App\Models\CatalogueEntry;
use Burrow\Catalogue\CatalogueReader;
use Burrow\Catalogue\Job\Job;
use Burrow\Catalogue\Job\JobReader;
use Burrow\Catalogue\Part\BoardClass;
use Burrow\Catalogue\Part\Drive;
use Burrow\Catalogue\Part\ImageKind;
use Burrow\Catalogue\Part\Kit;
use Burrow\Catalogue\Part\SmallParts;
use Burrow\Catalogue\Shelf;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Closure;
use Illuminate\Database\QueryException;
use RuntimeException;

/**
 * The built-in entries with the household's own beside them. An own entry with the id of a built-in one goes
 * before it. Files are parsed once and kept in the cache until one of them changes.
 */
final class Catalogue
{
    /** kind => [what one of them is called, what all of them are called] */
    public const KINDS = [
        'job' => ['job', 'Jobs'],
        'playbook' => ['playbook', 'Playbooks'],
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

    /** @var list<array{kind: string, id: string, found: string}> */
    private array $unread = [];

    /** @var array<string, array<string, Job|BoardClass|Drive|ImageKind|null>> asked for alone, by kind and id */
    private array $single = [];

    /** Its image came with its job in it. */
    public function isReadyMade(Box $box): bool
    {
        return $this->image($box->image)?->readyMade === true;
    }

    public function job(?string $id): ?Job
    {
        return $this->alone('job', $id, (new JobReader())->job(...));
    }

    public function board(?string $id): ?BoardClass
    {
        return $this->alone('board', $id, (new CatalogueReader())->board(...));
    }

    public function drive(?string $id): ?Drive
    {
        return $this->alone('drive', $id, (new CatalogueReader())->drive(...));
    }

    public function image(?string $id): ?ImageKind
    {
        return $this->alone('image', $id, (new CatalogueReader())->image(...));
    }

    /**
     * One entry by itself: most pages want a few, and making all of them takes its time.
     *
     * @template T of Job|BoardClass|Drive|ImageKind
     *
     * @param  Closure(array<string, mixed>): T  $make
     * @return ?T
     */
    private function alone(string $kind, ?string $id, Closure $make): mixed
    {
        $id ??= '';
        if (! isset($this->single[$kind][$id])) {
            $entry = $this->entries($kind)[$id] ?? null;
            $this->single[$kind][$id] = $entry === null ? null : $make($entry);
        }

        /** @var ?T */
        return $this->single[$kind][$id];
    }

    /** Every entry as a typed value, boards from the slowest to the fastest. */
    public function shelf(): Shelf
    {
        if ($this->shelf !== null) {
            return $this->shelf;
        }
        $reader = new CatalogueReader();
        $boards = array_map($reader->board(...), $this->entries('board'));
        uasort(
            $boards,
            fn (BoardClass $a, BoardClass $b): int => [$a->speed, $a->memory->count] <=> [
                $b->speed,
                $b->memory->count,
            ],
        );

        return $this->shelf = new Shelf(
            array_map((new JobReader())->job(...), $this->entries('job')),
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

    public static function schema(string $kind): string
    {
        return self::text(
            self::path(
                match ($kind) {
                    'plan' => 'Plan/schema/plan.schema.json',
                    'box' => 'BringUp/schema/box.schema.json',
                    'network' => 'Addresses/schema/network.schema.json',
                    'upkeep' => 'Upkeep/schema/upkeep.schema.json',
                    'fill' => 'Stores/schema/fill.schema.json',
                    'tunnel' => 'Reach/schema/tunnel.schema.json',
                    'timetable' => 'BringUp/schema/timetable.schema.json',
                    'diagnosis' => 'Diagnosis/schema/case.schema.json',
                    'playbook' => 'BringUp/playbooks/playbook.schema.json',
                    default => "Catalogue/schema/{$kind}.schema.json",
                },
            ),
        );
    }

    /** The YAML of a built-in entry as it was written, or null. */
    public function builtIn(string $kind, string $id): ?string
    {
        // Looked up among the files that are there, so that no id leads out of their folder.
        $file = array_search(
            $id,
            array_map(fn (string $path): string => self::idOf($kind, $path), self::builtInFiles($kind)),
            true,
        );

        return $file === false ? null : self::text(self::builtInFiles($kind)[$file]);
    }

    /** Takes in an entry of the household's own when its schema passes it and it can be built. */
    public function import(string $kind, string $yaml): OwnEntry
    {
        $entry = OwnEntry::read($kind, $yaml);
        if ($entry->data !== null) {
            CatalogueEntry::query()->updateOrCreate(
                ['kind' => $kind, 'slug' => $entry->id()],
                ['yaml' => $yaml],
            );
            $this->forget();
        }

        return $entry;
    }

    /** A finding for every own entry that cannot be read as it stands: one of an older form, or edited by hand. */
    public function unread(): Findings
    {
        return Findings::of(
            ...array_map(
                fn (array $one): Finding => EntryFindings::entryNotRead(
                    $one['kind'],
                    $one['id'],
                    $one['found'],
                ),
                $this->unreadEntries(),
            ),
        );
    }

    /** @return list<array{kind: string, id: string, found: string}> */
    public function unreadEntries(): array
    {
        $this->entries ??= $this->load();

        return $this->unread;
    }

    /**
     * Takes an own entry away; a built-in one of that name comes back into force. What is in use stays.
     *
     * @return ?Finding why it was not taken away
     */
    public function drop(string $kind, string $id): ?Finding
    {
        $users =
            $this->builtIn($kind, $id) === null
                ? [...InUse::by($kind, $id), ...InUse::byRuns($kind, $id)]
                : InUse::byRuns($kind, $id);
        if ($users !== []) {
            return EntryFindings::entryInUse($kind, $id, $users);
        }
        CatalogueEntry::query()->where('kind', $kind)->where('slug', $id)->delete();
        $this->forget();

        return null;
    }

    private function forget(): void
    {
        $this->entries = $this->shelf = null;
        $this->single = [];
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
        $own = self::ownEntries($this->own());
        foreach ($own['entries'] as $kind => $byId) {
            $entries[$kind] = [...$entries[$kind] ?? [], ...$byId];
        }
        $this->unread = $own['unread'];

        return $entries;
    }

    /**
     * The household's own entries, each read and built once and then kept until one of them changes.
     *
     * @param  list<CatalogueEntry>  $rows
     * @return array{entries: array<string, array<string, array<string, mixed>>>, unread: list<array{kind: string, id: string, found: string}>}
     */
    private static function ownEntries(array $rows): array
    {
        if ($rows === []) {
            return ['entries' => [], 'unread' => []];
        }
        $state = implode(
            "\n",
            array_map(fn (CatalogueEntry $row): string => "{$row->kind}/{$row->slug}\n{$row->yaml}", $rows),
        );

        /**
         * @var array{entries: array<string, array<string, array<string, mixed>>>, unread: list<array{kind: string, id: string, found: string}>}
         */
        return Kept::made('own-entries', $state, function () use ($rows): array {
            $read = ['entries' => [], 'unread' => []];
            foreach ($rows as $row) {
                $entry = OwnEntry::read($row->kind, $row->yaml);
                if ($entry->data === null) {
                    $read['unread'][] = [
                        'kind' => $row->kind,
                        'id' => $row->slug,
                        'found' => $entry->findings->list[0]->found,
                    ];
                } else {
                    $read['entries'][$row->kind][$row->slug] = $entry->data;
                }
            }

            return $read;
        });
    }

    /**
     * The terminal commands also work while the database is not running; then the built-in entries are all there are.
     *
     * @return list<CatalogueEntry>
     */
    private function own(): array
    {
        try {
            return array_values(CatalogueEntry::query()->orderBy('slug')->get()->all());
        } catch (QueryException $away) {
            return app()->runningInConsole() ? [] : throw $away;
        }
    }

    /** @return array<string, array<string, array<string, mixed>>> */
    private static function builtInEntries(): array
    {
        $list = fn (): array => array_merge(...array_map(self::builtInFiles(...), array_keys(self::KINDS)));
        $entries = [];
        foreach (Kept::files('catalogue', $list) as $file => $data) {
            $entries[self::kindOf($file)][is_string($data['id'] ?? null) ? $data['id'] : ''] = $data;
        }

        return $entries;
    }

    /** Entries of the catalogue lie in a folder of their kind, playbooks in one of their job. */
    private static function kindOf(string $file): string
    {
        return str_contains($file, '/playbooks/') ? 'playbook' : basename(dirname($file));
    }

    /** @return list<string> */
    private static function builtInFiles(string $kind): array
    {
        // A playbook lies in its job's folder; what playbooks share is none.
        $files =
            glob(
                self::path(
                    $kind === 'playbook' ? 'BringUp/playbooks/*/*.yaml' : "Catalogue/data/{$kind}/*.yaml",
                ),
            ) ?:
            [];

        return array_values(
            array_filter($files, fn (string $file): bool => ! str_contains($file, '/playbooks/shared/')),
        );
    }

    private static function idOf(string $kind, string $file): string
    {
        return ($kind === 'playbook' ? basename(dirname($file)).'.' : '').basename($file, '.yaml');
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
