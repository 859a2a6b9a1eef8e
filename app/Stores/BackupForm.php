<?php

declare(strict_types=1);

namespace App\Stores;

use App\Models\Backup;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;
use Burrow\Stores\Backup\TypedBackup;
use Illuminate\Http\Request;

/** The form of a backup: what stands in its fields, and what speaks against it once it was sent. */
final readonly class BackupForm
{
    private const USUAL = [
        'database' => 'none',
        'school' => 'folders',
        'target_port' => '22',
        'runs_at' => '02:30',
        'keep_daily' => '7',
        'keep_weekly' => '4',
        'keep_monthly' => '12',
        'keep_yearly' => '0',
    ];

    /** @param  array<string, string>  $fields */
    private function __construct(public ?Backup $backup, public array $fields, public Findings $findings)
    {
    }

    /** @return array<string, string> */
    public static function typed(Request $request): array
    {
        $typed = [];
        foreach (TypedBackup::FIELDS as $field) {
            $typed[$field] = trim($request->string($field)->value());
        }

        return $typed;
    }

    /** As it is shown: what was typed before, else what is kept, else what is usual. */
    public static function shown(Household $house, ?Backup $backup, string $box): self
    {
        $typed = old('backup_name') !== null;
        $fields = [];
        foreach (TypedBackup::FIELDS as $field) {
            $kept = match (true) {
                $typed => old($field),
                $backup === null => $field === 'backup_box' ? $box : self::USUAL[$field] ?? '',
                default => match ($field) {
                    'backup_box' => $backup->box_id,
                    'backup_name' => $backup->name,
                    'target_box' => $backup->target_box_id,
                    'paths' => implode("\n", $backup->paths),
                    default => $backup->getAttribute($field),
                },
            };
            $fields[$field] = is_scalar($kept) ? (string) $kept : '';
        }

        return new self(
            $backup,
            $fields,
            $typed ? TypedBackup::of($house, $fields)->findings : Findings::of(),
        );
    }
}
