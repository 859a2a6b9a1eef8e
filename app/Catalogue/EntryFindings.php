<?php

declare(strict_types=1);

namespace App\Catalogue;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;

/** What is said of own entries of the catalogue, each with its one text; sources: docs/formulas/catalogue.md. */
final class EntryFindings
{
    /** @param  non-empty-list<string>  $users */
    public static function entryInUse(string $kind, string $id, array $users): Finding
    {
        return Finding::stop(
            'catalogue.entry_in_use',
            "{$kind}/{$id} is used by ".implode(', ', $users).'.',
            'Without it nobody could say any more what stands there, or how the run goes on.',
            'Choose another part there first, or end the run.',
        );
    }

    public static function entryNotRead(string $kind, string $id, string $found): Finding
    {
        return Finding::warn(
            'catalogue.entry_not_read',
            "Your own entry {$kind}/{$id} cannot be used: ".lcfirst($found),
            'It is left out until it is mended; a built-in one of that name stands in for it.',
            'Mend it in the catalogue, or take it away.',
        );
    }

    public static function notBuilt(string $because, Place $place): Finding
    {
        return Finding::stop(
            'catalogue.not_built',
            'No part can be made of this entry: '.$because,
            'Its form is right, and a value in it is not.',
            'Compare it with a built-in entry.',
            $place,
        );
    }
}
