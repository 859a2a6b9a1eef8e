<?php

declare(strict_types=1);

namespace Bench\Programs;

/** What a program printed, and how it ended. */
final readonly class Said
{
    private function __construct(public string $out, public string $errors, public int $exit)
    {
    }

    public static function ok(string $out = ''): self
    {
        return new self($out, '', 0);
    }

    public static function failed(string $errors = '', int $exit = 1, string $out = ''): self
    {
        return new self($out, $errors, $exit);
    }

    /** Went well, with words beside its output. */
    public static function noting(string $errors, string $out = ''): self
    {
        return new self($out, $errors, 0);
    }

    /** As it stands on the terminal. */
    public function shown(): string
    {
        return implode(
            "\n",
            array_filter(
                [rtrim($this->errors, "\n"), rtrim($this->out, "\n")],
                fn (string $one): bool => $one !== '',
            ),
        );
    }
}
