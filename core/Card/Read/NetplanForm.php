<?php

declare(strict_types=1);

namespace Burrow\Card\Read;

use Burrow\Net\Ipv4;
use Burrow\Text\KnownWords;
use Burrow\Text\TextBudget;
use Closure;

/**
 * The form of network-config version 2 as netplan reads it: which keys stand where, and what each takes. One key that
 * it does
 * not know, or one value of another form, and netplan refuses the whole file (netplan.io 0.106, parse.c and
 * validation.c).
 */
final class NetplanForm
{
    private const SECTIONS = ['ethernets', 'wifis', 'bridges', 'bonds', 'vlans'];

    /** Sections whose links may be named by others, and whose own form is not looked into. */
    private const OTHER_SECTIONS = [
        'tunnels',
        'vrfs',
        'modems',
        'nm-devices',
        'dummy-devices',
        'virtual-ethernets',
    ];

    /** What later releases know as well; a card for one of them is right. */
    private const LATER = ['dummy-devices', 'virtual-ethernets', 'ra-overrides'];

    private const FAULTS = 20;

    private const BOOLEANS = ['true', 'on', 'yes', 'y', 'false', 'off', 'no', 'n'];

    /** @var list<NetplanFault> */
    private array $faults = [];

    /** @var array<string, string> link => the bridge or bond that has it */
    private array $memberOf = [];

    /**
     * @param  list<string>  $links  the names of all links in the file
     * @param  Closure(list<int|string>): string  $raw
     */
    private function __construct(private readonly array $links, private readonly Closure $raw)
    {
    }

    /**
     * @param  array<mixed>  $network  what stands under “network:”, or the file itself where that word is left out
     * @param  list<string>  $root  the path to it
     * @param  Closure(list<int|string>): string  $raw  a value as it is written, for an empty list and an empty map
     *         are one to PHP
     * @return list<NetplanFault> the first few, in the order of the file
     */
    public static function faults(array $network, array $root, Closure $raw): array
    {
        $links = [];
        foreach ([...self::SECTIONS, ...self::OTHER_SECTIONS] as $section) {
            $links = [
                ...$links,
                ...array_map(
                    strval(...),
                    array_keys(is_array($network[$section] ?? null) ? $network[$section] : []),
                ),
            ];
        }
        $form = new self($links, $raw);
        foreach ($network as $key => $value) {
            $form->section($key, $value, [...$root, (string) $key]);
        }

        return array_slice($form->faults, 0, self::FAULTS);
    }

    /** @param  list<int|string>  $path */
    private function section(int|string $key, mixed $value, array $path): void
    {
        if ($key === 'version' || in_array($key, self::LATER, true)) {
            return;
        }
        if ($key === 'renderer') {
            $this->value($value, NetplanShapes::LINK['renderer'], $path);

            return;
        }
        if ($key === 'openvswitch' || in_array($key, self::OTHER_SECTIONS, true)) {
            $this->value($value, 'mapping', $path);

            return;
        }
        if (! in_array($key, self::SECTIONS, true)) {
            $this->unknown(
                (string) $key,
                ['version', 'renderer', 'openvswitch', ...self::SECTIONS, ...self::OTHER_SECTIONS],
                $path,
            );

            return;
        }
        if (is_array($value) && is_string($value['renderer'] ?? null)) {
            $this->value($value['renderer'], NetplanShapes::LINK['renderer'], [...$path, 'renderer']);
            unset($value['renderer']);
        }
        $this->value($value, ['each' => ['map' => [...NetplanShapes::KINDS[$key], ...NetplanShapes::LINK]]], $path);
        foreach (is_array($value) ? array_slice($value, 0, TextBudget::ITEMS, true) : [] as $name => $link) {
            $this->whole($key, is_array($link) ? $link : [], [...$path, (string) $name]);
        }
    }

    /**
     * What a link needs as a whole.
     *
     * @param  array<mixed>  $link
     * @param  list<int|string>  $path
     */
    private function whole(string $section, array $link, array $path): void
    {
        foreach ($section === 'vlans' ? array_diff(['id', 'link'], array_keys($link)) : [] as $missing) {
            $this->fault(
                $path,
                "The link “{$this->name($path)}” has no “{$missing}:”.",
                "Add “{$missing}:”; a VLAN is a number on another link.",
            );
        }
        if (isset($link['set-name']) && ! array_key_exists('match', $link)) {
            $this->fault(
                [...$path, 'set-name'],
                '“set-name:” has no “match:” beside it.',
                'Say with “match:” which device gets the name.',
            );
        }
        foreach (self::few($link['routing-policy'] ?? null) as $number => $rule) {
            if (is_array($rule) && ! isset($rule['from']) && ! isset($rule['to'])) {
                $this->fault(
                    [...$path, 'routing-policy', $number],
                    'This rule says neither “from:” nor “to:”.',
                    'Say for which addresses the table is meant.',
                );
            }
        }
        if (in_array($section, ['bridges', 'bonds'], true) && is_array($link['interfaces'] ?? null)) {
            $this->members($link['interfaces'], $path);
        }
        foreach (self::few($link['routes'] ?? null) as $number => $route) {
            if (! is_array($route)) {
                continue;
            }
            $at = [...$path, 'routes', $number];
            // Without “via:” a route is one of the link itself, unless it says that it is global.
            $needsVia = ($route['type'] ?? 'unicast') === 'unicast' && ($route['scope'] ?? null) === 'global';
            if (! isset($route['to']) || ($needsVia && ! isset($route['via']))) {
                $this->fault(
                    $at,
                    'This route does not say both “to:” and “via:”.',
                    'Say where it leads and over which router: “to: default” and “via: 172.22.8.1”.',
                );
            } elseif (
                is_string($route['to']) &&
                $route['to'] !== 'default' &&
                is_string($route['via'] ?? null) &&
                str_contains($route['to'], ':') !== str_contains($route['via'], ':')
            ) {
                $this->fault(
                    [...$at, 'via'],
                    'The route and its router are of two kinds of address.',
                    'Give both as IPv4 or both as IPv6.',
                );
            }
        }
    }

    /**
     * A link goes into one bridge or bond.
     *
     * @param  array<mixed>  $members
     * @param  list<int|string>  $path
     */
    private function members(array $members, array $path): void
    {
        foreach (array_slice($members, 0, TextBudget::ITEMS, true) as $number => $member) {
            $into = is_scalar($member) ? $this->memberOf[(string) $member] ?? null : null;
            if ($into !== null) {
                $this->fault(
                    [...$path, 'interfaces', $number],
                    self::shown($member)." is in “{$into}” already.",
                    'A link goes into one bridge or bond.',
                );
            } elseif (is_scalar($member)) {
                $this->memberOf[(string) $member] = $this->name($path);
            }
        }
    }

    /**
     * @param  string|array<string, mixed>  $shape
     * @param  list<int|string>  $path
     */
    private function value(mixed $value, string|array $shape, array $path): void
    {
        if (count($this->faults) >= self::FAULTS) {
            return;
        }
        $name = $this->name($path);
        if (is_string($shape)) {
            $this->single($value, $shape, $path);
        } elseif (isset($shape['one'])) {
            /** @var list<string> $words */
            $words = $shape['one'];
            if (! is_scalar($value) || ! in_array((string) $value, $words, true)) {
                $this->fault(
                    $path,
                    "“{$name}” does not take ".self::shown($value).'.',
                    'It takes '.implode(', ', $words).'.',
                );
            }
        } elseif (isset($shape['list'])) {
            if (! is_array($value) || ! array_is_list($value) || ($value === [] && $this->written($path, '{'))) {
                $this->fault(
                    $path,
                    "“{$name}:” wants a list.",
                    'Put each value on a line of its own with a dash before it, or all in square brackets.',
                );

                return;
            }
            /** @var array<string, mixed>|string $below */
            $below = $shape['list'];
            foreach (array_slice($value, 0, TextBudget::ITEMS) as $number => $one) {
                $this->value($one, $below, [...$path, $number]);
            }
        } elseif (! is_array($value) || ($value === [] ? $this->written($path, '[') : array_is_list($value))) {
            $this->fault(
                $path,
                "“{$name}:” wants names with values below it.",
                'Indent what belongs to it further than the name itself; “{}” says that there is nothing.',
            );
        } else {
            /** @var array<array<string, mixed>|string> $map */
            $map = $shape['map'] ?? [];
            /** @var array<string, mixed>|string|null $each */
            $each = $shape['each'] ?? null;
            foreach (array_slice($value, 0, TextBudget::ITEMS, true) as $key => $one) {
                $below = $each ?? ($map[$key] ?? null);
                if ($below !== null) {
                    $this->value($one, $below, [...$path, (string) $key]);
                } elseif (! in_array($key, self::LATER, true)) {
                    $this->unknown((string) $key, array_map(strval(...), array_keys($map)), [
                        ...$path,
                        (string) $key,
                    ]);
                }
            }
        }
    }

    /** @param  list<int|string>  $path */
    private function single(mixed $value, string $kind, array $path): void
    {
        $name = $this->name($path);
        if ($kind === 'mapping') {
            $this->value($value, ['each' => 'anything'], $path);

            return;
        }
        if ($kind === 'anything' || ($kind === 'text-or-list' && (! is_array($value) || array_is_list($value)))) {
            return;
        }
        if ($kind === 'own-address') {
            $this->ownAddress($value, $path);

            return;
        }
        if (is_array($value)) {
            $this->fault(
                $path,
                "“{$name}:” wants one value, and something else stands below it.",
                'Look at the indentation of the lines below, or write the value behind the colon.',
            );

            return;
        }
        $text = is_bool($value) ? ($value ? 'true' : 'false') : (is_scalar($value) ? (string) $value : '');
        [$fits, $wanted] = match ($kind) {
            'bool' => [in_array(strtolower($text), self::BOOLEANS, true), 'true or false'],
            'int' => [
                $text === ''
                    ? ! $this->written($path, 'n') && ! $this->written($path, '~')
                    : preg_match('/^\s*\+?\d+$/D', $text) === 1,
                'a whole number',
            ],
            'mac' => [
                preg_match('/^[0-9a-f]{2}(?::[0-9a-f]{2}){5}(?:(?::[0-9a-f]{2}){14})?$/Di', $text) === 1,
                'a hardware address such as 02:4b:1e:77:00:0a, in quotes',
            ],
            'ipv4' => [Ipv4::tryParse($text) !== null, 'an IPv4 address'],
            'ipv6' => [self::isIpv6($text), 'an IPv6 address'],
            'ip' => [Ipv4::tryParse($text) !== null || self::isIpv6($text), 'an address'],
            'network' => [self::isNetwork($text), 'an address, with or without a prefix length'],
            'target' => [
                $text === 'default' || self::isNetwork($text),
                '“default” or a prefix such as 172.22.9.0/24',
            ],
            'link' => [in_array($text, $this->links, true), 'the name of a link that this file sets up too'],
            default => [true, 'text'],
        };
        if (! $fits) {
            $this->fault($path, "“{$name}” does not take ".self::shown($value).'.', "It takes {$wanted}.");
        }
    }

    /**
     * An address with its prefix length, or one such with its settings below it.
     *
     * @param  list<int|string>  $path
     */
    private function ownAddress(mixed $value, array $path): void
    {
        if (is_array($value) && count($value) === 1 && ! array_is_list($value)) {
            $below = ['map' => ['lifetime' => ['one' => ['forever', '0']], 'label' => 'text']];
            $this->value(current($value), $below, [...$path, (string) key($value)]);
            $value = (string) key($value);
        }
        [$host, $length] = [...explode('/', is_string($value) ? $value : '', 2), ''];
        $most = match (true) {
            Ipv4::tryParse($host) !== null => 32,
            self::isIpv6($host) => 128,
            default => 0,
        };
        if (preg_match('/^\d{1,3}$/D', $length) !== 1 || (int) $length < 1 || (int) $length > $most) {
            $this->fault(
                $path,
                self::shown($value).' is no address with its prefix length.',
                'Such as 172.22.8.20/24.',
            );
        }
    }

    /**
     * @param  list<string>  $known
     * @param  list<int|string>  $path
     */
    private function unknown(string $key, array $known, array $path): void
    {
        $meant = KnownWords::of(implode(' ', $known))->nearest($key);
        $homes = array_keys(array_filter(NetplanShapes::KINDS, fn (array $kind): bool => isset($kind[$key])));
        $do = match (true) {
            $meant !== null => "Was “{$meant}:” meant?",
            $homes !== [] => 'It belongs to a link under “'.implode(':” or “', $homes).':”.',
            isset(NetplanShapes::LINK[$key]) => 'It belongs to a link itself; look at how far the line is indented.',
            in_array($key, self::SECTIONS, true) => 'It belongs beside “version:”; look at how far the line is indented.',
            default => 'Take it out; known here: '.
                implode(', ', array_slice($known, 0, 8)).
                (count($known) > 8 ? ' …' : '').
                '.',
        };
        $this->fault($path, 'netplan knows no “'.mb_strimwidth($key, 0, 40, '…').':” in this place.', $do);
    }

    /** @param  list<int|string>  $path */
    private function written(array $path, string $beginning): bool
    {
        return str_starts_with(strtolower(($this->raw)($path)), $beginning);
    }

    /** @param  list<int|string>  $path */
    private function fault(array $path, string $found, string $do): void
    {
        $this->faults[] = new NetplanFault($path, $found, $do);
    }

    /** @param  list<int|string>  $path */
    private function name(array $path): string
    {
        return mb_strimwidth((string) current(array_reverse(array_filter($path, is_string(...)))), 0, 40, '…');
    }

    private static function isIpv6(string $text): bool
    {
        return filter_var($text, FILTER_VALIDATE_IP, FILTER_FLAG_IPV6) !== false;
    }

    private static function isNetwork(string $text): bool
    {
        $host = explode('/', $text)[0];

        return Ipv4::tryParse($host) !== null || self::isIpv6($host);
    }

    private static function shown(mixed $value): string
    {
        return match (true) {
            is_array($value) => 'what stands below it',
            $value === null, $value === '' => 'an empty value',
            is_bool($value) => $value ? '“true”' : '“false”',
            default => '“'.mb_strimwidth(is_scalar($value) ? (string) $value : '', 0, 40, '…').'”',
        };
    }

    /** @return array<mixed> as many items of a list as are looked at */
    private static function few(mixed $list): array
    {
        return is_array($list) ? array_slice($list, 0, TextBudget::ITEMS, true) : [];
    }
}
