<?php

declare(strict_types=1);

namespace Burrow\Move;

use Burrow\Household\BoxParts;

/**
 * A box gets another board, supply, card or disk: what changes with it, what is done in which order, and the way back.
 * The judgement whether the new parts do is the planner's.
 */
final readonly class PartSwap
{
    /** Parts that somebody changes on a box in service, by their field of the record; what they are called. */
    public const PARTS = [
        'board' => 'board',
        'supply' => 'supply',
        'cable' => 'cable',
        'card' => 'card',
        'drive' => 'drive',
        'case' => 'case',
        'cooling' => 'cooling',
    ];

    /** @param  list<string>  $changed  fields of PARTS */
    private function __construct(public array $changed)
    {
    }

    /** @param  string  $alike  field of PARTS: another one of the same kind takes its place; empty for none */
    public static function of(BoxParts $from, BoxParts $to, string $alike = ''): self
    {
        return new self(
            array_values(
                array_filter(
                    array_keys(self::PARTS),
                    fn (string $part): bool => $part === $alike ||
                        ($from->{$part} ?? '') !== ($to->{$part} ?? ''),
                ),
            ),
        );
    }

    public function isEmpty(): bool
    {
        return $this->changed === [];
    }

    public function has(string $part): bool
    {
        return in_array($part, $this->changed, true);
    }

    /**
     * Why it is not led as one run: what changes while the box is off and what changes while it runs are two evenings,
     * and a board and a card at once leave nothing of the box to tell it by. Null where it can be led.
     */
    public function notAtOnce(): ?string
    {
        return match (true) {
            $this->changed === [] => 'Nothing is another part.',
            $this->has('board') && $this->has('card') => 'Another board and another card at once is another box: first one of them, or what it does moves to the new one.',
            $this->has('drive') && count($this->changed) > 1 => 'The disk by itself: it is copied while the box runs, and the other parts change while it is off.',
            default => null,
        };
    }

    /** @return list<array{what: string, how: string}> in their order */
    public function steps(string $name, string $user): array
    {
        $has = $this->has(...);
        $login = $user === '' ? $name : "{$user}@{$name}";

        return array_values(
            array_filter([
                [
                    'what' => 'Copy what it keeps',
                    'how' => 'Its backup runs once more, and says that it went well. A part that is changed may be the one that held it.',
                ],
                [
                    'what' => 'Shut it down',
                    'how' => "ssh {$login} sudo poweroff; wait until its lights rest, then pull the plug. Never the plug first: that is how cards are damaged.",
                ],
                $has('board')
                    ? [
                        'what' => 'Note the hardware address of the new board',
                        'how' => 'It stands on its sticker, or in the router’s list when it is first on. Change the reservation in the router before it is switched on in the house, or it gets an address of the pool. The record forgets the old one.',
                    ]
                    : null,
                $has('board')
                    ? [
                        'what' => 'Put the card across',
                        'how' => 'Its system starts on another board only if the release knows that board; the name of its network interface may be another one, and files that name it no longer fit. Its host key goes along: nobody should be warned.',
                    ]
                    : null,
                $has('card')
                    ? [
                        'what' => 'Write the new card',
                        'how' => 'The whole old one copied onto it (the new one at least as large), or an image and its backup brought back. From an image its host key is a new one: expected, and only on the day of the change.',
                    ]
                    : null,
                $has('drive')
                    ? [
                        'what' => 'Copy the disk across, then change its line',
                        'how' => 'Both attached, the old one read-only; compare counts and sizes. Then its UUID in /etc/fstab, and systemctl daemon-reload. The old one stays as it is until the new one was brought through a week.',
                    ]
                    : null,
                $has('supply') || $has('cable')
                    ? [
                        'what' => 'Look at its voltage',
                        'how' => 'Under load, with everything plugged in: its report tells whether it was too low since the start. A cable is changed before a supply.',
                    ]
                    : null,
                $has('cooling') || $has('case')
                    ? [
                        'what' => 'Measure its warmth',
                        'how' => 'After half an hour under load, with the room’s temperature beside it, on its page.',
                    ]
                    : null,
                [
                    'what' => 'Switch it on, and look whether it does its work',
                    'how' => 'It answers at its address, its page opens, its report has nothing that is not as the record has it.',
                ],
                [
                    'what' => 'The way back',
                    'how' => 'Shut it down, the old parts in, switch it on: ten minutes, as long as nothing new was written. Keep them, with a label, for a month.',
                ],
            ]),
        );
    }

    /**
     * What the record holds of the box that is no longer so, by field.
     *
     * @return list<string>
     */
    public function forgets(): array
    {
        return [
            ...in_array('board', $this->changed, true) ? ['mac', 'pinned_at'] : [],
            ...in_array('card', $this->changed, true) ? ['card_written_at'] : [],
        ];
    }
}
