<?php

declare(strict_types=1);

namespace Burrow\Intake\Firewall;

use Burrow\Net\Protocol;
use Burrow\Net\RegisteredNames;

/** A rule while its words are read; where ports or sources are several, the rule is told once for each pair. */
final class RuleParts
{
    /** More rules of one line are not told apart. */
    private const MOST = 2000;

    public ?string $action = null;

    public ?string $protocol = null;

    /** @var list<array{int, ?int}> */
    public array $ports = [];

    /** @var list<string> */
    public array $sources = [];

    public ?string $to = null;

    public ?string $interface = null;

    public ?string $state = null;

    /** It asks more of a packet than its parts tell. */
    public bool $more = false;

    /** @var list<array{int, ?int, string}> port, last port, action: of a map from ports to what is done */
    public array $perPort = [];

    /** @var array<string, string> state of the connection => action */
    public array $perState = [];

    /** "22", "ssh", "8000-8010", "8000:8010"; false when it is none of these. */
    public function addPort(string $said): bool
    {
        $range = self::port($this->protocol, $said);
        if ($range === null) {
            return false;
        }
        $this->ports[] = $range;

        return true;
    }

    /** @return array{int, ?int}|null */
    public static function port(?string $protocol, string $said): ?array
    {
        $known = Protocol::tryFrom($protocol ?? '') ?? Protocol::Tcp;
        $ends = preg_match('/^\d+[-:]\d+$/D', $said) === 1 ? (preg_split('/[-:]/', $said) ?: []) : [$said];
        $from = $said === '0' ? null : RegisteredNames::port($known, $ends[0]);
        $to = isset($ends[1]) ? RegisteredNames::port($known, $ends[1]) : null;

        return $from === null || (isset($ends[1]) && $to === null) ? null : [$from->number, $to?->number];
    }

    /** Nothing is known that the rule does. */
    public function isIdle(): bool
    {
        return $this->action === null && $this->perPort === [] && $this->perState === [];
    }

    /** @return list<FirewallRule> */
    public function rules(
        string $chain,
        ?string $policy,
        ?string $family,
        ?string $table,
        ?string $hook = null,
    ): array {
        if ($this->isIdle()) {
            return [];
        }
        $rules = [];
        foreach ($this->perState as $state => $action) {
            $rules[] = new FirewallRule(
                $chain,
                $policy,
                $action,
                $this->protocol,
                interface: $this->interface,
                state: $state,
                family: $family,
                table: $table,
                hook: $hook,
                more: $this->more,
            );
        }
        if ($rules !== []) {
            return $rules;
        }
        $ports =
            $this->perPort !== []
                ? $this->perPort
                : array_map(
                    fn (array $port): array => [...$port, (string) $this->action],
                    $this->ports ?: [[null, null]],
                );
        foreach ($ports as [$port, $to, $action]) {
            foreach ($this->sources ?: [null] as $source) {
                if (count($rules) >= self::MOST) {
                    return $rules;
                }
                $rules[] = new FirewallRule(
                    $chain,
                    $policy,
                    $action,
                    $this->protocol,
                    $port,
                    $to,
                    $source,
                    $this->to,
                    $this->interface,
                    $this->state,
                    $family,
                    $table,
                    $hook,
                    $this->more,
                );
            }
        }

        return $rules;
    }
}
