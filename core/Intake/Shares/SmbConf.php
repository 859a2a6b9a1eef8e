<?php

declare(strict_types=1);

namespace Burrow\Intake\Shares;

use Burrow\Intake\UnreadLines;

/**
 * smb.conf(5), and what `testparm -s` makes of it: sections with parameters whose names ignore case and blanks. Of a
 * parameter and its synonyms the last one counts, and "writable" is "read only" turned round.
 */
final class SmbConf
{
    public const SIGN = '/^\s*\[[^\]\n]{1,80}\]\s*$/m';

    /** Sections that are no share of their own. */
    private const NOT = ['global', 'printers', 'print$'];

    /** @return list<ShareFact> */
    public static function read(string $text, UnreadLines $unread): array
    {
        $shares = [];
        $at = null;
        foreach (self::lines($text) as $number => $line) {
            if (preg_match('/^\[\s*(.{1,80}?)\s*\]$/', $line, $m) === 1) {
                $at = $m[1];
                $shares[$at] ??= [];
            } elseif (preg_match('/^([^=]{1,80}?)\s*=\s*(.*)$/', $line, $m) === 1 && $at !== null) {
                $key = strtolower((string) preg_replace('/\s+/', '', $m[1]));
                $shares[$at] = self::said($shares[$at], $key, trim($m[2]));
            } elseif (
                preg_match(
                    '/^(?:Load smb|Loaded services|Server role|Weak crypto|Press enter|Processing section|lp_load|rlimit)/',
                    $line,
                ) !== 1
            ) {
                $unread->add($number, 'it is neither a section nor a parameter with its value');
            }
        }
        $facts = [];
        foreach ($shares as $name => $said) {
            if (in_array(strtolower((string) $name), self::NOT, true)) {
                continue;
            }
            $facts[] = new ShareFact(
                (string) $name,
                $said['path'] ?? null,
                // Nobody may write unless the file says otherwise (smb.conf(5), read only).
                ($said['readonly'] ?? 'yes') === 'yes',
                ($said['guestok'] ?? 'no') === 'yes',
                preg_split('/[\s,]+/', $said['validusers'] ?? '', -1, PREG_SPLIT_NO_EMPTY) ?: [],
            );
        }

        return $facts;
    }

    /**
     * Every parameter as it stands, with its line; names without blanks and in small letters.
     *
     * @return list<array{section: string, key: string, value: string, line: int}>
     */
    public static function parameters(string $text): array
    {
        $all = [];
        $at = 'global';
        foreach (self::lines($text) as $number => $line) {
            if (preg_match('/^\[\s*(.{1,80}?)\s*\]$/', $line, $m) === 1) {
                $at = $m[1];
            } elseif (preg_match('/^([^=]{1,80}?)\s*=\s*(.*)$/', $line, $m) === 1) {
                $all[] = [
                    'section' => $at,
                    'key' => strtolower((string) preg_replace('/\s+/', '', $m[1])),
                    'value' => trim($m[2]),
                    'line' => $number,
                ];
            }
        }

        return $all;
    }

    /**
     * @param  array<string, string>  $share
     * @return array<string, string>
     */
    private static function said(array $share, string $key, string $value): array
    {
        $yes = fn (string $said): string => preg_match('/^(?:yes|true|1|on)$/i', $said) === 1 ? 'yes' : 'no';
        $no = fn (string $said): string => $yes($said) === 'yes' ? 'no' : 'yes';

        return match ($key) {
            'path', 'directory' => ['path' => $value] + $share,
            'readonly' => ['readonly' => $yes($value)] + $share,
            'writable', 'writeable', 'writeok' => ['readonly' => $no($value)] + $share,
            'guestok', 'public' => ['guestok' => $yes($value)] + $share,
            'validusers' => ['validusers' => trim($value, '"')] + $share,
            default => $share,
        };
    }

    /**
     * Without comments and empty lines; a line that ends in a backslash goes on.
     *
     * @return iterable<int, string>
     */
    private static function lines(string $text): iterable
    {
        $open = '';
        foreach (explode("\n", $text) as $index => $line) {
            $line = trim($line);
            if ($open === '' && ($line === '' || $line[0] === '#' || $line[0] === ';')) {
                continue;
            }
            if (str_ends_with($line, '\\') && strlen($open) < 4096) {
                $open .= rtrim(substr($line, 0, -1)).' ';

                continue;
            }
            yield $index + 1 => $open.$line;
            $open = '';
        }
        if ($open !== '') {
            yield substr_count($text, "\n") + 1 => $open;
        }
    }

    private function __construct()
    {
    }
}
