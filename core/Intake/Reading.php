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
     * @param  array<string, int|float|null>  $totals  of all facts, or what the text itself counts
     */
    public function __construct(
        public string $kind,
        public array $facts,
        public Findings $findings,
        public array $totals = [],
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

    /** @return array{kind: string, facts: list<JsonSerializable>, totals: object, findings: Findings} */
    public function jsonSerialize(): array
    {
        return [
            'kind' => $this->kind,
            'facts' => $this->facts,
            'totals' => (object) $this->totals,
            'findings' => $this->findings,
        ];
    }
}
