<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Typed;

use Burrow\BringUp\Kind\Base\Pasted;
use Burrow\BringUp\Kind\Base\ReadOnTheBox;
use Burrow\BringUp\Step\BringUpFindings;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\StepField;
use Burrow\Intake\Disks\BlockDevice;
use Burrow\Judgement\Findings;
use Burrow\Stores\DiskChoice;

/**
 * The box's list of disks tells the store's from the one it runs on; the person types its name before anything is
 * wiped.
 */
final class WhichDisk extends ReadOnTheBox
{
    private const TYPED = 'typed_disk';

    public function name(): string
    {
        return 'which-disk';
    }

    public function takes(Step $step, bool $onBench): array
    {
        return [
            Pasted::answer(),
            StepField::line(self::TYPED, 'Name of the disk that may be wiped', 'as in the list'),
        ];
    }

    public function judge(Judging $at): Outcome
    {
        $reading = Pasted::read($at, 'lsblk');
        if ($reading instanceof Outcome) {
            return $reading;
        }
        $choice = DiskChoice::among($reading->all(BlockDevice::class), $at->facts->disk);
        $disk = $choice->disk;
        if ($disk === null) {
            return Outcome::notYet($choice->findings);
        }
        $typed = $at->given(self::TYPED);
        if ($typed !== $disk->name) {
            return Outcome::notYet(
                Findings::of(BringUpFindings::typeTheDisk($typed, $disk->name, self::TYPED))->and(
                    $choice->findings,
                ),
            );
        }

        return Outcome::over("{$disk->name}, {$disk->size->decimal()}", $choice->findings, [
            'disk' => $disk->name,
            'disk_serial' => $disk->serial ?? '',
            'disk_partition' => $disk->firstPartition(),
            'disk_bytes' => (string) $disk->size->count,
        ]);
    }
}
