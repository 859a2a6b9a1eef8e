<?php

declare(strict_types=1);

namespace Burrow\Intake\System;

use JsonSerializable;

/** A group of a system with the accounts that are in it, as far as the tool tells. */
final readonly class GroupFact implements JsonSerializable
{
    /**
     * @param  ?int  $number  its numeric id; null where the tool tells names alone
     * @param  list<string>  $accounts
     */
    public function __construct(public string $group, public ?int $number, public array $accounts)
    {
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return ['group' => $this->group, 'gid' => $this->number, 'accounts' => $this->accounts];
    }
}
