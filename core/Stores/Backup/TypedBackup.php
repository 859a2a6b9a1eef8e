<?php

declare(strict_types=1);

namespace Burrow\Stores\Backup;

use Burrow\Household\Box;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Stores\StoresFindings;

/** A backup as somebody typed it, with what speaks against it at its field. */
final readonly class TypedBackup
{
    public const FIELDS = [
        'backup_box',
        'backup_name',
        'paths',
        'database',
        'database_file',
        'school',
        'target_box',
        'target_host',
        'target_account',
        'target_port',
        'target_folder',
        'key_kept_at',
        'runs_at',
        'keep_daily',
        'keep_weekly',
        'keep_monthly',
        'keep_yearly',
    ];

    /** @param  list<string>  $paths */
    private function __construct(
        public ?Box $box,
        public ?Box $target,
        public array $paths,
        public Keep $keep,
        public Findings $findings,
    ) {
    }

    /** @param  array<string, string>  $typed  by field */
    public static function of(Household $house, array $typed): self
    {
        $said = fn (string $field): string => trim($typed[$field] ?? '');
        $found = [];
        $box = self::box($house, $said('backup_box'));
        $target = self::box($house, $said('target_box'));
        $box === null &&
            ($found[] = BackupFindings::wants('backup_box', 'Whose files are copied?', 'Choose the box.'));
        preg_match(BackupPlan::NAME, $said('backup_name')) === 1 ||
            ($found[] = BackupFindings::wants(
                'backup_name',
                'It needs a name of small letters, digits and hyphens.',
                'Call it after what it copies: seed-scans.',
            ));
        $paths = array_values(array_filter(array_map(trim(...), explode("\n", $said('paths')))));
        $paths === [] &&
            ($found[] = BackupFindings::wants(
                'paths',
                'What is copied?',
                'Write one folder a line, from the root.',
            ));
        count($paths) > 30 &&
            ($found[] = BackupFindings::wants(
                'paths',
                'More than 30 folders.',
                'Name the folder that holds them.',
            ));
        foreach (array_slice($paths, 0, 30) as $path) {
            preg_match(BackupPlan::PATH, $path) === 1 ||
                ($found[] = StoresFindings::notAFolderToCopy($path, Place::field('paths')));
        }
        if ($said('database') === 'sqlite' && preg_match(BackupPlan::PATH, $said('database_file')) !== 1) {
            $found[] = StoresFindings::notAFolderToCopy(
                $said('database_file'),
                Place::field('database_file'),
            );
        }
        if ($target === null && preg_match(BackupPlan::HOST, $said('target_host')) !== 1) {
            $found[] = BackupFindings::wants(
                'target_host',
                'Where the copies go is missing.',
                'Choose a box, or type the name or address of a machine elsewhere.',
            );
        }
        $target !== null &&
            $target->address === null &&
            ($found[] = BackupFindings::wants(
                'target_box',
                "{$target->name} has no address yet.",
                'Choose another.',
            ));
        preg_match(BackupPlan::ACCOUNT, $said('target_account')) === 1 ||
            ($found[] = BackupFindings::wants(
                'target_account',
                'Which account keeps the copies there?',
                'Type its name.',
            ));
        preg_match(BackupPlan::PATH, $said('target_folder')) === 1 ||
            ($found[] = StoresFindings::notAFolderToCopy(
                $said('target_folder'),
                Place::field('target_folder'),
            ));
        $port = self::number($said('target_port') === '' ? '22' : $said('target_port'), 65535);
        ($port ?? 0) < 1 &&
            ($found[] = BackupFindings::wants(
                'target_port',
                'That is no port.',
                'It is 22 unless it was changed.',
            ));
        preg_match('/^([01]\d|2[0-3]):[0-5]\d$/D', $said('runs_at')) === 1 ||
            ($found[] = BackupFindings::wants('runs_at', 'At what time?', 'Write it as 02:30.'));
        $keeps = [];
        foreach (['keep_daily', 'keep_weekly', 'keep_monthly', 'keep_yearly'] as $field) {
            $number = self::number($said($field) === '' ? '0' : $said($field), 400);
            $number === null &&
                ($found[] = BackupFindings::wants(
                    $field,
                    'That is no number from 0 to 400.',
                    'Type how many.',
                ));
            $keeps[] = $number ?? 0;
        }
        $keep = new Keep(...$keeps);
        $keep->copies() > 0 || ($found[] = StoresFindings::keepsNothing(Place::field('keep_daily')));

        return new self($box, $target, $paths, $keep, Findings::of(...$found));
    }

    private static function box(Household $house, string $id): ?Box
    {
        foreach ($house->boxes() as $box) {
            if ((string) $box->id === $id) {
                return $box;
            }
        }

        return null;
    }

    private static function number(string $said, int $most): ?int
    {
        return preg_match('/^\d{1,5}$/D', $said) === 1 && (int) $said <= $most ? (int) $said : null;
    }
}
