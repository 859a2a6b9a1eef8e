<?php

declare(strict_types=1);

namespace Burrow\Filter\Write;

use Burrow\Files\FileKind;
use Burrow\Files\WrittenFile;
use Burrow\Filter\FilterFindings;
use Burrow\Intake\Names\ListLine;
use Burrow\Intake\Names\NameSet;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Text\TextBudget;
use Burrow\Text\YamlEntry;
use Burrow\Text\YamlLines;

/**
 * Names that a resolver refuses, as the file of one resolver; doubles and what lies below a listed parent are
 * left out.
 */
abstract class ListWriter implements FileKind
{
    public function schema(): string
    {
        return 'core/Filter/schema/list.schema.json';
    }

    public function write(string $values, string $schema, string $name): WrittenFile
    {
        $entry = YamlEntry::read($values, $schema, $name, TextBudget::paste());
        if ($entry->data === null) {
            return new WrittenFile($this->kind(), null, $entry->findings);
        }
        /** @var array{names: list<string>, allow?: list<string>, origin?: string} $data */
        $data = $entry->data;
        $lines = new YamlLines($values);
        $found = [];
        /** @param  list<string>  $said */
        $read = function (string $key, array $said) use ($lines, $name, &$found): NameSet {
            $set = new NameSet();
            foreach ($said as $i => $one) {
                $under = $key === 'allow' || str_starts_with($one, '*.');
                $plain = ListLine::normal(strtolower(str_starts_with($one, '*.') ? substr($one, 2) : $one));
                $plain === null
                    ? ($found[] = FilterFindings::notAName(
                        $one,
                        Place::file($name, $lines->locate([$key, $i])),
                    ))
                    : $set->add(($under ? '*' : '').$plain);
            }

            return $set;
        };
        $refused = $read('names', $data['names']);
        $allowed = $read('allow', $data['allow'] ?? []);
        $origin = ListLine::normal(strtolower($data['origin'] ?? 'rpz.house'));
        if ($origin === null) {
            $found[] = FilterFindings::notAName(
                $data['origin'] ?? '',
                Place::file($name, $lines->locate(['origin'])),
            );
        }
        $findings = Findings::of(...$found);

        return $findings->blocks() || $origin === null
            ? new WrittenFile($this->kind(), null, $findings)
            : new WrittenFile($this->kind(), $this->of($refused, $allowed, $origin), $findings);
    }

    /** The whole file. */
    public function of(NameSet $refused, NameSet $allowed, string $origin = 'rpz.house'): string
    {
        $text = $this->head($origin);
        foreach ($allowed->entries() as $entry) {
            $text .= $this->allow(ltrim($entry, '*'));
        }
        foreach ($refused->entries() as $entry) {
            $plain = ltrim($entry, '*');
            if (! $allowed->has($plain)) {
                $text .= $this->refuse($plain, $entry[0] === '*');
            }
        }

        return $text;
    }

    protected function head(string $origin): string
    {
        return '';
    }

    abstract protected function refuse(string $name, bool $under): string;

    /** A name that is let through with everything below, though a parent of it may be refused. */
    abstract protected function allow(string $name): string;
}
