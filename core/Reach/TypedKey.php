<?php

declare(strict_types=1);

namespace Burrow\Reach;

use Burrow\Household\Household;
use Burrow\Household\Service;
use Burrow\Judgement\Findings;
use DateTimeImmutable;

/** A key that a program holds, or an account on a page, as somebody typed it, with what speaks against it. */
final readonly class TypedKey
{
    public const KINDS = ['program' => 'the key of a program', 'account' => 'an account on a page'];

    /** Letters of each field that wants words. */
    private const WORDS = ['program' => 40, 'key_holder' => 80, 'key_back' => 160];

    private function __construct(
        public string $kind,
        public ?Service $service,
        public ?DateTimeImmutable $ends,
        public Findings $findings,
    ) {
    }

    /**
     * @param  array<string, string>  $typed  by field: program, key_kind, key_holder, key_for (id of a service),
     *     key_ends (a day, or empty), key_back
     */
    public static function of(Household $house, array $typed): self
    {
        $said = fn (string $field): string => trim($typed[$field] ?? '');
        $found = [];
        foreach (self::WORDS as $field => $most) {
            if ($said($field) === '' || mb_strlen($said($field)) > $most) {
                $found[] = ReachFindings::wantsWords($field, $most);
            }
        }
        $service = null;
        foreach ($house->services() as $one) {
            $service = (string) $one->id === $said('key_for') ? $one : $service;
        }
        $service === null && ($found[] = ReachFindings::noSuchPage('key_for'));
        $ends = null;
        if ($said('key_ends') !== '') {
            $isOne = preg_match('/^\d{4}-\d\d-\d\d$/D', $said('key_ends')) === 1;
            $zone = $house->now->getTimezone();
            $day = $isOne ? DateTimeImmutable::createFromFormat('!Y-m-d', $said('key_ends'), $zone) : false;
            $ends = $day === false || $day->format('Y-m-d') !== $said('key_ends') ? null : $day;
            $ends === null && ($found[] = ReachFindings::notADay($said('key_ends'), 'key_ends'));
        }
        $kind = isset(self::KINDS[$said('key_kind')]) ? $said('key_kind') : 'program';

        return new self($kind, $service, $ends, Findings::of(...$found));
    }
}
