<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Catalogue\Catalogue;
use Burrow\BringUp\Evening\TimetableFile;
use Burrow\Quantity\Duration;
use Illuminate\Console\Command;

final class TimetableCommand extends Command
{
    use TellsFindings;

    protected $signature = 'burrow:timetable {file : runs as YAML or JSON} {--json : everything as JSON}';

    protected $description = 'Several runs with one pair of hands: what when, and when all is over';

    public function handle(): int
    {
        $file = (string) $this->argument('file');
        $text = $this->textOf($file);
        if ($text === null) {
            return 2;
        }
        $read = TimetableFile::read($text, Catalogue::schema('timetable'), basename($file));
        if ($read->timetable === null) {
            return $this->option('json')
                ? $this->json(['steps' => [], 'findings' => $read->findings], 1)
                : $this->tell($read->findings);
        }
        if ($this->option('json')) {
            return $this->json($read->timetable, 0);
        }
        foreach ($read->timetable->slots as $slot) {
            if ($slot->task->hands > 0) {
                $this->line(
                    sprintf('%8s  %s: %s', self::clock($slot->start), $slot->run, $slot->task->id).
                        ($slot->task->wait > 0 ? ', then it goes on until '.self::clock($slot->end()) : ''),
                );
            }
        }
        $early = Duration::seconds($read->timetable->overBy(10));
        $late = Duration::seconds($read->timetable->overBy(90));
        $this->line(
            'Over after '.
                Duration::seconds($read->timetable->overBy(50)).
                ((string) $early === (string) $late ? '' : " (one of ten within {$early}, nine of ten within {$late})").
                ', '.
                Duration::seconds($read->timetable->hands()).
                ' of it by hand; one after the other it would take '.
                Duration::seconds($read->timetable->oneAfterAnother()).
                '.',
        );

        return 0;
    }

    private static function clock(float $seconds): string
    {
        return sprintf(
            '%d:%02d:%02d',
            intdiv((int) $seconds, 3600),
            intdiv((int) $seconds, 60) % 60,
            (int) $seconds % 60,
        );
    }
}
