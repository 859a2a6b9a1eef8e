<?php

declare(strict_types=1);

namespace Burrow\Stores\Rights;

/** Somebody with an account on the box, or a guest without one. */
final readonly class Person
{
    /** The account that a guest works as (smb.conf(5): guest account). */
    public const GUEST = 'nobody';

    /** @param  list<string>  $groups  his own group among them */
    public function __construct(public string $name, public array $groups, public bool $isGuest = false)
    {
    }

    public static function guest(): self
    {
        return new self(self::GUEST, ['nogroup', self::GUEST], true);
    }
}
