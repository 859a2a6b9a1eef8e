<?php

declare(strict_types=1);

namespace App\BringUp;

use App\Catalogue\Catalogue;
use App\Models\Box;
use App\Models\BoxJob;
use App\Models\Run;
use App\Models\RunStep;
use Burrow\BringUp\Countdown;
use Burrow\BringUp\Playbook;
use Burrow\BringUp\Values;
use Burrow\Catalogue\Job\Job;
use Burrow\Catalogue\Job\StepTemplate;
use Burrow\Judgement\Finding;
use Burrow\Stores\FstabLine;
use Burrow\Stores\SmbShare;
use DateTimeImmutable;

/** A run seen together with its playbook: which template a step plays, and the values that fill it. */
final readonly class RunBook
{
    public const STORE = ['store_label' => 'store', 'mount_point' => '/srv/store', 'share' => 'store'];

    /** A time teaches when it lies between these shares of the shortest and the longest that is usual. */
    private const SOONEST = 0.25;

    private const LATEST = 1.5;

    public Playbook $playbook;

    /** @var list<Job> those of the run's jobs that the catalogue still holds */
    public array $jobs;

    public function __construct(public Run $run, Catalogue $catalogue)
    {
        $jobs = $run->adds === null ? $run->box->jobs : $run->box->jobs->whereIn('job', $run->adds);
        $this->jobs = array_values(array_filter($jobs->map(fn (BoxJob $job): ?Job => $catalogue->job($job->job))->all()));
        $common = $catalogue->commonSteps();
        $this->playbook = Playbook::for($this->jobs, $run->adds === null ? $common['before'] : $common['again'], $common['after']);
    }

    public function template(RunStep $step): StepTemplate
    {
        return $this->playbook->step($step->step) ?? StepTemplate::gone($step->step);
    }

    public function values(): Values
    {
        $box = $this->run->box;
        $known = [
            'host' => $box->name,
            'user' => $box->user,
            'address' => $box->address,
            'mac' => $box->mac,
            'fingerprint' => $box->host_key,
            'disk' => $this->run->learnedText('disk'),
            'disk_serial' => $this->run->learnedText('disk_serial'),
            'disk_bytes' => $this->run->learnedText('disk_bytes'),
            'disk_partition' => $this->run->learnedText('disk_partition'),
            ...self::STORE,
        ];
        $uuid = $this->run->learnedText('uuid');
        $blocks = array_filter([
            'fstab_line' => $uuid === null ? null : (string) new FstabLine($uuid, self::STORE['mount_point']),
            'smb_share' => $box->user === null ? null : (string) new SmbShare(self::STORE['share'], self::STORE['mount_point'], $box->user),
        ]);

        return new Values(array_filter($known, is_string(...)), $blocks);
    }

    /** Null for a step that does not wait or has not begun. */
    public function countdown(RunStep $step): ?Countdown
    {
        $template = $this->template($step);
        if ($template->waitTo === null || $step->began_at === null) {
            return null;
        }

        return Countdown::of($template, $step->began_at->toDateTimeImmutable(), new DateTimeImmutable(), $this->measured($template), $this->speed());
    }

    /** @return list<string> ids of the steps that are over */
    public function finished(): array
    {
        return array_values(
            $this->run->steps->filter(fn (RunStep $step): bool => $step->isFinished())->map(fn (RunStep $step): string => $step->step)->all(),
        );
    }

    /** "Step 8 of 15. 21 min of your hands left, 34 min of waiting." */
    public function sentence(): string
    {
        $steps = $this->run->steps->count();
        $passed = $this->passedOver();
        $name = $this->run->box->called();
        if ($this->run->finished_at !== null) {
            return match (true) {
                $passed > 0 => "Unfinished: {$passed} of {$steps} steps were passed over.",
                $this->withoutPlaybook() !== [] => "The common steps are over, and {$name} is not finished.",
                default => "All {$steps} steps are over, and {$name} is in service.",
            };
        }
        $finished = $this->finished();
        $step = count($finished) + 1;
        $hands = $this->playbook->handsLeft($finished);
        $waiting = $this->playbook->waitLeft($finished);

        return "Step {$step} of {$steps}. {$hands} of your hands left, {$waiting} of waiting.";
    }

    /** How many steps were passed over. */
    public function passedOver(): int
    {
        return $this->run->steps->where('state', RunStep::SKIPPED)->count();
    }

    /** @return list<Job> jobs of which this run holds no step of their own */
    public function withoutPlaybook(): array
    {
        return array_values(array_filter($this->jobs, fn (Job $job): bool => $job->steps === []));
    }

    /** What this run does not contain, said at its start and at its end; null when it holds everything. */
    public function missing(): ?Finding
    {
        $jobs = array_map(fn (Job $job): string => $job->label, $this->withoutPlaybook());

        return $jobs === []
            ? null
            : Finding::warn(
                'bringup.no_playbook',
                'This run brings the box up, and does not install: '.implode(', ', $jobs).'.',
                'The playbook of '.(count($jobs) === 1 ? 'this job' : 'these jobs').' holds no steps of its own yet, so nothing of it will be installed or tried.',
                'After the last step the box stands there, pinned and up to date, and counts as not finished.',
            );
    }

    private function speed(): float
    {
        $speed = $this->run->learned['speed'] ?? 1;

        return is_numeric($speed) && $speed > 0 ? (float) $speed : 1.0;
    }

    /**
     * How long this step took on boxes of the same class, in seconds. Whoever comes back much later than expected
     * has measured the coffee and not the box, and whoever presses “Done” at once has measured nothing; such times do not count.
     *
     * @return list<float>
     */
    private function measured(StepTemplate $template): array
    {
        $box = $this->run->box;
        $longest = (($template->waitTo->seconds ?? 0) * self::LATEST) / $this->speed();
        $shortest = (($template->waitFrom->seconds ?? 0) * self::SOONEST) / $this->speed();
        $times = RunStep::query()
            ->where('step', $template->id)
            ->where('state', RunStep::DONE)
            ->whereNotNull('began_at')
            ->where('run_id', '!=', $this->run->id)
            ->whereIn(
                'run_id',
                Run::query()
                    ->select('id')
                    ->whereIn('box_id', Box::query()->select('id')->where('board', $box->board)->where('on_bench', $box->on_bench)),
            )
            ->latest('id')
            ->limit(10)
            ->get()
            ->map(fn (RunStep $step): float => (float) $step->began_at?->diffInSeconds($step->finished_at))
            ->filter(fn (float $seconds): bool => $seconds > $shortest && $seconds <= $longest);

        return array_values($times->all());
    }
}
