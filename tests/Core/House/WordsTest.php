<?php

declare(strict_types=1);

use Burrow\Catalogue\Job\Job;
use Burrow\Catalogue\Part\BoardClass;
use Burrow\Catalogue\Part\Drive;
use Burrow\Catalogue\Part\ImageKind;
use Burrow\Catalogue\Part\LinkKind;
use Burrow\Catalogue\Part\Supply;
use Burrow\Household\Box;
use Burrow\Household\Service;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;
use Burrow\Net\AddressRange;
use Burrow\Net\Hostname;
use Burrow\Net\Ipv4;
use Burrow\Net\Port;
use Burrow\Net\Prefix;
use Burrow\Net\Protocol;
use Burrow\Plan\PlanInput;
use Burrow\Plan\Speed\CopyRate;
use Burrow\Plan\Speed\Limit;
use Burrow\Quantity\Amps;
use Burrow\Quantity\Bytes;
use Burrow\Quantity\Duration;
use Burrow\Quantity\Money;
use Burrow\Quantity\Rate;
use Burrow\Quantity\Volts;

// What is said of one, of two and of many, by every maker of findings that is given numbers, lists, a yes and a no, or
// words that it asks about or cuts; each is varied by itself.

/** It asks what it was given, reckons with it, or shows no more of it than has room. */
function looksAtThem(ReflectionMethod $maker): bool
{
    $lines = array_slice(
        file((string) $maker->getFileName()) ?: [],
        $maker->getStartLine() - 1,
        $maker->getEndLine() - $maker->getStartLine() + 1,
    );

    return preg_match(
        '/typed\\(|mb_strimwidth|mb_substr|[!=<>]==? |\\?\\? |round\\(|number_format|count\\(/',
        implode($lines),
    ) === 1;
}

/** What a list holds. */
function listed(ReflectionParameter $list): string
{
    $said = (string) $list->getDeclaringFunction()->getDocComment();
    preg_match("/@param\\s+(?:non-empty-)?list<(\\w+)>\\s+\\\${$list->getName()}\\b/", $said, $of);

    return $of[1] ?? '';
}

/** @return list<mixed> of a class of the core; none of one that is not made up here */
function thing(string $class): array
{
    $plan = fn (): PlanInput => plan('flint', job: 'file-store media-library');

    return match ($class) {
        Rate::class => [Rate::megabitsPerSecond(94.5)],
        Duration::class => [Duration::seconds(5400)],
        Amps::class => [Amps::of(1.25)],
        Volts::class => [Volts::of(4.63)],
        Money::class => [Money::of(12.5)],
        Port::class => [Port::of(8081)],
        Hostname::class => [Hostname::parse('wren')],
        AddressRange::class => [
            AddressRange::between(Ipv4::parse('172.22.8.100'), Ipv4::parse('172.22.8.199')),
        ],
        DateTimeImmutable::class => [new DateTimeImmutable(THREE_O_CLOCK)],
        PlanInput::class => [$plan(), plan('pebble', job: 'dns-filter', link: LinkKind::Wireless)],
        BoardClass::class => array_values(catalogue('board')),
        Supply::class => [$plan()->supply],
        Drive::class => array_values(catalogue('drive')),
        ImageKind::class => [$plan()->image],
        Job::class => [$plan()->jobs[0]],
        CopyRate::class => array_values(array_filter([CopyRate::of($plan())])),
        Limit::class => array_values(array_filter([CopyRate::of($plan())?->limit()])),
        Box::class => [dweller('larder')],
        Service::class => [new Service('larder', Port::of(443), Protocol::Tcp, 'page', scheme: 'https')],
        default => [],
    };
}

/** @return list<mixed> the first is what a value is while others are varied */
function sayings(ReflectionParameter $of): array
{
    $type = $of->getType();
    $name = $type instanceof ReflectionNamedType ? ltrim((string) $type, '?') : '';

    return match ($name) {
        'int' => match ($of->getName()) {
            // What is looked at at most is never one, and some are spoken of only where they are several.
            'most', 'least', 'boxes', 'machines' => [12, 13],
            'seconds' => [1200, 1, 60, 100_000],
            default => [2, 1, 0, 13],
        },
        'float' => [2.5, 1.0, 0.0, 48.04],
        'bool' => [false, true],
        'array' => match (listed($of)) {
            'string' => [
                ['larder', 'sieve'],
                ['larder'],
                ...array_map(
                    fn (int $many): array => array_map(fn (int $at): string => "box {$at}", range(1, $many)),
                    [3, 4, 5, 6, 8],
                ),
                [
                    ...($seven = ['larder', 'sieve', 'lantern', 'wren', 'press', 'chalk', 'gauge']),
                    'hub',
                    ...$seven,
                ],
            ],
            'int' => [[3, 5], [3], range(1, 15)],
            'Service' => array_map(
                fn (int $many): array => array_map(
                    fn (int $at): Service => new Service(
                        'larder',
                        Port::of(8080 + $at),
                        Protocol::Tcp,
                        "page {$at}",
                    ),
                    range(1, $many),
                ),
                [2, 1, 4, 5],
            ),
            default => [],
        },
        'string' => [
            'larder',
            ...$type?->allowsNull() ? [null] : [],
            '',
            ...looksAtThem($of->getDeclaringFunction()) ? [LONG_WORD] : [],
        ],
        Place::class => [Place::field('name')],
        Bytes::class => [Bytes::of(2_500_000_000), Bytes::of(1)],
        Ipv4::class => [Ipv4::parse('172.22.8.11')],
        Prefix::class => [Prefix::parse('172.22.8.0/24')],
        default => thing($name),
    };
}

/** @return list<list<mixed>> */
function variedBy(ReflectionMethod $maker): array
{
    $values = array_map(sayings(...), $maker->getParameters());
    $varies = array_filter(
        $maker->getParameters(),
        fn (ReflectionParameter $one): bool => in_array(
            ltrim((string) $one->getType(), '?'),
            ['int', 'float', 'bool', 'array'],
            true,
        ),
    );
    if (in_array([], $values, true) || ($varies === [] && ! looksAtThem($maker))) {
        return [];
    }
    $usual = array_map(fn (array $some): mixed => $some[0], $values);
    $all = [$usual];
    foreach ($values as $at => $some) {
        foreach (array_slice($some, 1) as $other) {
            $all[] = array_replace($usual, [$at => $other]);
        }
    }

    return $all;
}

function wordsOf(string $class): string
{
    $text = '';
    foreach (
        (new ReflectionClass($class))->getMethods(ReflectionMethod::IS_STATIC | ReflectionMethod::IS_PUBLIC) as $maker
    ) {
        foreach ((string) $maker->getReturnType() === Finding::class ? variedBy($maker) : [] as $given) {
            $shown = implode(
                ', ',
                array_map(
                    fn (mixed $one): string => match (true) {
                        $one instanceof Stringable => (string) $one,
                        is_object($one) => $one->label ??
                            ($one->name ?? basename(str_replace('\\', '/', $one::class))),
                        is_array($one) && is_object($one[0] ?? null) => count($one).' of them',
                        default => (string) json_encode(
                            $one,
                            JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION,
                        ),
                    },
                    array_filter(
                        $given,
                        fn (mixed $one): bool => ! $one instanceof Place && ! $one instanceof Bytes,
                    ),
                ),
            );
            try {
                $said = $maker->invoke(null, ...$given);
                $text .= "{$maker->name}({$shown})\n  {$said->severity->value}: {$said->found}\n  {$said->why}\n  {$said->do}\n";
            } catch (InvalidArgumentException) {
                // A number that a quantity cannot have.
                continue;
            }
        }
    }

    return str_replace([LONG_WORD, ucfirst(LONG_WORD)], 'LONG', $text);
}

test('no sentence counts one as many', function (string $class): void {
    $said = wordsOf($class);
    preg_match_all(
        '/\b1 (?!is\b|was\b|has\b|its\b|says\b|greets\b|does\b|bits\b|bytes\b|times as\b)(?:[a-z]+s)\b/',
        $said,
        $wrong,
    );
    expect($wrong[0])->toBe([]);
})->with(function (): array {
    $cases = [];
    foreach (explode("\n", trim((string) shell_exec("git ls-files 'core/*Findings.php'"))) as $source) {
        $class = 'Burrow\\'.str_replace('/', '\\', substr($source, 5, -4));
        $cases[basename($source, '.php')] = [$class];
    }

    return $cases;
});
