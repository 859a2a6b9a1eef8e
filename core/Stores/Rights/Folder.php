<?php

declare(strict_types=1);

namespace Burrow\Stores\Rights;

/** Whose a folder is and who may do what in it, as `stat -c '%A %U %G %n'` prints it (stat(1)). */
final readonly class Folder
{
    private function __construct(
        public string $path,
        public string $owner,
        public string $group,
        public string $modes,
    ) {
    }

    /** @return array<string, self> by path; lines of another form are left out */
    public static function all(string $text): array
    {
        $folders = [];
        foreach (explode("\n", $text) as $line) {
            if (
                preg_match(
                    '/^(d[rwxsStT-]{9})[.+]? (\S{1,64}) (\S{1,64}) (\/.{0,400})$/D',
                    rtrim($line),
                    $m,
                ) === 1
            ) {
                $folders[$m[4]] = new self($m[4], $m[2], $m[3], $m[1]);
            }
        }

        return $folders;
    }

    /**
     * What somebody may do in it: list and enter, make and remove.
     *
     * @param  list<string>  $groups
     * @return array{reads: bool, writes: bool, as: string} as "owner", "group" or "others"
     */
    public function lets(string $user, array $groups): array
    {
        // The first that fits counts, whatever the others say (path_resolution(7)).
        [$at, $as] = match (true) {
            $user === $this->owner => [1, 'owner'],
            in_array($this->group, $groups, true) => [4, 'group'],
            default => [7, 'others'],
        };
        $may = substr($this->modes, $at, 3);
        $enters = in_array($may[2], ['x', 's', 't'], true);

        return ['reads' => $may[0] === 'r' && $enters, 'writes' => $may[1] === 'w' && $enters, 'as' => $as];
    }

    /** "drwxrwx--- of warden, group seeds" */
    public function words(): string
    {
        return "{$this->modes} of {$this->owner}, group {$this->group}";
    }
}
