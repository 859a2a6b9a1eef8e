<?php

declare(strict_types=1);

namespace App\Models;

/**
 * Who may see what. Whatever is not listed here is for keepers alone: a kind of the journal, or a field of the record,
 * on a page, in a file and by the find box alike.
 */
final class ForGuests
{
    /** Kinds of the journal that say what was done to a box; nothing of who comes in, and of who asks for what. */
    public const JOURNAL = [
        'card',
        'measured',
        'moved',
        'parts',
        'plan',
        'power',
        'retired',
        'run',
        'unfinished',
        'update',
    ];

    /** Fields, as table and column, whose text a guest may read. */
    public const FIELDS = [
        'boxes.fed_by',
        'boxes.host_key',
        'desk_computers.name',
        'fill_samples.mount',
        'health_samples.model',
        'health_samples.serial',
        'image_records.label',
        'journal_entries.by',
        'journal_entries.text',
        'media.label',
        'media.place',
        'media.purpose',
        'media.serial',
        'networks.contact',
        'networks.name',
        'run_steps.outcome',
        'services.path',
        'services.purpose',
        'stores.mount_point',
        'stores.serial',
        'stores.share',
        'stores.uuid',
    ];

    public static function see(?User $user, string $field): bool
    {
        return $user?->isKeeper() === true || in_array($field, self::FIELDS, true);
    }

    private function __construct()
    {
    }
}
