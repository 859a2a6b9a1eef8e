<?php

declare(strict_types=1);

namespace Burrow\Judgement;

use JsonSerializable;

/**
 * A judgement: what was found, why it matters and what to do.
 *
 * The code is stable, `stage.what`, and stands in docs/formulas/, by stage, with the source of the rule.
 */
final readonly class Finding implements JsonSerializable
{
    private function __construct(
        public Severity $severity,
        public string $code,
        public string $found,
        public string $why,
        public string $do,
        public ?Place $place,
    ) {
    }

    public static function fine(
        string $code,
        string $found,
        string $why = '',
        string $do = '',
        ?Place $place = null,
    ): self {
        return new self(Severity::Fine, $code, $found, $why, $do, $place);
    }

    public static function note(
        string $code,
        string $found,
        string $why = '',
        string $do = '',
        ?Place $place = null,
    ): self {
        return new self(Severity::Note, $code, $found, $why, $do, $place);
    }

    public static function warn(string $code, string $found, string $why, string $do, ?Place $place = null): self
    {
        return new self(Severity::Warn, $code, $found, $why, $do, $place);
    }

    public static function stop(string $code, string $found, string $why, string $do, ?Place $place = null): self
    {
        return new self(Severity::Stop, $code, $found, $why, $do, $place);
    }

    public function at(Place $place): self
    {
        return new self($this->severity, $this->code, $this->found, $this->why, $this->do, $place);
    }

    /**
     * As it was when it was made into JSON: what a form says after it was sent.
     *
     * @param  array<mixed>  $kept
     */
    public static function kept(array $kept): self
    {
        $text = fn (string $key): string => is_string($kept[$key] ?? null) ? $kept[$key] : '';

        return new self(
            Severity::tryFrom($text('severity')) ?? Severity::Note,
            $text('code'),
            $text('found'),
            $text('why'),
            $text('do'),
            $text('field') === '' ? null : Place::field($text('field')),
        );
    }

    /** The same, said of one thing among several. */
    public function about(string $what): self
    {
        return new self(
            $this->severity,
            $this->code,
            ucfirst($what).': '.$this->found,
            $this->why,
            $this->do,
            $this->place,
        );
    }

    /** Why and what to do, as one running text. */
    public function advice(): string
    {
        return trim($this->why.' '.$this->do);
    }

    /** @return array<string, string|int|null> */
    public function jsonSerialize(): array
    {
        return [
            'severity' => $this->severity->value,
            'code' => $this->code,
            'found' => $this->found,
            'why' => $this->why,
            'do' => $this->do,
            'file' => $this->place?->file,
            'line' => $this->place?->line,
            'column' => $this->place?->column,
            'field' => $this->place?->field,
        ];
    }
}
