<?php

declare(strict_types=1);

namespace Burrow\Ports\Filter;

use Burrow\Intake\Firewall\FirewallRule;
use Burrow\Net\Ipv4;
use Burrow\Net\Prefix;
use Burrow\Net\Protocol;

/**
 * The way of a new IPv4 connection to a box through the rules of its packet filter, as the kernel goes it (nft(8),
 * iptables(8)): every chain at the hook "input" is asked, one that drops is enough, and one that accepts ends only
 * itself.
 */
final readonly class FilterWalk
{
    /** Chains that jump into each other without an end are left after so many steps. */
    private const DEEPEST = 16;

    /** Where traffic of a tunnel or of containers comes in; a machine of the house does not. */
    private const NOT_THE_HOUSE = '/^(?:lo|wg|tun|tap|veth|br-|virbr|podman|cni)/';

    private const ENDS = [
        'accept' => Verdict::LetsIn,
        'limit' => Verdict::LetsIn,
        'drop' => Verdict::KeepsOut,
        'reject' => Verdict::KeepsOut,
    ];

    /**
     * @param  array<string, non-empty-list<FirewallRule>>  $chains  by "family table name"
     */
    private function __construct(private array $chains)
    {
    }

    /** @param  list<FirewallRule>  $rules */
    public static function of(array $rules): self
    {
        $chains = [];
        foreach ($rules as $rule) {
            if (in_array($rule->family, [null, 'ip', 'inet'], true)) {
                $chains["{$rule->family} {$rule->table} {$rule->chain}"][] = $rule;
            }
        }

        return new self($chains);
    }

    /** @param  ?Ipv4  $box  its own address; null where that is not known */
    public function verdict(Protocol $protocol, int $port, Ipv4 $source, ?Ipv4 $box = null): Verdict
    {
        $all = Verdict::LetsIn;
        foreach ($this->chains as $name => $rules) {
            if ($rules[0]->hook !== 'input' || in_array($rules[0]->table, ['nat', 'mangle', 'raw'], true)) {
                continue;
            }
            $policy = self::ENDS[$rules[0]->policy ?? 'accept'] ?? Verdict::NotSure;
            $own = $this->walk($name, [$protocol, $port, $source, $box], 0) ?? $policy;
            if ($own === Verdict::KeepsOut) {
                return $own;
            }
            $all = $own === Verdict::NotSure ? $own : $all;
        }

        return $all;
    }

    /**
     * @param  array{Protocol, int, Ipv4, ?Ipv4}  $packet
     * @return ?Verdict  null when it comes out at the end of the chain
     */
    private function walk(string $chain, array $packet, int $depth): ?Verdict
    {
        $doubt = null;
        foreach ($depth > self::DEEPEST ? [] : $this->chains[$chain] ?? [] as $rule) {
            $meets = self::meets($rule, $packet);
            if ($meets === false) {
                continue;
            }
            [$word, $target] = [...explode(' ', $rule->action, 2), ''];
            $does =
                $word === 'jump' || $word === 'goto'
                    ? $this->walk(self::beside($chain, $target), $packet, $depth + 1)
                    : self::ENDS[$word] ?? null;
            if ($word === 'return' && $meets === true) {
                break;
            }
            // What was gone to does not come back.
            if ($word === 'goto' && $meets === true && $does === null) {
                break;
            }
            if ($does === Verdict::NotSure || ($does !== null && $meets === null)) {
                $doubt ??= $does;
                // Whatever comes of it, what follows may say the same.
                $doubt = $doubt === $does ? $does : Verdict::NotSure;
            } elseif ($does !== null) {
                return $doubt === null || $doubt === $does ? $does : Verdict::NotSure;
            }
        }

        // It may have been decided about before the end; the policy of its chain decides otherwise.
        return $doubt === null ? null : Verdict::NotSure;
    }

    /** Chains are jumped to within their table. */
    private static function beside(string $chain, string $target): string
    {
        return substr($chain, 0, (int) strrpos($chain, ' ') + 1).$target;
    }

    /**
     * @param  array{Protocol, int, Ipv4, ?Ipv4}  $packet
     * @return ?bool  null when it cannot be known
     */
    private static function meets(FirewallRule $rule, array $packet): ?bool
    {
        [$protocol, $port, $source, $box] = $packet;
        $negated = ltrim($rule->interface ?? '', '!') !== ($rule->interface ?? '');
        $interface = $rule->interface === null ? true : self::isOfTheHouse($rule->interface, $negated);
        $sure =
            ($rule->protocol === null || $rule->protocol === $protocol->value) &&
            ($rule->port === null || ($port >= $rule->port && $port <= ($rule->portTo ?? $rule->port))) &&
            ($rule->state === null || in_array('new', explode(',', $rule->state), true)) &&
            $interface !== false;
        $from = $rule->source === null ? true : self::covers($rule->source, $source);
        // A rule for another address of the box; one that is named by a profile's name may be for any port.
        $to = $rule->to === null ? true : ($box === null ? null : self::covers($rule->to, $box));
        if (! $sure || $from === false || $to === false) {
            return false;
        }

        return $rule->more || in_array(null, [$interface, $from, $to], true) ? null : true;
    }

    private static function isOfTheHouse(string $interfaces, bool $negated): ?bool
    {
        $names = explode(', ', ltrim($interfaces, '!'));
        $strange = array_filter(
            $names,
            fn (string $name): bool => preg_match(self::NOT_THE_HOUSE, $name) === 1,
        );
        if (count($strange) === count($names)) {
            return $negated;
        }

        // A network card of the box, which may or may not be the one that leads to the house.
        return $strange === [] && ! $negated ? true : null;
    }

    private static function covers(string $said, Ipv4 $source): ?bool
    {
        $negated = $said !== '' && $said[0] === '!';
        $said = ltrim($said, '!');
        if (preg_match('/^(\S+)-(\S+)$/D', $said, $m) === 1) {
            [$first, $last] = [Ipv4::tryParse($m[1]), Ipv4::tryParse($m[2])];
            $in =
                $first === null || $last === null
                    ? null
                    : $source->number >= $first->number && $source->number <= $last->number;
        } else {
            $one = Ipv4::tryParse($said);
            $in =
                $one === null
                    ? Prefix::tryParse($said)?->contains($source)
                    : (string) $one === (string) $source;
        }

        return $in === null ? null : $in !== $negated;
    }
}
