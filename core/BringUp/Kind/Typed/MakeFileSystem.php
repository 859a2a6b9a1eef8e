<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Typed;

use Burrow\BringUp\Kind\Base\Pasted;
use Burrow\BringUp\Kind\Base\Told;
use Burrow\BringUp\Step\BenchHelp;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\StepPlace;
use Burrow\Intake\Disks\FileSystemId;

/** A file system is made; its UUID is what later commands go by. */
final class MakeFileSystem extends Told
{
    public function name(): string
    {
        return 'make-file-system';
    }

    public function place(): StepPlace
    {
        return StepPlace::Box;
    }

    public function takes(Step $step, bool $onBench): array
    {
        return [Pasted::answer()];
    }

    public function bench(): BenchHelp
    {
        return BenchHelp::Type;
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
