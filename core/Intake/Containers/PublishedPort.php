<?php

declare(strict_types=1);

namespace Burrow\Intake\Containers;

use Burrow\Net\Address;
use Burrow\Net\Port;
use Burrow\Net\Protocol;
use JsonSerializable;

/** A port inside a container, and the one of the box that leads to it. */
final readonly class PublishedPort implements JsonSerializable
{
    /** A range is told apart up to this many ports. */
    private const RANGE = 1000;

    /**
     * @param  ?string  $outsideAddress  of the box; "0.0.0.0" and "::" for all of them; null when nothing leads in
     * @param  ?int  $outsidePort  null when nothing leads in from outside of the engine's own networks
     */
    public function __construct(
        public ?string $outsideAddress,
        public ?int $outsidePort,
        public int $insidePort,
        public Protocol $protocol,
    ) {
    }

    /**
     * As the engines' tables write it: "0.0.0.0:8082->80/tcp, [::]:8082->80/tcp, 5353/udp, 0.0.0.0:9000-9002->…".
     *
     * @return ?list<self> null when a part of it cannot be read
     */
    public static function list(string $said): ?array
    {
        $ports = [];
        foreach (preg_split('/,\s*/', trim($said), 500, PREG_SPLIT_NO_EMPTY) ?: [] as $part) {
            $form =
                '~^(?:(?:(\S*):)?(\d{1,5})(?:-(\d{1,5}))?->)?(\d{1,5})(?:-(\d{1,5}))?(?:/(tcp|udp|sctp))?$~D';
            if (preg_match($form, $part, $m) !== 1) {
                return null;
            }
            $protocol = ($m[6] ?? '') === '' ? Protocol::Tcp : Protocol::tryFrom($m[6]);
            $from = (int) $m[4];
            $to = ($m[5] ?? '') === '' ? $from : (int) $m[5];
            if ($protocol === null || $to < $from || $to - $from > self::RANGE) {
                continue;
            }
            for ($inside = $from; $inside <= $to; $inside++) {
                $outside = $m[2] === '' ? null : (int) $m[2] + $inside - $from;
                $port = self::of($m[1], $outside, $inside, $protocol);
                $port === null || ($ports[] = $port);
            }
        }

        return $ports;
    }

    /** @param  string  $address  "" for every address of the box */
    public static function of(string $address, ?int $outside, int $inside, Protocol $protocol): ?self
    {
        $outside = $outside === 0 ? null : $outside;
        if (Port::tryOf($inside) === null || ($outside !== null && Port::tryOf($outside) === null)) {
            return null;
        }
        $standard =
            $outside === null
                ? null
                : ($address === ''
                    ? '0.0.0.0'
                    : // ":::8082" is how older engines write [::].
                    Address::standard(trim($address, '[]')));

        return new self($standard, $outside, $inside, $protocol);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'outside_address' => $this->outsideAddress,
            'outside_port' => $this->outsidePort,
            'inside_port' => $this->insidePort,
            'protocol' => $this->protocol->value,
        ];
    }
}
