<?php

declare(strict_types=1);

namespace Burrow\Card\Read;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Text\Yaml11;
use Burrow\Text\YamlLines;
use Burrow\Text\YamlText;
use Symfony\Component\Yaml\Exception\ParseException;

/** A YAML file of a card, read as far as it can be. */
final readonly class CardDocument
{
    /** @param  ?array<mixed>  $data null when the file cannot be read */
    private function __construct(
        private string $name,
        private YamlLines $lines,
        public ?array $data,
        public Findings $findings,
    ) {
    }

    public static function read(string $name, string $text): self
    {
        $text = str_replace("\r\n", "\n", (string) preg_replace('/^\xEF\xBB\xBF/', '', $text));
        $tabbed = Yaml11::tabbedLine($text);
        if ($tabbed !== null) {
            return self::unread($name, $text, ReadFindings::yamlTab($name, Place::file($name, $tabbed)));
        }
        $refused = Yaml11::refusedLine($text);
        if ($refused !== null) {
            return self::unreadable($name, $text, $refused);
        }
        try {
            $data = YamlText::parse(Yaml11::toYaml12($text));
        } catch (ParseException $problem) {
            $doubled = YamlText::doubled($problem);
            if ($doubled !== null) {
                return self::unread(
                    $name,
                    $text,
                    ReadFindings::yamlKeyTwice(
                        $doubled,
                        $name,
                        Place::file($name, $problem->getParsedLine() > 0 ? $problem->getParsedLine() : null),
                    ),
                );
            }

            return self::unreadable($name, $text, YamlLines::trouble($text, $problem->getParsedLine()));
        }
        if (is_array($data) && $data !== [] && array_is_list($data)) {
            // cloud-init drops what is no map of keys.
            return self::unreadable($name, $text, (new YamlLines($text))->locate([0]));
        }
        if (! is_array($data)) {
            return self::unread($name, $text, ReadFindings::yamlEmpty($name, Place::file($name, 1)));
        }

        return new self($name, new YamlLines($text), $data, Findings::of());
    }

    /** @param  list<int|string>  $path */
    public function place(array $path): Place
    {
        return Place::file($this->name, $this->lines->locate($path));
    }

    /**
     * The value at a path as it stands in the file, quotes and all; empty when it is not on one line with its key.
     *
     * @param  list<int|string>  $path
     */
    public function raw(array $path): string
    {
        $number = $this->lines->locate($path);
        $line = $this->lines->line($number);
        // In a line with others the nearest line above is not the value's own.
        if (trim($this->rawKey($number), '"\'') !== (string) end($path)) {
            return '';
        }

        return preg_match(
            '/^\s*(?:- )*(?:"(?:\\\\.|[^"])*"|\'[^\']*\'|[^\s:#][^:]*)\s*:\s+(.*)$/',
            $line,
            $match,
        ) === 1
            ? $match[1]
            : '';
    }

    /** A key as it stands in the file, quotes and all. */
    public function rawKey(int $line): string
    {
        return preg_match(
            '/^\s*(?:- )*("(?:\\\\.|[^"])*"|\'(?:\'\'|[^\'])*\'|.*?)\s*:(?:\s|$)/',
            $this->lines->line($line),
            $match,
        ) === 1
            ? $match[1]
            : '';
    }

    private static function unreadable(string $name, string $text, ?int $line): self
    {
        return self::unread($name, $text, ReadFindings::yamlDoesNotParse($name, Place::file($name, $line)));
    }

    private static function unread(string $name, string $text, Finding $finding): self
    {
        return new self($name, new YamlLines($text), null, Findings::of($finding));
    }
}
