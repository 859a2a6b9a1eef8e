<?php

declare(strict_types=1);

namespace Burrow\Ports;

use Burrow\Household\Box;
use Burrow\Household\Household;
use Burrow\Household\Service;
use Burrow\Net\Protocol;

/** Pages of a box in plain HTTP before which a site of the box itself can speak TLS, each with a name of its own. */
final class PlainPages
{
    private const TLS = 443;

    /** Of a label that is made from a purpose; DNS takes 63 (RFC 1035, 2.3.4), and a number may follow. */
    private const LONGEST = 40;

    /**
     * None where another service holds 443. A page that is bound to one address of the box is left out: the site
     * asks at 127.0.0.1.
     *
     * @return array<string, Service> label => page; the name of the box where it has but one page, else one made
     *     from the purpose, so that a server can tell them apart by the name that was asked for (RFC 6066, 3)
     */
    public static function of(Household $house, Box $box): array
    {
        $services = $house->services($box);
        foreach ($services as $service) {
            if ($service->port->number === self::TLS && $service->protocol === Protocol::Tcp) {
                return [];
            }
        }
        $pages = array_values(array_filter($services, self::canStandBehind(...)));
        if (count($pages) === 1) {
            return [self::label($box->name) => $pages[0]];
        }
        $taken = array_fill_keys(array_map(fn (Box $one): string => $one->name, $house->boxes()), true);
        $named = [];
        foreach ($pages as $page) {
            $label = self::label($page->purpose);
            while (isset($taken[$label])) {
                $label .= "-{$page->port->number}";
            }
            $taken[$label] = true;
            $named[$label] = $page;
        }

        return $named;
    }

    private static function canStandBehind(Service $service): bool
    {
        return $service->scheme === 'http' &&
            $service->protocol === Protocol::Tcp &&
            ($service->bound === null || $service->bound === '127.0.0.1');
    }

    private static function label(string $text): string
    {
        $letters = (string) preg_replace('/[^a-z0-9]+/', '-', strtolower($text));

        $label = trim(substr(trim($letters, '-'), 0, self::LONGEST), '-');

        return match (true) {
            $label === '' => 'page',
            ctype_digit($label) => "page-{$label}",
            default => $label,
        };
    }
}
