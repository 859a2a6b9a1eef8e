<?php

declare(strict_types=1);

namespace Burrow\Files;

use Burrow\Judgement\Findings;
use JsonSerializable;

/** A file as it is to lie on the box, or what stands against it. */
final readonly class WrittenFile implements JsonSerializable
{
    /** @param  ?string  $text  null when something stops it: a file is whole or not at all */
    public function __construct(public string $kind, public ?string $text, public Findings $findings)
    {
    }

    /** @return array{kind: string, text: ?string, findings: Findings} */
    public function jsonSerialize(): array
    {
        return ['kind' => $this->kind, 'text' => $this->text, 'findings' => $this->findings];
    }
}
