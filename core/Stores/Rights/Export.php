<?php

declare(strict_types=1);

namespace Burrow\Stores\Rights;

/**
 * One folder that is exported to one kind of client, as exports(5) or `exportfs -v` has it, as far as it says who may
 * do what.
 */
final readonly class Export
{
    /** The number that squashed people work as, unless said otherwise (exports(5): anonuid). */
    private const NOBODY = 65534;

    private const MOST = 200;

    private function __construct(
        public string $path,
        public string $client,
        public bool $readOnly,
        public bool $squashesRoot,
        public bool $squashesAll,
        public int $anonUser,
        public int $anonGroup,
    ) {
    }

    /** @return list<self> lines of another form are left out */
    public static function all(string $text): array
    {
        $exports = [];
        $path = '';
        $text = str_replace(["\r", "\\\n"], ['', ' '], $text);
        foreach (explode("\n", $text) as $line) {
            $line = (string) preg_replace('/(?:^|\s)#.*/', '', $line);
            if (preg_match('~^(?|"([^"]{1,400})"|(/\S{0,400}))\s*(.*)$~', $line, $m) === 1) {
                $path = (string) preg_replace_callback(
                    '/\\\\([0-3][0-7]{2})/',
                    fn (array $octal): string => chr((int) octdec($octal[1])),
                    $m[1],
                );
                $clients = $m[2];
            } elseif ($path !== '' && preg_match('/^\s+(\S.*)$/', $line, $m) === 1) {
                $clients = $m[1];
            } else {
                $path = '';

                continue;
            }
            preg_match_all('/(?<!\S)([^\s()]{0,300})\(([^()\s]{0,600})\)(?!\S)/', $clients, $all, PREG_SET_ORDER);
            foreach ($all as [, $client, $options]) {
                if (count($exports) < self::MOST) {
                    $exports[] = self::exported($path, $client, explode(',', $options));
                }
            }
        }

        return $exports;
    }

    /** @param  list<string>  $options  a later one holds against an earlier */
    private static function exported(string $path, string $client, array $options): self
    {
        [$readOnly, $root, $all, $user, $group] = [true, true, false, self::NOBODY, self::NOBODY];
        foreach ($options as $option) {
            [$key, $value] = [...explode('=', $option, 2), ''];
            match ($key) {
                'rw' => ($readOnly = false),
                'ro' => ($readOnly = true),
                'root_squash' => ($root = true),
                'no_root_squash' => ($root = false),
                'all_squash' => ($all = true),
                'no_all_squash' => ($all = false),
                'anonuid' => ($user = (int) $value),
                'anongid' => ($group = (int) $value),
                default => null,
            };
        }

        return new self(
            rtrim($path, '/') ?: '/',
            in_array($client, ['', '<world>'], true) ? '*' : $client,
            $readOnly,
            $root,
            $all,
            $user,
            $group,
        );
    }

    /**
     * Whom the box takes somebody for.
     *
     * @return array{int, list<int>} user and groups, as numbers
     */
    public function taken(Caller $caller): array
    {
        if ($this->squashesAll || ($this->squashesRoot && $caller->user === 0)) {
            return [$this->anonUser, [$this->anonGroup]];
        }

        return [
            $caller->user,
            $this->squashesRoot
                ? array_map(fn (int $one): int => $one === 0 ? $this->anonGroup : $one, $caller->groups)
                : $caller->groups,
        ];
    }

    /**
     * What somebody can do in the exported folder itself. Files inside, folders above and access control lists are
     * not looked at, and neither is Kerberos: numbers are believed (sec=sys).
     *
     * @param  array<string, Folder>  $folders  by path, owners as numbers
     * @param  array<int, string>  $accounts  names of the box's accounts by number
     */
    public function lets(Caller $caller, array $folders, array $accounts): Right
    {
        [$user, $groups] = $this->taken($caller);
        $as = isset($accounts[$user]) ? "{$accounts[$user]} ({$user})" : "number {$user}";
        $folder = $folders[$this->path] ?? null;
        if ($folder === null) {
            return new Right(false, false, "Whose {$this->path} is was not told.", false);
        }
        $lets =
            $user === 0
                ? ['reads' => true, 'writes' => true, 'as' => 'root']
                : $folder->lets((string) $user, array_map(strval(...), $groups));

        return match (true) {
            ! $lets['reads'] => new Right(
                false,
                ! $this->readOnly && $lets['writes'],
                "Taken for {$as}; the folder does not let {$lets['as']} in: {$folder->words()}.",
            ),
            $this->readOnly => new Right(true, false, "Taken for {$as}; the export is read-only."),
            ! $lets['writes'] => new Right(
                true,
                false,
                "Taken for {$as}; the folder does not let {$lets['as']} write: {$folder->words()}.",
            ),
            default => new Right(true, true, "Taken for {$as}; export and folder let {$lets['as']} do both."),
        };
    }
}
