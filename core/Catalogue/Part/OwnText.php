<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Part;

/**
 * An image's own settings file: its name, and its lines with {{host}}, {{ssid}}, {{key}}, {{country}} and {{zone}}
 * where values go.
 */
final readonly class OwnText
{
    /** @param  non-empty-list<string>  $lines */
    public function __construct(public string $file, public array $lines)
    {
    }
}
