<?php

declare(strict_types=1);

namespace Burrow\Intake;

use Burrow\Judgement\Findings;
use JsonSerializable;

/** What a reader understood of a text, and findings about what it did not. */
final readonly class Reading implements JsonSerializable
{
    /**
     * @param  list<JsonSerializable>  $facts
     * @param  array<string, mixed>  $totals  of all facts, or what the text itself counts
     * @param  int  $unread  lines that were passed over
     * @param  list<self>  $also  what other readers understood of the same paste
     */
    public function __construct(
        public string $kind,
        public array $facts,
        public Findings $findings,
        public array $totals = [],
        public int $unread = 0,
        public array $also = [],
    ) {
    }

    /**
     * The facts of one type.
     *
     * @template T of JsonSerializable
     *
     * @param  class-string<T>  $type
     * @return list<T>
     */
    public function all(string $type): array
    {
        return array_values(array_filter($this->facts, fn (JsonSerializable $fact): bool => $fact instanceof $type));
    }

    public function understood(): bool
    {
        return $this->facts !== [] || $this->totals !== [];
    }

    /** @param  list<self>  $others */
    public function with(array $others): self
    {
        return new self($this->kind, $this->facts, $this->findings, $this->totals, $this->unread, $others);
    }

    /** Whether it made more of a text than another reading: fewer refusals, fewer lines passed over, more values. */
    public function beats(self $other): bool
    {
        $mine = [$other->findings->blocks(), $other->unread, $this->values()];
        $theirs = [$this->findings->blocks(), $this->unread, $other->values()];

        return $mine > $theirs;
    }

    private function values(): int
    {
        $values = 0;
        $all = [json_decode((string) json_encode($this->facts, JSON_INVALID_UTF8_SUBSTITUTE), true), $this->totals];
        array_walk_recursive($all, function (mixed $value) use (&$values): void {
            $values += $value === null ? 0 : 1;
        });

        return $values;
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'kind' => $this->kind,
            'facts' => $this->facts,
            'totals' => (object) $this->totals,
            'findings' => $this->findings,
            ...$this->also === [] ? [] : ['also' => $this->also],
        ];
    }
}
