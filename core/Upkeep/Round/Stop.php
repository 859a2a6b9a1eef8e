<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Round;

use Burrow\Household\DoorState;

/** One box of a round. */
final readonly class Stop
{
    /**
     * @param  int  $planned  when the plan has it begin, in Unix seconds
     * @param  list<string>  $needs  boxes of the round that have to work again before it begins
     * @param  array<int, DoorState>  $before  TCP port => what it met before anything was typed
     * @param  bool  $namesBefore  it answered names before, over UDP
     * @param  ?int  $began  Unix seconds
     * @param  ?int  $ended  Unix seconds
     * @param  string  $words  what came of it, or why it was left out
     */
    public function __construct(
        public string $box,
        public int $planned,
        public array $needs = [],
        public StopState $state = StopState::Waiting,
        public array $before = [],
        public bool $namesBefore = false,
        public ?int $began = null,
        public ?int $ended = null,
        public string $words = '',
    ) {
    }

    /** @return array<string, mixed> as it is kept */
    public function toArray(): array
    {
        return [
            'box' => $this->box,
            'planned' => $this->planned,
            'needs' => $this->needs,
            'state' => $this->state->value,
            'before' => array_map(fn (DoorState $door): string => $door->value, $this->before),
            'names' => $this->namesBefore,
            'began' => $this->began,
            'ended' => $this->ended,
            'words' => $this->words,
        ];
    }

    /** From what was kept; null where that is damaged. */
    public static function from(mixed $kept): ?self
    {
        if (! is_array($kept) || ! is_string($kept['box'] ?? null) || ! is_int($kept['planned'] ?? null)) {
            return null;
        }
        $before = [];
        foreach (is_array($kept['before'] ?? null) ? $kept['before'] : [] as $port => $state) {
            $door = is_string($state) ? DoorState::tryFrom($state) : null;
            $door === null || ($before[(int) $port] = $door);
        }
        $state = is_string($kept['state'] ?? null) ? StopState::tryFrom($kept['state']) : null;

        return new self(
            $kept['box'],
            $kept['planned'],
            array_values(
                array_filter(is_array($kept['needs'] ?? null) ? $kept['needs'] : [], is_string(...)),
            ),
            $state ?? StopState::Waiting,
            $before,
            ($kept['names'] ?? null) === true,
            is_int($kept['began'] ?? null) ? $kept['began'] : null,
            is_int($kept['ended'] ?? null) ? $kept['ended'] : null,
            is_string($kept['words'] ?? null) ? $kept['words'] : '',
        );
    }
}
