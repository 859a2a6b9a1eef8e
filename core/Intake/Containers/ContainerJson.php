<?php

declare(strict_types=1);

namespace Burrow\Intake\Containers;

use Burrow\Intake\UnreadLines;
use Burrow\Net\Protocol;

/** The engines' lists as JSON: one array, or one object a line, with the keys that either kind uses. */
final class ContainerJson
{
    public const SIGN = '/^\s*[\[{].*"(?:Names?|Image|Ports|Publishers)" *:/s';

    /** @return list<Container> */
    public static function read(string $text, UnreadLines $unread): array
    {
        $text = trim($text);
        $whole = json_decode($text, true, 32);
        if (is_array($whole)) {
            $all = array_is_list($whole) ? $whole : [$whole];
        } else {
            $all = [];
            foreach (explode("\n", $text) as $at => $line) {
                $one = trim($line) === '' ? [] : json_decode($line, true, 32);
                is_array($one)
                    ? $one === [] || ($all[] = $one)
                    : $unread->add($at + 1, 'its JSON is not whole');
            }
        }
        $facts = [];
        foreach ($all as $one) {
            $fact = is_array($one) ? self::container($one) : null;
            $fact === null || ($facts[] = $fact);
        }

        return $facts;
    }

    /** @param  array<mixed>  $one */
    private static function container(array $one): ?Container
    {
        $text = fn (string $key): ?string => is_string($one[$key] ?? null) && $one[$key] !== ''
            ? $one[$key]
            : null;
        $names = is_array($one['Names'] ?? null) ? $one['Names'][0] ?? null : $text('Names') ?? $text('Name');
        $name = is_string($names) ? ltrim(explode(',', $names)[0], '/') : null;
        $image = $text('Image');
        if ($name === null && $image === null) {
            return null;
        }
        $state = Container::state($text('State') ?? '') ?? Container::state($text('Status') ?? '');

        return new Container(
            $name,
            $image,
            $state,
            self::ports($one['Ports'] ?? null, $one['Publishers'] ?? null),
        );
    }

    /** @return list<PublishedPort> */
    private static function ports(mixed $ports, mixed $publishers): array
    {
        if (is_string($ports) && $ports !== '') {
            return PublishedPort::list($ports) ?? [];
        }
        $published = [];
        foreach (is_array($publishers) ? $publishers : (is_array($ports) ? $ports : []) as $port) {
            if (! is_array($port)) {
                continue;
            }
            $number = function (string ...$keys) use ($port): ?int {
                foreach ($keys as $key) {
                    if (is_int($port[$key] ?? null)) {
                        return $port[$key];
                    }
                }

                return null;
            };
            $protocols = $port['protocol'] ?? ($port['Type'] ?? ($port['Protocol'] ?? 'tcp'));
            $address = $port['host_ip'] ?? ($port['IP'] ?? ($port['URL'] ?? ($port['hostIP'] ?? '')));
            $inside = $number('container_port', 'PrivatePort', 'TargetPort', 'containerPort');
            $outside = $number('host_port', 'PublicPort', 'PublishedPort', 'hostPort');
            $range = min(max($number('range') ?? 1, 1), 1000);
            foreach (explode(',', is_string($protocols) ? $protocols : 'tcp') as $protocol) {
                $known = Protocol::tryFrom($protocol);
                for ($i = 0; $known !== null && $inside !== null && $i < $range; $i++) {
                    $one = PublishedPort::of(
                        is_string($address) ? $address : '',
                        $outside === null || $outside === 0 ? null : $outside + $i,
                        $inside + $i,
                        $known,
                    );
                    $one === null || ($published[] = $one);
                }
            }
        }

        return $published;
    }

    private function __construct()
    {
    }
}
