<?php

declare(strict_types=1);

namespace Burrow\Intake;

use Burrow\Sheet\Finding;
use Burrow\Sheet\Findings;
use Burrow\Sheet\Place;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Helper;
use Opis\JsonSchema\Validator;
use Symfony\Component\Yaml\Exception\ParseException;

/** A YAML text held against a JSON Schema: what it says, and what is wrong with it, by line. */
final readonly class YamlEntry
{
    /** @param  ?array<string, mixed>  $data null when the text cannot be used */
    private function __construct(public ?array $data, public Findings $findings)
    {
    }

    /**
     * @param  string  $schema  the JSON Schema itself, as text
     * @param  string  $file  the name that findings give to the text
     */
    public static function read(string $yaml, string $schema, string $file): self
    {
        if (strlen($yaml) > 256 * 1024) {
            return self::refused(
                'yaml.too_large',
                'The text is larger than 256 KiB.',
                'An entry has about fifty lines.',
                'Import one entry at a time.',
                $file,
                null,
            );
        }
        if (preg_match('/^( *)\t/m', $yaml, $match, PREG_OFFSET_CAPTURE) === 1) {
            return self::refused(
                'yaml.tab',
                'A tab stands where YAML wants spaces.',
                'YAML forbids tabs as indentation.',
                'Replace it with spaces.',
                $file,
                1 + substr_count($yaml, "\n", 0, $match[0][1]),
            );
        }
        try {
            $data = YamlText::parse($yaml);
        } catch (ParseException $problem) {
            return self::refused(
                'yaml.does_not_parse',
                'The text is not YAML: '.self::sentence($problem),
                'Most often the indentation of this or the line before is off.',
                'Compare it with a built-in entry.',
                $file,
                YamlLines::trouble($yaml, $problem->getParsedLine()),
            );
        }
        if (! is_array($data)) {
            return self::refused(
                'yaml.not_an_entry',
                'There is no entry in this text.',
                'An entry is a list of “name: value” lines.',
                'Export a built-in entry to see one.',
                $file,
                null,
            );
        }
        $findings = self::against($schema, $data, $yaml, $file);
        /** @var array<string, mixed> $data */

        return new self($findings->blocks() ? null : $data, $findings);
    }

    private static function sentence(ParseException $problem): string
    {
        $problem->setParsedLine(-1);
        $problem->setSnippet('');

        return rtrim($problem->getMessage(), '.').'.';
    }

    private static function refused(string $code, string $found, string $why, string $do, string $file, ?int $line): self
    {
        return new self(null, Findings::of(Finding::stop($code, $found, $why, $do, Place::file($file, $line))));
    }

    /** @param  array<mixed>  $data */
    private static function against(string $schema, array $data, string $yaml, string $file): Findings
    {
        $result = (new Validator(max_errors: 20))->validate(Helper::toJSON($data), (string) $schema);
        $error = $result->error();
        if ($error === null) {
            return Findings::of();
        }
        $findings = [];
        foreach (self::leaves($error) as $leaf) {
            $path = array_values($leaf->data()->fullPath());
            $extra = $leaf->keyword() === 'additionalProperties' ? (array) ($leaf->args()['properties'] ?? []) : [];
            $where = $path === [] ? 'the entry' : '“'.implode('.', $path).'”';
            $findings[] = Finding::stop(
                'yaml.schema',
                "In {$where}: ".self::lowerFirst((new ErrorFormatter())->formatErrorMessage($leaf)).'.',
                'The schema of this kind of entry says so.',
                'Export a built-in entry of the same kind to compare.',
                Place::file($file, YamlLines::locate($yaml, [...$path, ...array_slice(array_values($extra), 0, 1)])),
            );
        }

        return Findings::of(...$findings);
    }

    private static function lowerFirst(string $message): string
    {
        return lcfirst(rtrim($message, '.'));
    }

    /** @return list<ValidationError> */
    private static function leaves(ValidationError $error): array
    {
        $below = $error->subErrors();

        return $below === [] ? [$error] : array_merge(...array_map(self::leaves(...), array_values($below)));
    }
}
