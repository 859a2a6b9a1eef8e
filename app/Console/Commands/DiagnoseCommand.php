<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Catalogue\Catalogue;
use App\Catalogue\KnownCauses;
use Burrow\Diagnosis\CaseFile;
use Burrow\Diagnosis\Conversation;
use Burrow\Diagnosis\DiagnosisFindings;
use Burrow\Diagnosis\Know\Answer;
use Burrow\Diagnosis\Know\Cause;
use Burrow\Diagnosis\Know\Check;
use Burrow\Diagnosis\Know\Knowledge;
use Burrow\Diagnosis\Play;
use Illuminate\Console\Command;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class DiagnoseCommand extends Command
{
    use TellsFindings;

    protected $signature = 'burrow:diagnose {file? : what is known of the box, as YAML or JSON}
        {--list : causes and checks with their answers} {--play= : one cause, or two joined by a comma}
        {--seed= : draw the answers by chance} {--json : everything as JSON}';

    protected $description = 'Why a box does not do its work: how likely each cause is, and what to look at next';

    public function handle(Catalogue $catalogue): int
    {
        $knowledge = KnownCauses::common();
        if ($this->option('list')) {
            return $this->lists($knowledge);
        }
        if (is_string($this->option('play'))) {
            return $this->play($knowledge, $this->option('play'));
        }
        $file = $this->argument('file');
        if (! is_string($file)) {
            return $this->wrong('Name a file, or --list, or --play CAUSE.');
        }
        $text = $this->textOf($file);
        if ($text === null) {
            return 2;
        }
        $read = CaseFile::read($text, Catalogue::schema('diagnosis'), basename($file), $knowledge, $catalogue->shelf());
        if ($read->talk === null) {
            return $this->option('json')
                ? $this->json(['causes' => [], 'next' => null, 'findings' => $read->findings], 1)
                : $this->tell($read->findings);
        }
        if ($this->option('json')) {
            return $this->json([...$read->talk->jsonSerialize(), 'findings' => $read->findings], 0);
        }
        $this->says($read->talk);

        return 0;
    }

    private function says(Conversation $talk): void
    {
        foreach (array_slice($talk->causes(), 0, 8) as $one) {
            $this->line(
                sprintf('%3d %%  %s', (int) round(100 * $one->probability), $one->label()).
                    ($one->because === '' ? '' : " ({$one->because})"),
            );
        }
        $this->tell(DiagnosisFindings::about($talk));
        $told = $talk->told();
        $next = $told === null ? $talk->next(1)[0] ?? null : null;
        if ($told?->cause !== null) {
            $this->line("It is this, most likely: {$told->label()}. {$told->cause->cure}");
        } elseif ($next === null) {
            $this->line('Nothing that could still be looked at would tell more.');
        } else {
            $this->line("Next, {$next->check->minutes} min: {$next->check->title}. {$next->check->how} {$next->because}");
            foreach ($next->check->answers as $answer) {
                $this->line("       {$next->check->id}: {$answer->id}  ({$answer->label})");
            }
        }
    }

    private function lists(Knowledge $knowledge): int
    {
        if (! $this->option('json')) {
            foreach ($knowledge->causes as $cause) {
                $this->line("cause  {$cause->id}  {$cause->label}");
            }
            foreach ($knowledge->checks as $check) {
                $this->line("check  {$check->id}  {$check->title}: ".implode(', ', array_keys($check->answers)));
            }

            return 0;
        }

        return $this->json(
            [
                'causes' => array_values(
                    array_map(
                        fn (Cause $cause): array => [
                            'id' => $cause->id,
                            'label' => $cause->label,
                            'layer' => $cause->layer->value,
                            'odds' => $cause->odds,
                            'needs' => $cause->needs ?: null,
                            'cure' => $cause->cure,
                            'source' => 'common practice',
                        ],
                        $knowledge->causes,
                    ),
                ),
                'observations' => array_values(
                    array_map(
                        fn (Check $check): array => [
                            'id' => $check->id,
                            'label' => $check->title,
                            'where' => $check->where->value,
                            'minutes' => $check->minutes,
                            'answers' => array_values(
                                array_map(
                                    fn (Answer $one): array => ['id' => $one->id, 'label' => $one->label],
                                    $check->answers,
                                ),
                            ),
                        ],
                        $knowledge->checks,
                    ),
                ),
            ],
            0,
        );
    }

    private function play(Knowledge $knowledge, string $named): int
    {
        $causes = [];
        foreach (array_unique(explode(',', $named)) as $id) {
            $cause = $knowledge->causes[trim($id)] ?? null;
            if ($cause === null) {
                return $this->wrong("There is no cause “{$id}”; “diagnose --list” prints them.");
            }
            $causes[] = $cause;
        }
        $seed = $this->option('seed');
        if (is_string($seed) && preg_match('/^\d{1,9}$/D', $seed) !== 1) {
            return $this->wrong("“{$seed}” is no seed: a whole number from 0 on.");
        }
        if (count($causes) > 2) {
            return $this->wrong('One cause can be played, or two.');
        }
        $play = Play::of($knowledge, $causes, is_string($seed) ? new Randomizer(new Mt19937((int) $seed)) : null);
        if ($this->option('json')) {
            return $this->json($play, 0);
        }
        $this->line("       {$play->complaint}");
        foreach ($play->checks as $check) {
            $this->line(sprintf('%4.1f min  %s: %s', $check['minutes'], $check['id'], $check['answer']));
        }
        foreach ($play->told as $told) {
            $this->line(
                sprintf(
                    'told after %d checks, %.1f min: %s (%d %%)',
                    $told['after_checks'],
                    $told['minutes'],
                    $told['id'],
                    (int) round(100 * $told['probability']),
                ),
            );
        }

        return 0;
    }
}
