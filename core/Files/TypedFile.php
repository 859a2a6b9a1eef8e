<?php

declare(strict_types=1);

namespace Burrow\Files;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Text\TextBudget;
use Burrow\Text\YamlEntry;
use Burrow\Text\YamlLines;

/**
 * A file from values under a schema: what a format cannot carry is a finding at its line, and then there is no
 * file.
 */
abstract class TypedFile implements FileKind
{
    public function write(string $values, string $schema, string $name): WrittenFile
    {
        $entry = YamlEntry::read($values, $schema, $name, TextBudget::paste(), $this->holdsLines());
        if ($entry->data === null) {
            return new WrittenFile($this->kind(), null, $entry->findings);
        }
        $lines = new YamlLines($values);
        $found = [];
        $text = $this->text(
            $entry->data,
            fn (string|int ...$path): Place => Place::file($name, $lines->locate(array_values($path))),
            $found,
        );
        $findings = Findings::of(...$found);

        return new WrittenFile($this->kind(), $findings->blocks() ? null : $text, $findings);
    }

    /** Whether the format can carry a text of several lines; where it cannot, such a value is refused. */
    protected function holdsLines(): bool
    {
        return false;
    }

    /**
     * @param  array<string, mixed>  $data  as the schema has it
     * @param  callable(string|int...): Place  $at  where a value stands
     * @param  list<Finding>  $found  what there is to say, added to
     */
    abstract protected function text(array $data, callable $at, array &$found): string;
}
