<?php

declare(strict_types=1);

namespace Burrow\Net;

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
            return Findings::of(NameFindings::empty());
        }
        $findings = Findings::of();
        if (str_contains($text, '.')) {
            $findings = $findings->and([NameFindings::dot($text)]);
        }
        if (preg_match('/[^A-Za-z0-9.-]/', $text) === 1) {
            $findings = $findings->and([NameFindings::character($text, self::nearest($text))]);
        }
        if (preg_match('/^-|-$/', $text) === 1) {
            $findings = $findings->and([NameFindings::hyphenEdge($text)]);
        }
        if (strlen($text) > 63) {
            $findings = $findings->and([NameFindings::tooLong($text)]);
        }
        if ($asMachine && in_array(strtolower($text), self::RESERVED, true)) {
            $findings = $findings->and([NameFindings::reserved($text)]);
        }
        if (preg_match('/^\d+$/', $text) === 1) {
            $findings = $findings->and([NameFindings::digitsOnly()]);
        }
        if (preg_match('/[A-Z]/', $text) === 1) {
            $findings = $findings->and([NameFindings::capitals($text)]);
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
