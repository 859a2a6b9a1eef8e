<?php

declare(strict_types=1);

namespace App\Backup;

use RuntimeException;

/**
 * A dump of the database as text: looked through line by line before any of it is run, since whoever made the file may
 * have written anything into it. What is taken is the grammar of mariadb-dump for tables and their rows, and no other
 * statement, comment or command of the client.
 */
final class DumpText
{
    /** Bytes of one line; the dumping program breaks rows well before that. */
    private const LONGEST = 32 * 1024 * 1024;

    private const NAME = '`\w{1,64}`';

    /** Settings that a dump makes for its session and takes back; the texts in it are always UTF-8. */
    private const SET =
        '~^/\*M?!\d{5,6} SET (?:'.
        'NAMES utf8mb4'.
        '|@(?:OLD_\w+|saved_cs_client) *= *@@\w+(?:, *(?:(?:UNIQUE|FOREIGN_KEY)_CHECKS=0|SQL_MODE=\'NO_AUTO_VALUE_ON_ZERO\'|SQL_NOTES=0|NOTE_VERBOSITY=0))?'.
        '|character_set_client *= *(?:utf8mb[34]|utf8|@saved_cs_client)'.
        '|TIME_ZONE=\'\+00:00\''.
        '|(TIME_ZONE|SQL_MODE|FOREIGN_KEY_CHECKS|UNIQUE_CHECKS|CHARACTER_SET_CLIENT|CHARACTER_SET_RESULTS|COLLATION_CONNECTION|SQL_NOTES|NOTE_VERBOSITY) *= *@OLD_\1'.
        ') \*/;$~D';

    private const TABLE =
        '~^(?:DROP TABLE IF EXISTS '.
        self::NAME.
        '|LOCK TABLES '.
        self::NAME.
        ' WRITE|UNLOCK TABLES|/\*!40000 ALTER TABLE '.
        self::NAME.
        ' (?:DIS|EN)ABLE KEYS \*/);$~D';

    private const TEXT = "'(?:[^'\\\\]++|\\\\.)*+'";

    private const COLUMN =
        '(?:(?:tiny|small|medium|big)?int\(\d+\)(?: unsigned)?|double|float|decimal\(\d+,\d+\)|(?:var)?(?:char|binary)\(\d+\)'.
        '|(?:tiny|medium|long)?(?:text|blob)|date|(?:datetime|timestamp|time)(?:\(\d\))?)'.
        '(?: CHARACTER SET \w+)?(?: COLLATE \w+)?(?: NOT NULL| NULL)?'.
        '(?: DEFAULT (?:NULL|-?[\d.]+|current_timestamp\(\d?\)|'.
        self::TEXT.
        '))?(?: ON UPDATE current_timestamp\(\d?\))?(?: AUTO_INCREMENT)?(?: COMMENT '.
        self::TEXT.
        ')?(?: CHECK \(json_valid\('.
        self::NAME.
        '\)\))?';

    /** A line between the brackets of CREATE TABLE. */
    private const PART =
        '~^  (?:'.
        self::NAME.
        ' '.
        self::COLUMN.
        '|(?:PRIMARY KEY|(?:UNIQUE )?KEY '.
        self::NAME.
        ') \((?:'.
        self::NAME.
        '(?:\(\d+\))?,?)+\)'.
        '|CONSTRAINT '.
        self::NAME.
        ' FOREIGN KEY \((?:'.
        self::NAME.
        ',?)+\) REFERENCES '.
        self::NAME.
        ' \((?:'.
        self::NAME.
        ',?)+\)(?: ON (?:DELETE|UPDATE) (?:CASCADE|SET NULL|RESTRICT|NO ACTION))*'.
        '),?$~Ds';

    private const END = '~^\) ENGINE=InnoDB(?: AUTO_INCREMENT=\d+)? DEFAULT CHARSET=utf8mb4 COLLATE=utf8mb4_\w+;$~D';

    /** One value of a row, or the beginning of a text. */
    private const VALUE = '~\G(?:NULL|0x[0-9A-F]+|-?\d+(?:\.\d+)?(?:e[+-]?\d+)?|(?:_binary )?(\'))~';

    /** @throws RuntimeException at the first line that no dump of ours has, named by its number */
    public static function look(string $file): void
    {
        $in = @fopen($file, 'r') ?: throw new RuntimeException("{$file} cannot be read.");
        try {
            // What may come next: a statement, a part of a table, or rows.
            $state = 'statement';
            for ($number = 1; ($line = fgets($in, self::LONGEST)) !== false; $number++) {
                $line = str_ends_with($line, "\n") ? substr($line, 0, -1) : $line;
                $state = match ($state) {
                    'statement' => self::statement($line),
                    'table' => self::table($line),
                    default => self::rows($line, 0),
                };
                if ($state === null) {
                    throw new RuntimeException(
                        "Line {$number} of the database in it is nothing that a backup of Keen Burrow holds. ".
                            'Nothing of it was run.',
                    );
                }
            }
            if ($state !== 'statement') {
                throw new RuntimeException('The database in it ends in the middle of a statement.');
            }
        } finally {
            fclose($in);
        }
    }

    private static function statement(string $line): ?string
    {
        return match (true) {
            $line === '',
            preg_match('~^/\*M!999999\\\\- enable the sandbox mode \*/ ?$~D', $line) === 1,
            preg_match(self::SET, $line) === 1,
            preg_match(self::TABLE, $line) === 1 => 'statement',
            preg_match('~^CREATE TABLE '.self::NAME.' \($~D', $line) === 1 => 'table',
            preg_match('~^INSERT INTO '.self::NAME.' VALUES ?~', $line, $m) === 1 => $line === $m[0]
                ? 'rows'
                : self::rows($line, strlen($m[0])),
            default => null,
        };
    }

    private static function table(string $line): ?string
    {
        return match (true) {
            preg_match(self::END, $line) === 1 => 'statement',
            preg_match(self::PART, $line) === 1 => 'table',
            default => null,
        };
    }

    /** Rows in brackets with commas between, from a place of the line to its end. */
    private static function rows(string $line, int $at): ?string
    {
        $end = strlen($line);
        while ($at < $end && $line[$at] === '(') {
            do {
                if (preg_match(self::VALUE, $line, $m, 0, ++$at) !== 1) {
                    return null;
                }
                $at += strlen($m[0]);
                isset($m[1]) && ($at = self::pastText($line, $at));
                $mark = $line[$at] ?? '';
            } while ($mark === ',');
            if ($mark !== ')') {
                return null;
            }
            $mark = $line[++$at] ?? '';
            $at++;
            if ($mark === ';') {
                return $at === $end ? 'statement' : null;
            }
            if ($mark !== ',') {
                return null;
            }
        }

        return $at === $end ? 'rows' : null;
    }

    /** The place behind the mark that ends a text; texts may be of many millions of letters. */
    private static function pastText(string $line, int $at): int
    {
        for ($end = strlen($line); $at < $end; $at += 2) {
            $at += strcspn($line, "'\\", $at);
            if ($at < $end && $line[$at] === "'") {
                return $at + 1;
            }
        }

        return $end;
    }
}
