<?php

declare(strict_types=1);

namespace App\BringUp;

use App\Catalogue\Catalogue;
use Burrow\Catalogue\Job\StepTemplate;
use Burrow\Intake\Disks\BlockDevice;
use Burrow\Intake\Disks\FileSystemId;
use Burrow\Intake\Intake;
use Burrow\Intake\Refusals;
use Burrow\Intake\Updates\UpgradeSummary;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Stores\DiskChoice;

/** Judges what was pasted at a step, and learns from it the values that later commands need. */
final readonly class PasteJudge
{
    public function __construct(private Intake $intake, private Catalogue $catalogue)
    {
    }

    /** @param  string  $typedDisk the disk's name, typed back by the person where it is going to be wiped */
    public function judge(RunBook $book, StepTemplate $step, string $pasted, string $typedDisk): Outcome
    {
        $refused = Refusals::in($pasted);
        if ($step->reads === '') {
            return $refused->blocks() ? Outcome::notYet($refused) : Outcome::over(trim($pasted) === '' ? 'done, by your word' : 'done', Findings::of());
        }
        if (trim($pasted) === '') {
            return $step->reads === 'upgrade'
                ? Outcome::over('done, by your word', Findings::of())
                : Outcome::notYet(
                    Findings::of(
                        Finding::stop(
                            'bringup.answer_needed',
                            'The box\'s answer is needed here.',
                            'Later commands are filled in from it.',
                            'Paste what you saw.',
                            Place::field('pasted'),
                        ),
                    ),
                );
        }
        $reading = $this->intake->read($step->reads, $pasted);

        return match (true) {
            $reading->findings->blocks() || $reading->facts === [] => Outcome::notYet($refused->blocks() ? $refused : $reading->findings),
            $step->reads === 'lsblk' => $this->disk($book, $reading->all(BlockDevice::class), $typedDisk),
            $step->reads === 'uuid' => Outcome::over('file system made', $reading->findings, [
                'uuid' => ($reading->all(FileSystemId::class)[0] ?? null)?->uuid,
            ]),
            default => Outcome::over($this->upgraded($reading->all(UpgradeSummary::class)), $reading->findings),
        };
    }

    /** @param  list<BlockDevice>  $disks */
    private function disk(RunBook $book, array $disks, string $typed): Outcome
    {
        $planned = $this->catalogue->shelf()->drives[$book->run->box->drive ?? ''] ?? null;
        $choice = DiskChoice::among($disks, $planned?->capacity);
        $disk = $choice->disk;
        if ($disk === null) {
            return Outcome::notYet($choice->findings);
        }
        if (trim($typed) !== $disk->name) {
            $ask = Finding::stop(
                'bringup.type_the_disk',
                trim($typed) === '' ? 'Type the disk\'s name to go on.' : "“{$typed}” is not the disk that was found.",
                'The next step wipes it, and that cannot be undone.',
                "It is {$disk->name}.",
                Place::field('typed_disk'),
            );

            return Outcome::notYet(Findings::of($ask)->and($choice->findings));
        }

        return Outcome::over("{$disk->name}, {$disk->size->decimal()}", $choice->findings, [
            'disk' => $disk->name,
            'disk_serial' => $disk->serial ?? '',
            'disk_partition' => $disk->firstPartition(),
            'disk_bytes' => (string) $disk->size->count,
        ]);
    }

    /** @param  list<UpgradeSummary>  $summaries */
    private function upgraded(array $summaries): string
    {
        return $summaries === [] ? 'done' : "{$summaries[0]->upgraded} packages";
    }
}
