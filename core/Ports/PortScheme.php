<?php

declare(strict_types=1);

namespace Burrow\Ports;

use Burrow\Judgement\Findings;
use Burrow\Net\Port;

/** The household's own scheme for ports of pages: one number a page in the whole house, from 8081 upward. */
final readonly class PortScheme
{
    private const FIRST = 8081;

    /** Below it only the system's own services may listen. */
    private const SYSTEM = 1024;

    /** @param  array<int, string>  $taken  number => whose it is: "larder, file share" */
    public function __construct(private array $taken)
    {
    }

    /** @param  array<int, string>  $more */
    public function with(array $more): self
    {
        return new self($this->taken + $more);
    }

    /** The usual number of a page where nobody has it, else the next one that nobody has. */
    public function propose(?Port $usual = null): Port
    {
        if ($usual !== null && ! isset($this->taken[$usual->number])) {
            return $usual;
        }
        for ($number = self::FIRST; isset($this->taken[$number]); $number++);

        return Port::of($number);
    }

    /** What speaks against a number that was typed. */
    public function check(string $typed, string $field): Findings
    {
        $port = preg_match('/^[0-9]{1,5}$/D', trim($typed)) === 1 ? Port::tryOf((int) $typed) : null;
        $instead = $this->propose();

        return match (true) {
            $port === null || $port->number < self::SYSTEM => Findings::of(
                PortFindings::notForAPage($typed, $instead, $field),
            ),
            isset($this->taken[$port->number]) => Findings::of(
                PortFindings::another($port, $this->taken[$port->number], $instead, $field),
            ),
            default => Findings::of(),
        };
    }

    /** Why the number is a good one, in a sentence. */
    public function because(Port $port): string
    {
        $before = $port->number - 1;

        return match (true) {
            $port->number === self::FIRST => 'the first of the range from '.
                self::FIRST.
                ' that this house gives to pages',
            isset($this->taken[$before]) => "the next after {$before} ({$this->taken[$before]}); nobody here has it",
            default => 'nobody here has it, and it lies below the ports that go to outgoing connections',
        };
    }

    /**
     * What is meant by a number that is typed with a digit too many: those that come of it when one is left out, that
     * are ports, the ones that somebody here has first.
     *
     * @return list<int>
     */
    public function meant(string $typed): array
    {
        $meant = [];
        for ($i = 0, $length = strlen($typed); $i < $length; $i++) {
            $number = (int) (substr($typed, 0, $i).substr($typed, $i + 1));
            Port::tryOf($number) === null || ($meant[$number] = isset($this->taken[$number]) ? 0 : 1);
        }
        asort($meant);

        return array_slice(array_keys($meant), 0, 3);
    }
}
