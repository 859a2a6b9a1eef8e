<?php

declare(strict_types=1);

namespace Burrow\Intake\Shares;

use Burrow\Intake\UnreadLines;

/** exports(5), `exportfs -v` and `showmount -e`: folders, and to whom they are exported how. */
final class Exports
{
    public const SIGN = '/^(?:Export list for \S+:|Exports list on |"?\/[^"\n]{0,300}"?\s+(?:\S+\(\S*\)|\(\S+\))|\s+\S+\((?:sync|async|ro|rw)\S*\)$)/m';

    /** @return list<ShareFact> */
    public static function read(string $text, UnreadLines $unread): array
    {
        $facts = [];
        $path = null;
        $listed = $alone = false;
        foreach (explode("\n", str_replace("\\\n", ' ', $text)) as $index => $line) {
            $line = (string) preg_replace('/(?:^|\s)#.*/', '', $line);
            if (trim($line) === '') {
                continue;
            }
            if (preg_match('/^Exports? list /', $line) === 1) {
                $listed = true;

                continue;
            }
            if (preg_match('/^(?|"([^"]{1,400})"|(\/\S*))(?:\s+(.*))?$/', $line, $m) === 1) {
                $path = self::unescaped($m[1]);
                $clients = trim($m[2] ?? '');
                // A folder that names nobody is everybody's, unless its clients follow below, as exportfs prints them.
                $alone = $clients === '' && ! $listed;
                $clients = $alone ? '*' : $clients;
            } elseif ($path !== null && preg_match('/^\s+(\S.*)$/', $line, $m) === 1) {
                $clients = trim($m[1]);
                $alone ? array_pop($facts) : null;
                $alone = false;
            } else {
                $unread->add($index + 1, 'no folder with its clients stands in it');

                continue;
            }
            foreach (preg_split('/\s+/', $clients, 200, PREG_SPLIT_NO_EMPTY) ?: [] as $client) {
                foreach ($listed ? explode(',', $client) : [$client] as $one) {
                    $fact = self::exported($path, $one, $listed);
                    $fact === null
                        ? $unread->add($index + 1, 'its options are not whole')
                        : ($facts[] = $fact);
                }
            }
        }

        return $facts;
    }

    private static function exported(string $path, string $client, bool $listed): ?ShareFact
    {
        if (preg_match('/^([^()]{0,300})(?:\(([^()]{0,600})\))?$/', $client, $m) !== 1) {
            return null;
        }
        $options = explode(',', $m[2] ?? '');
        // Read-only is what holds where nothing is said (exports(5)); showmount tells no options at all.
        $access = $listed ? null : (in_array('rw', $options, true) ? 'rw' : 'ro');

        return new ShareFact(
            $path,
            $path,
            $access === null ? null : $access === 'ro',
            null,
            [],
            // An option list without a client, and what exportfs writes for everybody.
            in_array($m[1], ['', '<world>'], true) ? '*' : $m[1],
            $access,
        );
    }

    /** A blank in a path stands as \040. */
    private static function unescaped(string $said): string
    {
        return (string) preg_replace_callback(
            '/\\\\([0-3][0-7]{2})/',
            fn (array $m): string => chr((int) octdec($m[1])),
            $said,
        );
    }

    private function __construct()
    {
    }
}
