<?php

declare(strict_types=1);

namespace Burrow\Filter;

use InvalidArgumentException;

/** Names that are refused with all below them, as dnsmasq(8) takes them: a domain that is local and has no names. */
final readonly class DnsmasqList
{
    /** @param  list<string>  $names */
    private function __construct(private array $names)
    {
    }

    /**
     * @param  string  $text  names, one a line
     *
     * @throws InvalidArgumentException for a name that cannot be looked up
     */
    public static function of(string $text): self
    {
        $names = [];
        foreach (explode("\n", strtolower($text)) as $line) {
            $name = rtrim(trim($line), '.');
            if (
                preg_match(
                    '/^(?=.{1,253}$)[a-z0-9_](?:[a-z0-9_-]{0,61}[a-z0-9])?(?:\.[a-z0-9](?:[a-z0-9-]{0,61}[a-z0-9])?)*$/D',
                    $name,
                ) !== 1
            ) {
                throw new InvalidArgumentException("Not a name: {$name}.");
            }
            $names[$name] = $name;
        }

        return new self(array_values($names));
    }

    public function __toString(): string
    {
        return implode("\n", array_map(fn (string $name): string => "local=/{$name}/", $this->names));
    }
}
