<?php

declare(strict_types=1);

namespace Burrow\BringUp\Playbook;

/** A file, or lines at the end of one, that a step writes on the box. */
final readonly class StepFile
{
    /** `sudo tee PATH <<'MARK'` to the line of its mark: how every playbook writes a file. */
    private const WRITTEN = "/^(?:sudo )?tee( --append)? (\\S+)(?: >\\/dev\\/null)? <<'(\\w+)'\\n(.*?)^\\3$/ms";

    /**
     * @param  string  $path  on the box
     * @param  bool  $appended  its lines stand at the end of a file that is there already
     */
    private function __construct(public string $path, public string $text, public bool $appended)
    {
    }

    /** @return list<self> that a command writes, in its order */
    public static function ofCommand(string $command): array
    {
        preg_match_all(self::WRITTEN, $command, $all, PREG_SET_ORDER);

        return array_map(fn (array $one): self => new self($one[2], $one[4], $one[1] !== ''), $all);
    }
}
