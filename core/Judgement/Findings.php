<?php

declare(strict_types=1);

namespace Burrow\Judgement;

use ArrayIterator;
use Countable;
use IteratorAggregate;
use JsonSerializable;

/**
 * Findings in the order they were made.
 *
 * @implements IteratorAggregate<int, Finding>
 */
final readonly class Findings implements Countable, IteratorAggregate, JsonSerializable
{
    /** @param  list<Finding>  $list */
    private function __construct(public array $list)
    {
    }

    public static function of(Finding ...$findings): self
    {
        return new self(array_values($findings));
    }

    /** @param  iterable<Finding>  $more */
    public function and(iterable $more): self
    {
        return new self([...$this->list, ...array_values([...$more])]);
    }

    /** The gravest severity present, or null when there is no finding at all. */
    public function worst(): ?Severity
    {
        $worst = null;
        foreach ($this->list as $finding) {
            if ($worst === null || $finding->severity->rank() > $worst->rank()) {
                $worst = $finding->severity;
            }
        }

        return $worst;
    }

    public function blocks(): bool
    {
        return $this->worst() === Severity::Stop;
    }

    public function gravestFirst(): self
    {
        $sorted = $this->list;
        usort($sorted, fn (Finding $a, Finding $b): int => $b->severity->rank() <=> $a->severity->rank());

        return new self($sorted);
    }

    /** Those that point at a form field of that name. */
    public function forField(string $field): self
    {
        return new self(
            array_values(array_filter($this->list, fn (Finding $f): bool => $f->place?->field === $field)),
        );
    }

    /** @return list<string> */
    public function codes(): array
    {
        return array_map(fn (Finding $f): string => $f->code, $this->list);
    }

    public function isEmpty(): bool
    {
        return $this->list === [];
    }

    public function count(): int
    {
        return count($this->list);
    }

    /** @return ArrayIterator<int, Finding> */
    public function getIterator(): ArrayIterator
    {
        return new ArrayIterator($this->list);
    }

    /** @return list<Finding> */
    public function jsonSerialize(): array
    {
        return $this->list;
    }
}
