<?php

declare(strict_types=1);

namespace Burrow\Stores\Rights;

/** Somebody on another machine, as `id` prints him there (id(1)): only the numbers travel. */
final readonly class Caller
{
    /** Of one text; no household has so many. */
    private const MOST = 200;

    /** @param  list<int>  $groups  his own among them */
    public function __construct(public string $name, public int $user, public array $groups)
    {
    }

    /** @return list<self> lines of another form are left out */
    public static function all(string $text): array
    {
        $callers = [];
        preg_match_all(
            '/^uid=(\d{1,10})(?:\(([^()\n]{1,64})\))? gid=(\d{1,10})\S*(?: groups=(\S+(?: \S+)*?))?\s*$/m',
            str_replace("\r", '', $text),
            $all,
            PREG_SET_ORDER,
        );
        foreach (array_slice($all, 0, self::MOST) as $m) {
            preg_match_all('/(?:^|,)(\d{1,10})/', $m[4] ?? '', $groups);
            $callers[] = new self(
                ($m[2] ?? '') === '' ? "number {$m[1]}" : $m[2],
                (int) $m[1],
                array_values(array_unique([(int) $m[3], ...array_map(intval(...), $groups[1])])),
            );
        }

        return $callers;
    }

    /** @return array<int, string> names by number, from lines of passwd(5) */
    public static function accounts(string $text): array
    {
        preg_match_all(
            '/^([A-Za-z_][\w.-]{0,63}\$?):[^:\n]*:(\d{1,10}):\d{1,10}:[^:\n]*:[^:\n]*:[^\n]*$/m',
            str_replace("\r", '', $text),
            $all,
            PREG_SET_ORDER,
        );
        $names = [];
        foreach ($all as [, $name, $number]) {
            $names[(int) $number] ??= $name;
        }

        return $names;
    }
}
