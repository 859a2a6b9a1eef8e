<?php

declare(strict_types=1);

namespace Burrow\Stores\Alike;

use Burrow\Household\Box;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;

/** A folder that is kept alike, as somebody typed it, with what speaks against it at its field. */
final readonly class TypedPair
{
    public const FIELDS = ['pair_box', 'pair_folder', 'pair_peer', 'pair_keeps'];

    private function __construct(
        public ?Box $box,
        public string $folder,
        public string $peer,
        public ?int $keepsDays,
        public Findings $findings,
    ) {
    }

    /** @param  array<string, string>  $typed  by field */
    public static function of(Household $house, array $typed): self
    {
        $said = fn (string $field): string => trim($typed[$field] ?? '');
        $found = [];
        $box = null;
        foreach ($house->boxes() as $one) {
            (string) $one->id === $said('pair_box') && ($box = $one);
        }
        $box === null && ($found[] = AlikeFindings::noSuchBox());
        preg_match('~^/[^\p{C}]{1,190}$~Du', $said('pair_folder')) === 1 ||
            ($found[] = AlikeFindings::notAFolder());
        ($said('pair_peer') === '' || mb_strlen($said('pair_peer')) > 60) &&
            ($found[] = AlikeFindings::noPeer());
        $days = $said('pair_keeps');
        $isDays = preg_match('/^\d{1,4}$/D', $days) === 1 && (int) $days <= 3650;
        $days === '' || $isDays || ($found[] = AlikeFindings::notDays());

        return new self(
            $box,
            $said('pair_folder'),
            $said('pair_peer'),
            $isDays ? (int) $days : null,
            Findings::of(...$found),
        );
    }
}
