<?php

declare(strict_types=1);

namespace Burrow\Stores\Rights;

use Burrow\Intake\Shares\SmbConf;
use Burrow\Judgement\Findings;
use Burrow\Stores\ShareFindings;
use Burrow\Stores\StoresFindings;

/** A file of shares looked over line by line: what is said twice, what contradicts itself, what lets too many in. */
final class SmbLook
{
    /** @param  list<string>  $accounts  of the box */
    public static function over(string $text, array $accounts): Findings
    {
        $found = $seen = [];
        // Its section alone is enough.
        $homes = preg_match('/^[ \t]*\[[ \t]*homes[ \t]*\]/im', $text) === 1;
        foreach (SmbConf::parameters($text) as $one) {
            [$key, $value] = Share::resolved($one['key'], $one['value']);
            $before = $seen[$one['section']][$key] ?? null;
            if ($before !== null) {
                $found[] =
                    strcasecmp($before['value'], $value) === 0
                        ? StoresFindings::saidTwice(
                            $one['section'],
                            $before['key'],
                            $one['key'],
                            $before['line'],
                            $one['line'],
                        )
                        : StoresFindings::contradicts(
                            $one['section'],
                            $before['key'],
                            $one['key'],
                            $before['line'],
                            $one['line'],
                        );
            }
            $seen[$one['section']][$key] = ['key' => $one['key'], 'value' => $value, 'line' => $one['line']];
        }
        foreach (Share::all($text) as $share) {
            if ($share->is('guestok', false) && $share->list('validusers') !== []) {
                $found[] = ShareFindings::guestsAndNames($share->name);
            }
            if ($homes && in_array(strtolower($share->name), array_map(strtolower(...), $accounts), true)) {
                $found[] = ShareFindings::likeAnAccount($share->name);
            }
            if ($share->is('guestok', false) && ! $share->is('readonly', true)) {
                $found[] = ShareFindings::guestsWrite($share->name);
            }
        }

        return Findings::of(...$found);
    }

    private function __construct()
    {
    }
}
