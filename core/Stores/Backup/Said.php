<?php

declare(strict_types=1);

namespace Burrow\Stores\Backup;

use DateTimeImmutable;

/** What the scripts said of one backup: that a copy was made, that one was brought back, or why not. */
final readonly class Said
{
    /** Lines of a text that are looked at. */
    private const MOST = 20_000;

    /**
     * @param  string  $name  of the backup
     * @param  string  $what  "made", "restored" or "stopped"
     * @param  ?DateTimeImmutable  $stamp  of the copy; null for one that stopped
     * @param  int  $sent  bytes that went over
     * @param  int  $total  bytes of the whole copy
     * @param  int  $differ  things that were another when it was brought back
     * @param  string  $because  why it stopped
     */
    private function __construct(
        public string $name,
        public string $what,
        public ?DateTimeImmutable $stamp,
        public int $sent = 0,
        public int $total = 0,
        public int $seconds = 0,
        public int $files = 0,
        public int $differ = 0,
        public string $because = '',
    ) {
    }

    /** @return list<self> in the order in which they were said, from a terminal or a journal */
    public static function all(string $text): array
    {
        $all = [];
        foreach (array_slice(explode("\n", $text, self::MOST + 1), 0, self::MOST) as $line) {
            if (
                preg_match(
                    '/\bbackup ([a-z][a-z0-9-]{0,30}): (OK|RESTORED|STOPPED:) (.{1,400})/',
                    $line,
                    $m,
                ) !== 1
            ) {
                continue;
            }
            $number = fn (string $key): int => preg_match("/ {$key}=(\d{1,17})\b/", " {$m[3]}", $n) === 1
                ? (int) $n[1]
                : 0;
            $stamp = Keep::time(strtok($m[3], ' ') ?: '');
            if ($m[2] === 'STOPPED:') {
                $all[] = new self(
                    $m[1],
                    'stopped',
                    null,
                    because: mb_substr(mb_scrub(trim($m[3]), 'UTF-8'), 0, 200),
                );
            } elseif ($stamp !== null) {
                $all[] = new self(
                    $m[1],
                    $m[2] === 'OK' ? 'made' : 'restored',
                    $stamp,
                    $number('sent'),
                    $number('total'),
                    $number('seconds'),
                    $number('files'),
                    $number('differ'),
                );
            }
        }

        return $all;
    }
}
