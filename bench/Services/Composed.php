<?php

declare(strict_types=1);

namespace Bench\Services;

use Bench\Net\Answers;
use Bench\Net\Door;
use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;

/** A compose file as the engine takes it: which image, which ports, and what keeps it from coming up. */
final readonly class Composed
{
    /** @param  list<array{int, ?int}>  $ports  on the box and in the container; null: the host's own network */
    private function __construct(public ?string $problem, public string $image, private array $ports)
    {
    }

    public static function from(?string $text): self
    {
        try {
            $data = Yaml::parse($text ?? '');
        } catch (ParseException) {
            $data = null;
        }
        $service = is_array($data) && is_array($data['services'] ?? null) ? reset($data['services']) : null;
        if (! is_array($service) || ! is_string($service['image'] ?? null)) {
            return new self('no compose.yaml, compose.yml file found, pass files with -f', '', []);
        }
        $image = Registry::image($service['image']);
        if ($image === null) {
            return new self(Registry::unknown($service['image']), $service['image'], []);
        }
        $ports = [];
        foreach ((array) ($service['ports'] ?? []) as $pair) {
            if (is_string($pair) && preg_match('~^(\d+):(\d+)(?:/tcp)?$~', $pair, $match) === 1) {
                $ports[] = [(int) $match[1], (int) $match[2]];
            }
        }
        if (($service['network_mode'] ?? '') === 'host') {
            $ports = [[$image['port'], null]];
        }

        return new self(null, $service['image'], $ports);
    }

    /** @return list<Door> what was published; an inner port on which nothing listens cuts the line */
    public function doors(): array
    {
        $image = Registry::image($this->image);
        $doors = [];
        foreach ($this->ports as [$outer, $inner]) {
            if ($image === null || ($inner !== null && $inner !== $image['port'] && $inner !== $image['names'])) {
                $doors[] = new Door($outer, serve: Answers::cut());
            } elseif ($inner !== null && $inner === $image['names']) {
                $doors = [...$doors, ...Answers::names(Registry::REFUSED, [], true, $outer)];
            } else {
                $doors[] = new Door($outer, serve: Answers::page($image['title']));
            }
        }

        return $doors;
    }
}
