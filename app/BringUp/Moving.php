<?php

declare(strict_types=1);

namespace App\BringUp;

use App\Catalogue\Catalogue;
use App\Models\Box;
use App\Models\JournalEntry;
use App\Models\Run;
use App\Models\Service;
use App\Models\Store;
use Burrow\BringUp\Change;
use Burrow\Catalogue\Job\Job;
use Burrow\Catalogue\Job\JobPort;
use Burrow\Household\Stage;

/**
 * The end of a run: what was looked at becomes part of the box's record, with the time it was looked at. A box is in
 * service when every step of every job of it was played; until then it stands there unfinished.
 */
final readonly class Moving
{
    public function __construct(private Catalogue $catalogue)
    {
    }

    public function in(Run $run, RunBook $book): void
    {
        $box = $run->box;
        if ($run->changes() !== null) {
            $this->changed($run, $box);

            return;
        }
        $this->ports($run, $book);
        $run->update(['finished_at' => now()]);
        $played = array_map(fn (Job $job): string => $job->id, $book->jobs);
        if ($book->passedOver() === 0) {
            $box->jobs()
                ->whereIn('job', array_diff($played, $book->withoutPlaybook()))
                ->update(['finished_at' => now()]);
        }
        $whole = $box->jobs()->whereNull('finished_at')->doesntExist();
        $name = $box->called();
        if ($whole || $box->isInService()) {
            $box->update([
                'stage' => Stage::InService,
                'in_service_at' => $box->in_service_at ?? now(),
                'silent_since' => null,
                'made_anew_at' => null,
            ]);
        } else {
            $box->update(['stage' => Stage::Unfinished]);
        }
        $whole
            ? JournalEntry::write(
                $box,
                'in service',
                "{$name} is in service: ".
                    implode(', ', array_map(fn (Job $job): string => $job->label, $book->jobs)).
                    '.',
            )
            : JournalEntry::write(
                $box,
                'unfinished',
                "{$name}: ".
                    $book->sentence().
                    ($book->missing() === null ? '' : " {$book->missing()->found}"),
            );
    }

    /** A change is over: the name is the new one, and how far the box had come before stays. */
    private function changed(Run $run, Box $box): void
    {
        $run->update(['finished_at' => now()]);
        $name = $run->learned['new_name'] ?? null;
        if (in_array($run->changes(), [Change::Name, Change::Move], true) && is_string($name)) {
            JournalEntry::write($box, 'name', "{$box->called()} is called {$name} from now on.");
            $box->update(['name' => $name]);
        }
        if ($run->changes() === Change::DropJob) {
            $this->without($box, $run->learnedText('job_id') ?? '');
        }
        if ($run->changes()?->swaps()) {
            $this->swapped($run, $box);
        }
        if ($run->changes()?->moves()) {
            (new TakeOver())->end($run);
        }
    }

    /** Its record has the parts that it has by now. */
    private function swapped(Run $run, Box $box): void
    {
        $box->fill($run->newParts() + ['version' => $box->version + 1])->save();
        if ($run->changes() === Change::OtherDisk) {
            Store::query()
                ->where('box_id', $box->id)
                ->where('uuid', $run->learnedText('old_uuid'))
                ->update([
                    'label' => $run->learnedText('store_label'),
                    'serial' => $run->learnedText('disk_serial'),
                    'bytes' => $run->learnedText('disk_bytes'),
                    'uuid' => $run->learnedText('uuid'),
                ]);
        }
        JournalEntry::write(
            $box,
            'parts',
            "{$box->called()} has other parts; {$run->learnedText('parts_words')}.",
        );
    }

    /** It has a job no more; ports that only this job had are out of the ledger. */
    private function without(Box $box, string $job): void
    {
        $kept = [];
        foreach ($box->jobs->where('job', '!=', $job) as $left) {
            foreach ($this->catalogue->job($left->job)->ports ?? [] as $port) {
                $kept["{$port->protocol->value}/{$port->port->number}"] = true;
            }
        }
        foreach ($this->catalogue->job($job)->ports ?? [] as $port) {
            isset($kept["{$port->protocol->value}/{$port->port->number}"]) ||
                Service::query()
                    ->where([
                        'box_id' => $box->id,
                        'protocol' => $port->protocol->value,
                        'port' => $port->port->number,
                    ])
                    ->delete();
        }
        $box->jobs()->where('job', $job)->delete();
        $label = $this->catalogue->job($job)->label ?? $job;
        JournalEntry::write($box, 'in service', "{$box->called()} does not do this any more: {$label}.");
    }

    /** Ports of the jobs, each with what was met there in this run; nothing was met where nobody looked. */
    private function ports(Run $run, RunBook $book): void
    {
        $looked = is_array($run->learned['looked'] ?? null) ? $run->learned['looked'] : [];
        $told = [];
        foreach (array_merge(...array_map(fn (Job $job): array => $job->ports, $book->jobs)) as $port) {
            /** @var JobPort $port */
            $key = "{$port->protocol->value}/{$port->port->number}";
            $met = $looked[$key] ?? null;
            $told[$key] = true;
            $service = Service::query()->firstOrNew([
                'box_id' => $run->box_id,
                'protocol' => $port->protocol->value,
                'port' => $port->port->number,
                'purpose' => $port->purpose,
            ]);
            $service
                ->fill(
                    is_array($met)
                        ? ['state' => $met['state'] ?? null, 'looked_at' => $met['at'] ?? null]
                        : [],
                )
                ->save();
        }
        // A port that a step asked and no job names: it was met, so it is written down.
        foreach (array_diff_key($looked, $told) as $key => $met) {
            if (is_array($met) && preg_match('~^(tcp|udp)/(\d{1,5})$~D', (string) $key, $parts) === 1) {
                Service::query()->firstOrCreate(
                    ['box_id' => $run->box_id, 'protocol' => $parts[1], 'port' => (int) $parts[2]],
                    [
                        'purpose' => 'met when it was brought up',
                        'state' => $met['state'] ?? null,
                        'looked_at' => $met['at'] ?? null,
                    ],
                );
            }
        }
    }
}
