<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Catalogue\Catalogue;
use Burrow\Quantity\Bytes;
use Burrow\Stores\FillFile;
use Illuminate\Console\Command;

final class ForecastCommand extends Command
{
    use TellsFindings;

    protected $signature = 'burrow:forecast {file : samples of how full a disk was, as YAML or JSON} {--json : everything as JSON}';

    protected $description = 'When a disk will be 85 % and 100 % full, with spread';

    public function handle(): int
    {
        $file = (string) $this->argument('file');
        $text = $this->textOf($file);
        if ($text === null) {
            return 2;
        }
        [$forecast, $findings] = FillFile::read($text, Catalogue::schema('fill'), basename($file));
        if ($this->option('json')) {
            $told = $forecast === null ? [] : $forecast->jsonSerialize();

            return $this->json($told + ['findings' => $findings], $findings->blocks() ? 1 : 0);
        }
        if ($forecast !== null) {
            $day = Bytes::of((int) abs(round($forecast->perDay)));
            $this->line(
                "{$forecast->usedPercent()} % used, ".
                    ($forecast->perDay < 0 ? 'less by ' : 'more by ').
                    $day->decimal().
                    ' a day',
            );
            foreach ([[0.85, '85 %'], [1.0, '100 %']] as [$share, $word]) {
                $when = $forecast->reaches($share);
                $date = fn (?int $at): string => $at === null ? 'not in sight' : gmdate('Y-m-d', $at);
                $this->line(
                    $when['at'] === null
                        ? "{$word}: not in sight"
                        : "{$word}: {$date($when['at'])}, between {$date($when['from'])} and {$date(
                            $when['to'],
                        )}",
                );
            }
        }

        return $this->tell($findings);
    }
}
