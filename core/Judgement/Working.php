<?php

declare(strict_types=1);

namespace Burrow\Judgement;

use JsonSerializable;

/** The arithmetic behind a number, line by line. The code stands in docs/formulas/, by stage. */
final readonly class Working implements JsonSerializable
{
    /** @param  list<Line>  $lines */
    private function __construct(
        public string $code,
        public string $title,
        public array $lines,
        public string $result,
        public Source $source,
    ) {
    }

    public static function of(string $code, string $title, string $result, Source $source, Line ...$lines): self
    {
        return new self($code, $title, array_values($lines), $result, $source);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'code' => $this->code,
            'title' => $this->title,
            'lines' => array_map(
                fn (Line $line): array => array_filter(
                    get_object_vars($line),
                    fn (mixed $value): bool => $value !== '',
                ),
                $this->lines,
            ),
            'result' => $this->result,
            'source' => $this->source->label,
        ];
    }
}
