<?php

declare(strict_types=1);

namespace App\BringUp;

use App\Catalogue\Playbooks;
use App\Models\Box;
use App\Models\Run;
use Burrow\BringUp\Playbook\FilledStep;
use Burrow\BringUp\Playbook\StepFile;
use Illuminate\Database\Eloquent\Collection;

/** The files that the steps of a box's jobs write on it, as the record has them now. */
final readonly class StepFiles
{
    public function __construct(private Playbooks $playbooks)
    {
    }

    /** @return array<string, StepFile> by path; lines at the end of a file that is there already by their path, too */
    public function of(Box $box): array
    {
        $learned = [];
        foreach (
            Run::query()->where('box_id', $box->id)->whereNull('change')->orderBy('id')->get() as $before
        ) {
            $learned = [...$learned, ...$before->learned];
        }
        // All of its jobs as one playing, with what any run of the box learned.
        $run = new Run(['learned' => $learned]);
        $run->setRelation('box', $box->loadMissing(['jobs', 'network']));
        $run->setRelation('steps', new Collection());
        $files = [];
        foreach ((new RunBook($run, $this->playbooks))->filled()->steps as $step) {
            foreach ($this->whole($step) as $file) {
                $files[$file->path] = $file;
            }
        }
        ksort($files);

        return $files;
    }

    /** @return list<StepFile> */
    private function whole(FilledStep $step): array
    {
        return array_values(array_filter($step->files(), fn (StepFile $one): bool => ! $one->appended));
    }
}
