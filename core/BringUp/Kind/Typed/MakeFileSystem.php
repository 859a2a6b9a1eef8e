<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Typed;

use Burrow\BringUp\Kind\Base\Pasted;
use Burrow\BringUp\Kind\Base\ReadOnTheBox;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Outcome;
use Burrow\Intake\Disks\FileSystemId;

/** A file system is made; its UUID is what later commands go by. */
final class MakeFileSystem extends ReadOnTheBox
{
    public function name(): string
    {
        return 'make-file-system';
    }

    public function judge(Judging $at): Outcome
    {
        $reading = Pasted::read($at, 'uuid');
        if ($reading instanceof Outcome) {
            return $reading;
        }
        $made = $reading->all(FileSystemId::class)[0] ?? null;

        return Outcome::over('file system made', $reading->findings, $made === null ? [] : ['uuid' => $made->uuid]);
    }
}
