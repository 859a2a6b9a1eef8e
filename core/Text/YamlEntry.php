<?php

declare(strict_types=1);

namespace Burrow\Text;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Validator;
use Symfony\Component\Yaml\Exception\ParseException;

/** A YAML text held against a JSON Schema: what it says, and what is wrong with it, by line. */
final readonly class YamlEntry
{
    private const SMALLEST = 1e-6;

    /** A thousand terabytes, in bytes. */
    private const LARGEST = 1e15;

    /** Control characters, with what one reader or another takes for the end of a line. */
    private const ENDS_A_LINE = '/[\x00-\x1f\x7f\x{80}-\x9f\x{2028}\x{2029}]/u';

    /** The same, but for the ends of lines and the tabs of a text of several lines. */
    private const CONTROL = '/[\x00-\x08\x0b-\x1f\x7f\x{80}-\x9f\x{2028}\x{2029}]/u';

    /** Findings about one text. */
    private const MOST = 20;

    /** @param  ?array<string, mixed>  $data null when the text cannot be used */
    private function __construct(public ?array $data, public Findings $findings)
    {
    }

    /**
     * @param  string  $schema  the JSON Schema itself, as text
     * @param  string  $file  the name that findings give to the text
     * @param  ?TextBudget  $budget  how much is looked at; that of an entry where none is given
     * @param  bool  $lines  a value may be of several lines, as in entries of the catalogue; where values go into files
     *         and commands none may, nor hold another control character
     */
    public static function read(
        string $yaml,
        string $schema,
        string $file,
        ?TextBudget $budget = null,
        bool $lines = false,
    ): self {
        $mayEnd = $lines;
        $yaml = (string) preg_replace('/^\xEF\xBB\xBF/', '', $yaml);
        $unreadable = self::unreadable($yaml, $file, $budget ?? TextBudget::entry());
        if ($unreadable !== null) {
            return $unreadable;
        }
        try {
            $data = YamlText::parse($yaml, $budget === null ? YamlText::MOST_VALUES : YamlText::MOST_MEASURED);
        } catch (ParseException $problem) {
            $named = $problem->getParsedLine();
            $line =
                YamlText::doubled($problem) !== null && $named > 0
                    ? $named
                    : YamlLines::trouble($yaml, $named);

            return self::refused(
                'yaml.does_not_parse',
                'The text is not YAML: '.self::sentence($problem),
                'Most often the indentation of this or the line before is off.',
                'Compare it with a built-in entry.',
                $file,
                $line,
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
        $lines = new YamlLines($yaml);
        $findings = self::values($data, [], $lines, $file, $mayEnd ? self::CONTROL : self::ENDS_A_LINE);
        $findings =
            $findings === [] ? self::against($schema, $data, $lines, $file) : Findings::of(...$findings);
        if ($findings->blocks()) {
            return new self(null, $findings);
        }
        array_walk_recursive($data, function (mixed &$value): void {
            // JSON Schema takes 4.0 for an integer, and so does this house.
            $value = is_float($value) && floor($value) === $value ? (int) $value : $value;
        });
        /** @var array<string, mixed> $data */

        return new self($data, $findings);
    }

    /**
     * What no YAML reader should be asked to read: too much, bytes that are no text, tabs as indentation, two entries
     * in one.
     */
    private static function unreadable(string $yaml, string $file, TextBudget $budget): ?self
    {
        $tooMuch = $budget->exceeded($yaml);
        if ($tooMuch !== null) {
            return self::refused(
                'yaml.over_budget',
                "The text is not looked at: {$tooMuch->because}.",
                'An entry has about fifty lines.',
                'Take in one entry at a time.',
                $file,
                $tooMuch->line,
            );
        }
        $begun = false;
        foreach (explode("\n", $yaml) as $index => $line) {
            $refused = match (true) {
                preg_match('//u', $line) !== 1 => self::refused(
                    'yaml.not_utf8',
                    'Bytes stand here that are no UTF-8.',
                    'YAML is UTF-8 (YAML 1.2 section 5.2).',
                    'Save the text as UTF-8.',
                    $file,
                    $index + 1,
                ),
                preg_match('/[\x00-\x08\x0b\x0c\x0e-\x1f\x7f]/', $line) === 1 => self::refused(
                    'yaml.control_character',
                    'A character stands here that cannot be seen.',
                    'YAML takes no control characters (YAML 1.2 section 5.1).',
                    'Type the line anew.',
                    $file,
                    $index + 1,
                ),
                preg_match('/^ *\t/', $line) === 1 => self::refused(
                    'yaml.tab',
                    'A tab stands where YAML wants spaces.',
                    'YAML forbids tabs as indentation.',
                    'Replace it with spaces.',
                    $file,
                    $index + 1,
                ),
                $begun && preg_match('/^---(?:\s|$)/', $line) === 1 => self::refused(
                    'yaml.second_document',
                    'A second entry begins here.',
                    'One text holds one entry.',
                    'Take in one entry at a time.',
                    $file,
                    $index + 1,
                ),
                default => null,
            };
            if ($refused !== null) {
                return $refused;
            }
            $begun = $begun || preg_match('/^\s*(?:#|$)/', $line) !== 1;
        }

        return null;
    }

    /**
     * Numbers that no house has would come out as infinite further on.
     *
     * @param  array<mixed>  $data
     * @param  list<int|string>  $path
     * @return list<Finding>
     */
    private static function values(
        array $data,
        array $path,
        YamlLines $lines,
        string $file,
        string $refused,
    ): array {
        $findings = [];
        foreach ($data as $key => $value) {
            $at = [...$path, $key];
            if (preg_match($refused, (string) $key) === 1) {
                $findings[] = TextFindings::controlInValue($path, Place::file($file, $lines->locate($path)));
            } elseif (is_array($value)) {
                $findings = [...$findings, ...self::values($value, $at, $lines, $file, $refused)];
            } elseif (is_string($value) && preg_match($refused, $value) === 1) {
                $findings[] = TextFindings::controlInValue($at, Place::file($file, $lines->locate($at)));
            } elseif (
                (is_float($value) || is_int($value)) &&
                $value != 0 &&
                ! (abs($value) >= self::SMALLEST && abs($value) <= self::LARGEST)
            ) {
                $findings[] = TextFindings::number($at, Place::file($file, $lines->locate($at)));
            }
            if (count($findings) >= self::MOST) {
                break;
            }
        }

        return $findings;
    }

    private static function sentence(ParseException $problem): string
    {
        $problem->setParsedLine(-1);
        $problem->setSnippet('');

        return rtrim($problem->getMessage(), '.').'.';
    }

    private static function refused(
        string $code,
        string $found,
        string $why,
        string $do,
        string $file,
        ?int $line,
    ): self {
        return new self(
            null,
            Findings::of(TextFindings::refused($code, $found, $why, $do, Place::file($file, $line))),
        );
    }

    /** @param  array<mixed>  $data */
    private static function against(string $schema, array $data, YamlLines $lines, string $file): Findings
    {
        $result = (new Validator(max_errors: self::MOST))->validate(
            self::mapped($data, $root = json_decode($schema), $root),
            $schema,
        );
        $error = $result->error();
        $findings = [];
        foreach ($error === null ? [] : array_slice(self::leaves($error), 0, self::MOST) as $leaf) {
            $path = array_values($leaf->data()->fullPath());
            $extra = match ($leaf->keyword()) {
                'additionalProperties' => (array) ($leaf->args()['properties'] ?? []),
                'required' => self::misspelt($leaf),
                default => [],
            };
            $where = $path === [] ? 'the entry' : '“'.implode('.', $path).'”';
            $findings[] = TextFindings::schema(
                $where,
                self::words($leaf, $extra),
                Place::file($file, $lines->locate([...$path, ...array_slice(array_values($extra), 0, 1)])),
            );
        }

        return Findings::of(...$findings);
    }

    /**
     * The same for a validator of JSON, which tells an empty mapping from an empty list as YAML's reader does not.
     *
     * @param  mixed  $schema  of this value
     * @param  mixed  $root  the whole schema, where its definitions are
     */
    private static function mapped(mixed $data, mixed $schema, mixed $root): mixed
    {
        if (! is_array($data)) {
            return $data;
        }
        $of = is_object($schema) ? $schema : (object) [];
        if (preg_match('~^#/\$defs/(\w+)$~D', (string) ($of->{'$ref'} ?? ''), $match) === 1) {
            $defs = is_object($root) ? $root->{'$defs'} ?? null : null;
            $of = is_object($defs) && is_object($defs->{$match[1]} ?? null) ? $defs->{$match[1]} : (object) [];
        }
        if ($data === []) {
            return ($of->type ?? null) === 'object' ? (object) [] : [];
        }
        $isList = array_is_list($data);
        foreach ($data as $key => $value) {
            $data[$key] = self::mapped(
                $value,
                $isList ? $of->items ?? null : $of->properties->{$key} ?? ($of->additionalProperties ?? null),
                $root,
            );
        }

        return $isList ? $data : (object) $data;
    }

    /**
     * What is wrong with one value; a closed list names its items, a key that is not known the one it resembles.
     *
     * @param  array<mixed>  $extra  keys that are not known
     */
    private static function words(ValidationError $leaf, array $extra): string
    {
        $schema = $leaf->schema()->info()->data();
        if ($leaf->keyword() === 'enum' && is_object($schema) && is_array($schema->enum ?? null)) {
            return 'it must be one of '.
                implode(
                    ', ',
                    array_map(
                        fn (mixed $one): string => is_string($one) ? $one : (string) json_encode($one),
                        $schema->enum,
                    ),
                );
        }
        $words = self::lowerFirst((new ErrorFormatter())->formatErrorMessage($leaf));
        $key = array_values($extra)[0] ?? null;
        $known = is_object($schema) ? array_keys((array) ($schema->properties ?? [])) : [];
        $meant =
            is_string($key) && $known !== [] ? KnownWords::of(implode(' ', $known))->nearest($key) : null;

        return $meant === null ? $words : "{$words}; perhaps “{$meant}” was meant";
    }

    /**
     * Keys that nobody knows and that are like one that is missing.
     *
     * @return list<string>
     */
    private static function misspelt(ValidationError $leaf): array
    {
        $schema = $leaf->schema()->info()->data();
        $known = is_object($schema) ? array_keys((array) ($schema->properties ?? [])) : [];
        $missing = array_values(array_filter((array) ($leaf->args()['missing'] ?? []), is_string(...)));
        $typed = array_diff(array_map(strval(...), array_keys((array) $leaf->data()->value())), $known);

        return $missing === []
            ? []
            : array_values(
                array_filter(
                    $typed,
                    fn (string $key): bool => KnownWords::of(implode(' ', $missing))->nearest($key) !== null,
                ),
            );
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
