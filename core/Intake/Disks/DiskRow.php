<?php

declare(strict_types=1);

namespace Burrow\Intake\Disks;

/** A row of a list of disks while it is read, with the rows that stand below it. */
final class DiskRow
{
    private const SYSTEM = ['/', '/boot', '/boot/firmware', '[SWAP]', '/usr', '/var'];

    private const UNITS = [
        '' => 1,
        'B' => 1,
        'K' => 1024,
        'M' => 1048576,
        'G' => 1073741824,
        'T' => 1099511627776,
        'P' => 1125899906842624,
        'E' => 1152921504606846976,
    ];

    /** @var list<string> */
    public array $mounted = [];

    /** @var list<self> */
    public array $below = [];

    /** @param  array<string, ?string>  $said  by the head of the column in lower case */
    public function __construct(
        public readonly string $name,
        private readonly array $said,
        private readonly bool $tellsMounts,
    ) {
    }

    public function add(?string $mount): void
    {
        if ($mount !== null && $mount !== '') {
            $this->mounted[] = $mount;
        }
    }

    public function fact(): DiskFact
    {
        $mounted = $this->all(fn (self $one): array => $one->mounted);

        return new DiskFact(
            $this->name,
            self::bytes($this->said['size'] ?? ''),
            $this->word('type'),
            $this->word('fstype'),
            $this->word('label'),
            $this->word('uuid'),
            $this->word('model'),
            $this->word('serial'),
            $this->word('tran'),
            self::flag($this->said['rm'] ?? null),
            self::flag($this->said['ro'] ?? null),
            $this->tellsMounts ? array_intersect($mounted, self::SYSTEM) !== [] : null,
            $mounted,
            $this->all(
                fn (self $one): array => array_values(
                    array_filter([$one->word('fstype'), $one->word('label')]),
                ),
            ),
        );
    }

    private function word(string $column): ?string
    {
        $said = trim((string) ($this->said[$column] ?? ''));

        return $said === '' ? null : $said;
    }

    /**
     * Of this row and of all below it.
     *
     * @param  callable(self): list<string>  $of
     * @return list<string>
     */
    private function all(callable $of): array
    {
        $found = $of($this);
        foreach ($this->below as $row) {
            $found = [...$found, ...$row->all($of)];
        }

        return array_values(array_unique($found));
    }

    /** "29.7G" for people, "31914983424" under -b; null for what is no size. */
    public static function bytes(string $said): ?int
    {
        if (preg_match('/^(\d{1,19}(?:[.,]\d{1,3})?)([BKMGTPE]?)$/D', trim($said), $m) !== 1) {
            return null;
        }
        $bytes = (float) str_replace(',', '.', $m[1]) * self::UNITS[$m[2]];

        return $m[2] === '' && ctype_digit($m[1])
            ? (int) $m[1]
            : ($bytes < PHP_INT_MAX
                ? (int) round($bytes)
                : null);
    }

    private static function flag(?string $said): ?bool
    {
        return match ($said) {
            '0', '' => $said === '' ? null : false,
            '1' => true,
            default => null,
        };
    }
}
