<?php

declare(strict_types=1);

namespace Burrow\Card\Rule;

use Burrow\Card\CardContext;
use Burrow\Card\CardFolder;
use Burrow\Card\Read\KernelLine;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Net\Ipv4;
use Burrow\Net\Prefix;

/** `cmdline.txt`: one line; nothing doubled that contradicts itself; ip= as the kernel's nfsroot document has it. */
final class KernelLineRule implements CardRule
{
    private const FILE = 'cmdline.txt';

    /** Parameters that make sense once only. */
    private const ONCE = ['root', 'rootfstype', 'init', 'ip', 'systemd.hostname'];

    /** How the kernel may ask for an address by itself. */
    private const AUTOCONF = ['off', 'none', 'on', 'any', 'dhcp', 'bootp', 'rarp', 'both'];

    public function lint(CardFolder $folder, CardContext $context): Findings
    {
        if (! $folder->has(self::FILE)) {
            return Findings::of();
        }
        $lines = array_filter($folder->lines(self::FILE), fn (string $line): bool => trim($line) !== '');
        if (count($lines) > 1) {
            return Findings::of(
                FileRuleFindings::cmdlineLines($lines, Place::file(self::FILE, (int) array_key_last($lines) + 1)),
            );
        }
        $text = (string) reset($lines);
        $line = KernelLine::parse($text);

        return $this->doubled($line, $text)
            ->and($this->modules($line, $text))
            ->and($this->address($line, $text, $context))
            ->and($this->containers($line, $context));
    }

    private function doubled(KernelLine $line, string $text): Findings
    {
        $findings = Findings::of();
        foreach (self::ONCE as $name) {
            $values = $line->values($name);
            if (count($values) > 1) {
                $findings = $findings->and([
                    count(array_unique($values)) === 1
                        ? FileRuleFindings::cmdlineDoubled($name, $this->place($text, "{$name}=", true))
                        : FileRuleFindings::cmdlineContradicts($name, $values, $this->place($text, "{$name}=", true)),
                ]);
            }
        }

        return $findings;
    }

    private function modules(KernelLine $line, string $text): Findings
    {
        $at = array_key_first(
            array_filter(
                $line->parameters,
                fn (string $one): bool => preg_match('/^modules-load=.*\bdwc2\b/', $one) === 1,
            ),
        );
        $root = array_search('rootwait', $line->parameters, true);

        return $at === null || $root === $at - 1
            ? Findings::of()
            : Findings::of(FileRuleFindings::modulesPlace($this->place($text, 'modules-load=')));
    }

    private function address(KernelLine $line, string $text, CardContext $context): Findings
    {
        $value = $line->values('ip')[0] ?? null;
        if ($value === null || in_array($value, self::AUTOCONF, true)) {
            return Findings::of();
        }
        $place = $this->place($text, 'ip=');
        $fields = array_pad(explode(':', $value), 7, '');
        [$client, , $gateway, $mask, $host, , $auto] = $fields;
        $address = Ipv4::tryParse($client);
        $wrong = match (true) {
            substr_count($value, ':') < 3 => 'It has '.
                (substr_count($value, ':') + 1).
                ' fields; the netmask is the fourth.',
            substr_count($value, ':') > 9 => 'It has more fields than there are.',
            $client !== '' && $address === null => "“{$client}” is no address.",
            $gateway !== '' && Ipv4::tryParse($gateway) === null => "“{$gateway}” is no gateway address.",
            $mask !== '' && ! self::isMask($mask) => "“{$mask}” is no netmask.",
            $auto !== '' && ! in_array($auto, self::AUTOCONF, true) => "“{$auto}” is no way of asking for an address.",
            str_contains($host, '.') => "The host name “{$host}” holds a dot.",
            default => null,
        };
        if ($wrong !== null) {
            return Findings::of(NetworkRuleFindings::ipForm($wrong, $place));
        }
        if ($address === null) {
            return Findings::of();
        }
        $length = $mask === '' ? null : 32 - (int) log((0xFFFFFFFF ^ Ipv4::parse($mask)->number) + 1, 2);
        $prefix =
            $length === null
                ? null
                : Prefix::tryParse(
                    long2ip($address->number & ((0xFFFFFFFF << (32 - $length)) & 0xFFFFFFFF))."/{$length}",
                );

        return (new AddressJudge($context))->judge(
            $address,
            $gateway === '' ? null : Ipv4::parse($gateway),
            $prefix,
            $place,
        );
    }

    private function containers(KernelLine $line, CardContext $context): Findings
    {
        return $context->containers &&
            ! in_array(
                'memory',
                array_merge(
                    ...array_map(fn (string $value): array => explode(',', $value), $line->values('cgroup_enable')),
                ),
                true,
            ) &&
            ! in_array('cgroup_memory=1', $line->parameters, true)
            ? Findings::of(FileRuleFindings::cgroupMissing(Place::file(self::FILE, 1)))
            : Findings::of();
    }

    private static function isMask(string $text): bool
    {
        $mask = Ipv4::tryParse($text);
        $holes = $mask === null ? 1 : 0xFFFFFFFF ^ $mask->number;

        return $mask !== null && ($holes & ($holes + 1)) === 0;
    }

    private function place(string $text, string $what, bool $last = false): Place
    {
        $at = $last ? strrpos(' '.$text, ' '.$what) : strpos(' '.$text, ' '.$what);

        return Place::file(self::FILE, 1, 1 + (int) $at);
    }
}
