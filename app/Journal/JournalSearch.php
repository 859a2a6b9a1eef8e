<?php

declare(strict_types=1);

namespace App\Journal;

use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Network;
use App\Models\User;
use DateTimeImmutable;
use DateTimeZone;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;

/** What of the journal is looked for: a box, a kind, words, days; as typed, and as a question to the record. */
final readonly class JournalSearch
{
    private const DAY = '/^\d{4}-\d\d-\d\d$/D';

    private function __construct(
        public string $words,
        public string $box,
        public string $kind,
        public string $from,
        public string $to,
        private ?User $user,
    ) {
    }

    public static function of(Request $request): self
    {
        $said = fn (string $field, int $most): string => mb_substr(
            trim($request->string($field)->value()),
            0,
            $most,
        );
        $day = fn (string $field): string => preg_match(self::DAY, $said($field, 10)) === 1
            ? $said($field, 10)
            : '';

        return new self(
            $said('words', 80),
            $said('of', 63),
            $said('kind', 40),
            $day('day_from'),
            $day('day_to'),
            $request->user(),
        );
    }

    /** @return Builder<JournalEntry> the newest first */
    public function query(): Builder
    {
        $query = JournalEntry::query()
            ->shownTo($this->user)
            ->with('box')
            ->orderByDesc('at')
            ->orderByDesc('id');
        if ($this->words !== '') {
            $query->where('text', 'like', '%'.addcslashes($this->words, '%_\\').'%');
        }
        if ($this->box !== '') {
            $query->whereIn('box_id', Box::query()->where('name', $this->box)->select('id'));
        }
        $this->kind === '' || $query->where('kind', $this->kind);
        $zone = new DateTimeZone(Network::zone());
        foreach (
            ['>=' => [$this->from, '00:00:00'], '<=' => [$this->to, '23:59:59.999']] as $is => [$day, $time]
        ) {
            $at = $day === '' ? false : DateTimeImmutable::createFromFormat('!Y-m-d', $day, $zone);
            $at === false ||
                $query->where(
                    'at',
                    $is,
                    (new DateTimeImmutable("{$day} {$time}", $zone))
                        ->setTimezone(new DateTimeZone('UTC'))
                        ->format('Y-m-d H:i:s.v'),
                );
        }

        return $query;
    }

    public function isEmpty(): bool
    {
        return $this->fields() === [];
    }

    /** @return array<string, string> for an address */
    public function fields(): array
    {
        return array_filter(
            [
                'words' => $this->words,
                'of' => $this->box,
                'kind' => $this->kind,
                'day_from' => $this->from,
                'day_to' => $this->to,
            ],
            fn (string $one): bool => $one !== '',
        );
    }
}
