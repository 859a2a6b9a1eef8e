<?php

declare(strict_types=1);

namespace App\House;

use App\Models\Box;
use Burrow\Household\Stage;
use Illuminate\Contracts\Session\Session;

/**
 * The first ten minutes: a box planned, its card made, its board started on the bench, until it is in service. Where
 * one stands is read from the record and not from what was clicked, so nothing is out of step when somebody wanders.
 */
final readonly class Tour
{
    /** The session's word for it: the id of the newest box when it began. */
    private const SINCE = 'tour';

    /** What is done, where, and what one sees there; in their order. */
    public const STEPS = [
        [
            'Plan a box',
            'Choose what it is to do and from what. The sheet says while you choose whether it fits; keep the plan when it does.',
        ],
        [
            'Give it a name and an address',
            'The next good address is proposed, with the reason. A name is a role rather than a person.',
        ],
        [
            'Make its card',
            'Type a password or paste a public key, and look at the files line by line. Nothing of the password stays here.',
        ],
        [
            'Put the card into a bench board',
            'Under the files: “Put it into a bench board”. It is simulated on this machine, and reads the very files that you made.',
        ],
        [
            'Bring it up',
            'One step at a time. The bench can type for you; what is printed is read and judged, and waits count down.',
        ],
        [
            'Look at it in Ground',
            'Its lamp is lit: it is in service, watched, and due for its updates when the time comes. That is the whole circle.',
        ],
    ];

    private function __construct(public int $at, public string $where)
    {
    }

    public static function begin(Session $session): void
    {
        $session->put(self::SINCE, Box::query()->latest('id')->first()->id ?? 0);
    }

    public static function end(Session $session): void
    {
        $session->forget(self::SINCE);
    }

    /** Where one stands; null while no tour is under way. */
    public static function now(Session $session): ?self
    {
        $since = $session->get(self::SINCE);
        if (! is_int($since)) {
            return null;
        }
        $box = Box::query()->where('id', '>', $since)->with('run')->orderBy('id')->first();

        return match (true) {
            $box === null => new self(0, route('plan', ['job' => 'file-store'], false)),
            $box->name === null => new self(1, route('box.name', $box, false)),
            $box->card_written_at === null => new self(2, route('box.card', $box, false)),
            ! $box->on_bench && ! $box->isInService() => new self(3, route('box.card', $box, false)),
            ! $box->isInService() => new self(
                4,
                $box->stage === Stage::BringingUp && $box->run !== null
                    ? route('run', $box->run, false)
                    : route('box', $box, false),
            ),
            default => new self(5, '/'),
        };
    }

    public function title(): string
    {
        return self::STEPS[$this->at][0];
    }

    public function text(): string
    {
        return self::STEPS[$this->at][1];
    }

    public function isLast(): bool
    {
        return $this->at === count(self::STEPS) - 1;
    }
}
