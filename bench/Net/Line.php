<?php

declare(strict_types=1);

namespace Bench\Net;

/**
 * The house's line to the world: what kind it is, which address it has, what the router lets in by it, and where the
 * house's name leads. A phone outside tries from there.
 */
final class Line
{
    /** Addresses by kind: for documentation (RFC 5737), behind another router (RFC 1918), of a carrier (RFC 6598). */
    private const ADDRESSES = [
        'fixed' => '203.0.113.27',
        'changing' => '203.0.113.27',
        'behind' => '192.168.0.2',
        'carrier' => '100.64.7.9',
    ];

    private string $kind = 'changing';

    private string $address = self::ADDRESSES['changing'];

    private string $name = '';

    /** Where the name leads, as the world's resolvers have it. */
    private string $named = '';

    /** @var array<string, array{address: string, port: int}> by "51944 udp" */
    private array $openings = [];

    /** @param  array<string, mixed>  $state */
    public static function from(array $state): self
    {
        $line = new self();
        $text = fn (string $key, string $else): string => is_string($state[$key] ?? null)
            ? $state[$key]
            : $else;
        $line->become($text('kind', 'changing'));
        $line->address = $text('address', $line->address);
        $line->name = strtolower($text('name', ''));
        $line->named = $text('named', $line->address);
        foreach (is_array($state['openings'] ?? null) ? $state['openings'] : [] as $key => $to) {
            [$port, $protocol] = [...explode(' ', (string) $key), ''];
            if (is_array($to) && is_string($to['address'] ?? null) && is_int($to['port'] ?? null)) {
                $line->open((int) $port, $protocol, $to['address'], $to['port']);
            }
        }

        return $line;
    }

    /** @return list<string> */
    public static function kinds(): array
    {
        return array_keys(self::ADDRESSES);
    }

    public function become(string $kind): void
    {
        if (isset(self::ADDRESSES[$kind])) {
            $this->kind = $kind;
            $this->address = self::ADDRESSES[$kind];
        }
    }

    /** The line was away for a moment; one that changes has another address, and the name follows where it is kept. */
    public function redial(bool $nameFollows): void
    {
        if ($this->kind === 'changing') {
            $last = (int) substr((string) strrchr($this->address, '.'), 1);
            $this->address = '203.0.113.'.(($last % 250) + 1);
        }
        $this->named = $nameFollows ? $this->address : $this->named;
    }

    public function open(int $port, string $protocol, string $address, int $inside): void
    {
        if ($port >= 1 && $port <= 65535 && in_array($protocol, ['tcp', 'udp'], true)) {
            $this->openings["{$port} {$protocol}"] = ['address' => $address, 'port' => $inside];
        }
    }

    public function shut(int $port, string $protocol): void
    {
        unset($this->openings["{$port} {$protocol}"]);
    }

    /**
     * Where a packet from outside comes out; null where nothing lets it in, or another router or carrier stands before.
     *
     * @return ?array{address: string, port: int}
     */
    public function leadsTo(int $port, string $protocol): ?array
    {
        return in_array($this->kind, ['behind', 'carrier'], true)
            ? null
            : $this->openings["{$port} {$protocol}"] ?? null;
    }

    /** @return array<string, string> the house's name with where it leads, for the resolvers of the house */
    public function names(): array
    {
        return $this->name === '' ? [] : [$this->name => $this->named];
    }

    /** @return array<string, mixed> */
    public function state(): array
    {
        return [
            'kind' => $this->kind,
            'address' => $this->address,
            'name' => $this->name,
            'named' => $this->named,
            'openings' => $this->openings,
        ];
    }
}
