<?php

declare(strict_types=1);

namespace Burrow\Net;

use Burrow\Judgement\Finding;

/** Every judgement of a box's name, each with its one text; docs/formulas/net.md lists them with their sources. */
final class NameFindings
{
    public static function capitals(string $text): Finding
    {
        return Finding::note(
            'hostname.capitals',
            'Capitals make no difference.',
            'Names ignore case (RFC 1123).',
            'It is written “'.strtolower($text).'” everywhere.',
        );
    }

    public static function character(string $text, string $nearest): Finding
    {
        return Finding::stop(
            'hostname.character',
            "“{$text}” holds a character that host names cannot have.",
            'Letters a to z, digits and hyphens are all there is (RFC 952): no spaces, underscores or accents.',
            'Try “'.$nearest.'”.',
        );
    }

    public static function digitsOnly(): Finding
    {
        return Finding::warn(
            'hostname.digits_only',
            'The name is digits only.',
            'RFC 1123 allows it, but some programs read a bare number as an address.',
            'Put a letter in.',
        );
    }

    public static function dot(string $text): Finding
    {
        return Finding::stop(
            'hostname.dot',
            "“{$text}” holds a dot.",
            'The name is one label; the domain (.local or the network\'s own) is added by the network, and typed here it ends up doubled.',
            'Type “'.strstr($text, '.', true).'” only.',
        );
    }

    public static function empty(): Finding
    {
        return Finding::stop(
            'hostname.empty',
            'There is no name yet.',
            'The box announces itself by its name.',
            'Choose one short word.',
        );
    }

    public static function hyphenEdge(string $text): Finding
    {
        return Finding::stop(
            'hostname.hyphen_edge',
            "“{$text}” begins or ends with a hyphen.",
            'RFC 952 wants a letter or digit there.',
            'Take the hyphen away.',
        );
    }

    public static function reserved(string $text): Finding
    {
        return Finding::stop(
            'hostname.reserved',
            "“{$text}” is a name that every network uses for something else.",
            'Programs take it for this machine itself, or for the router (RFC 6761, RFC 2606, hosts(5)).',
            'Choose another word.',
        );
    }

    public static function tooLong(string $text): Finding
    {
        return Finding::stop(
            'hostname.too_long',
            'The name has '.strlen($text).' characters.',
            'A label holds at most 63 (RFC 1035), and nobody types more than a dozen.',
            'Shorten it.',
        );
    }
}
