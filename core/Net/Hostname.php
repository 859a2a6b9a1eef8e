<?php

declare(strict_types=1);

namespace Burrow\Net;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use InvalidArgumentException;

/** A host name: one label of letters, digits and hyphens (RFC 952, RFC 1123 section 2.1), 1 to 63 characters. */
final readonly class Hostname
{
    /**
     * Names that mean something by themselves: in hosts files, in RFC 6761 and RFC 2606, on routers and in automatic
     * settings of browsers.
     */
    private const RESERVED = [
        'localhost',
        'localdomain',
        'broadcasthost',
        'loopback',
        'ip6-localhost',
        'ip6-loopback',
        'ip6-allnodes',
        'ip6-allrouters',
        'router',
        'gateway',
        'local',
        'lan',
        'home',
        'arpa',
        'internal',
        'invalid',
        'test',
        'example',
        'onion',
        'wpad',
        'isatap',
    ];

    private function __construct(public string $label)
    {
    }

    /** @throws InvalidArgumentException when the text breaks a rule of RFC 952/1123 */
    public static function parse(string $text): self
    {
        if (self::check($text)->blocks()) {
            throw new InvalidArgumentException("Not a host name: {$text}.");
        }

        return new self(strtolower($text));
    }

    /**
     * What is wrong with a typed name, rule by rule; empty when nothing is.
     *
     * @param  bool  $asMachine  false for a label of a domain, where “home” and “arpa” are in their place
     */
    public static function check(string $text, bool $asMachine = true): Findings
    {
        if ($text === '') {
            return Findings::of(
                Finding::stop(
                    'hostname.empty',
                    'There is no name yet.',
                    'The box announces itself by its name.',
                    'Choose one short word.',
                ),
            );
        }
        $findings = Findings::of();
        if (str_contains($text, '.')) {
            $findings = $findings->and([
                Finding::stop(
                    'hostname.dot',
                    "“{$text}” holds a dot.",
                    'The name is one label; the domain (.local or the network\'s own) is added by the network, and typed here it ends up doubled.',
                    'Type “'.strstr($text, '.', true).'” only.',
                ),
            ]);
        }
        if (preg_match('/[^A-Za-z0-9.-]/', $text) === 1) {
            $findings = $findings->and([
                Finding::stop(
                    'hostname.character',
                    "“{$text}” holds a character that host names cannot have.",
                    'Letters a to z, digits and hyphens are all there is (RFC 952): no spaces, underscores or accents.',
                    'Try “'.self::nearest($text).'”.',
                ),
            ]);
        }
        if (preg_match('/^-|-$/', $text) === 1) {
            $findings = $findings->and([
                Finding::stop(
                    'hostname.hyphen_edge',
                    "“{$text}” begins or ends with a hyphen.",
                    'RFC 952 wants a letter or digit there.',
                    'Take the hyphen away.',
                ),
            ]);
        }
        if (strlen($text) > 63) {
            $findings = $findings->and([
                Finding::stop(
                    'hostname.too_long',
                    'The name has '.strlen($text).' characters.',
                    'A label holds at most 63 (RFC 1035), and nobody types more than a dozen.',
                    'Shorten it.',
                ),
            ]);
        }
        if ($asMachine && in_array(strtolower($text), self::RESERVED, true)) {
            $findings = $findings->and([
                Finding::stop(
                    'hostname.reserved',
                    "“{$text}” is a name that every network uses for something else.",
                    'Programs take it for this machine itself, or for the router (RFC 6761, RFC 2606, hosts(5)).',
                    'Choose another word.',
                ),
            ]);
        }
        if (preg_match('/^\d+$/', $text) === 1) {
            $findings = $findings->and([
                Finding::warn(
                    'hostname.digits_only',
                    'The name is digits only.',
                    'RFC 1123 allows it, but some programs read a bare number as an address.',
                    'Put a letter in.',
                ),
            ]);
        }
        if (preg_match('/[A-Z]/', $text) === 1) {
            $findings = $findings->and([
                Finding::note(
                    'hostname.capitals',
                    'Capitals make no difference.',
                    'Names ignore case (RFC 1123).',
                    'It is written “'.strtolower($text).'” everywhere.',
                ),
            ]);
        }

        return $findings;
    }

    public function equals(self $other): bool
    {
        return $this->label === $other->label;
    }

    public function __toString(): string
    {
        return $this->label;
    }

    private static function nearest(string $text): string
    {
        $ascii = (string) preg_replace('/[^a-z0-9]+/', '-', strtolower($text));

        return trim($ascii, '-') ?: 'box';
    }
}
