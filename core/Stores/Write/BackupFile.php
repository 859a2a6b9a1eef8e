<?php

declare(strict_types=1);

namespace Burrow\Stores\Write;

use Burrow\Files\TypedFile;
use Burrow\Stores\Backup\BackupPlan;
use Burrow\Stores\Backup\BackupScript;
use Burrow\Stores\Backup\BackupUnits;
use Burrow\Stores\Backup\Keep;
use Burrow\Stores\Backup\RestoreScript;
use Burrow\Stores\StoresFindings;
use Closure;

/** The files of one backup from its plan: the script that copies, the one that brings back, service and timer. */
final class BackupFile extends TypedFile
{
    /** @param  Closure(BackupPlan): string  $writes */
    private function __construct(
        private readonly string $kind,
        private readonly string $summary,
        private readonly Closure $writes,
    ) {
    }

    /** @return list<self> */
    public static function all(): array
    {
        return [
            new self(
                'backup',
                'a script that makes one more copy of a box’s folders elsewhere, and keeps as many as was said',
                BackupScript::of(...),
            ),
            new self(
                'backup-restore',
                'the script that brings such a copy back beside what is there, and compares',
                RestoreScript::of(...),
            ),
            new self('backup-service', 'the service of systemd that runs it', BackupUnits::service(...)),
            new self('backup-timer', 'the timer of systemd that runs it every day', BackupUnits::timer(...)),
        ];
    }

    public function kind(): string
    {
        return $this->kind;
    }

    public function summary(): string
    {
        return $this->summary;
    }

    public function schema(): string
    {
        return 'core/Stores/schema/backup.schema.json';
    }

    protected function text(array $data, callable $at, array &$found): string
    {
        /** @var array{name: string, box: string, paths: non-empty-list<string>, database?: string, database_file?: string, to: array{account: string, host: string, folder: string, port?: int}, school?: string, identity?: string, key_file?: string, at?: string, keep?: array{daily?: int, weekly?: int, monthly?: int, yearly?: int}} $said */
        $said = $data;
        foreach ($said['paths'] as $i => $path) {
            self::isFolder($path) || ($found[] = StoresFindings::notAFolderToCopy($path, $at('paths', $i)));
        }
        foreach (['database_file', 'identity', 'key_file'] as $key) {
            isset($said[$key]) &&
                ! self::isFolder($said[$key]) &&
                ($found[] = StoresFindings::notAFolderToCopy($said[$key], $at($key)));
        }
        self::isFolder($said['to']['folder']) ||
            ($found[] = StoresFindings::notAFolderToCopy($said['to']['folder'], $at('to', 'folder')));
        if (($said['database'] ?? 'none') === 'sqlite' && ! isset($said['database_file'])) {
            $found[] = StoresFindings::whichDatabaseFile($at('database'));
        }
        $keep = isset($said['keep'])
            ? new Keep(
                $said['keep']['daily'] ?? 0,
                $said['keep']['weekly'] ?? 0,
                $said['keep']['monthly'] ?? 0,
                $said['keep']['yearly'] ?? 0,
            )
            : new Keep();
        $keep->copies() > 0 || ($found[] = StoresFindings::keepsNothing($at('keep')));

        return ($this->writes)(
            new BackupPlan(
                $said['name'],
                $said['box'],
                $said['paths'],
                $said['to']['account'],
                $said['to']['host'],
                $said['to']['folder'],
                $said['database'] ?? 'none',
                $said['database_file'] ?? null,
                $said['school'] ?? 'folders',
                $said['to']['port'] ?? 22,
                $said['identity'] ?? '/root/.ssh/id_backup',
                $said['key_file'] ?? null,
                $said['at'] ?? '02:30',
                $keep,
            ),
        );
    }

    private static function isFolder(string $path): bool
    {
        return preg_match(BackupPlan::PATH, $path) === 1;
    }
}
