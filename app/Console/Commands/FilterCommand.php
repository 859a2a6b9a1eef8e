<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Burrow\Filter\FilterAnswer;
use Burrow\Filter\FilterFindings;
use Burrow\Filter\Lists;
use Burrow\Filter\Replay;
use Burrow\Intake\Names\ListLine;
use Burrow\Intake\Names\QueryLog;
use Burrow\Judgement\Findings;
use Generator;
use Illuminate\Console\Command;

final class FilterCommand extends Command
{
    use TellsFindings;

    /**
     * Names that were answered and would be refused, told as findings when they were asked so often (common
     * practice).
     */
    private const REGULAR = 10;

    protected $signature = 'burrow:filter {lists* : lists of names} {--log= : what was asked, as a resolver logs it} {--allow= : names that are let through} {--json : everything as JSON}';

    protected $description = 'What lists of names would have refused, and what each of them adds';

    public function handle(): int
    {
        // Millions of names are its ordinary work.
        ini_set('memory_limit', '1G');
        $names = array_values(array_filter((array) $this->argument('lists'), is_string(...)));
        $log = $this->option('log');
        $allow = $this->option('allow');
        foreach ([...$names, ...array_filter([$log, $allow])] as $file) {
            if ($file !== '-' && ! is_file((string) $file)) {
                return $this->wrong("There is no file {$file}.");
            }
        }
        if (count($names) > Lists::MOST) {
            return $this->tell(Findings::of(FilterFindings::tooManyLists(Lists::MOST)));
        }
        $findings = [];
        $lists = new Lists();
        foreach ($names as $file) {
            $size = $lists->add(basename($file), $this->lines($file));
            $size->invalid > 0 && ($findings[] = FilterFindings::notRead($size));
            $size->unique === 0 && ($findings[] = FilterFindings::nothingListed($size->name));
        }
        foreach ($allow === null ? [] : $this->lines((string) $allow) as $line) {
            foreach (ListLine::names($line) ?? [] as $name) {
                // An exception holds for the name and what is below it, however its line is written.
                $lists->allow('*'.ltrim($name, '@*'));
            }
        }
        $replay = new Replay($lists);
        if ($log !== null) {
            $unread = $this->replay($replay, (string) $log);
            $replay->queries() === 0 && ($findings[] = FilterFindings::nothingAsked($unread));
            foreach ($lists->sizes() as $number => $list) {
                if ($replay->refused() > 0 && count($names) > 1 && $replay->onlyBy($number) === 0) {
                    $findings[] = FilterFindings::addsNothing($list->name);
                }
            }
            foreach ($replay->breaks() as $name => $times) {
                $times >= self::REGULAR && ($findings[] = FilterFindings::breaks((string) $name, $times));
            }
        }
        $answer = new FilterAnswer($lists, $replay, Findings::of(...$findings));
        if ($this->option('json')) {
            return $this->json($answer, $answer->findings->blocks() ? 1 : 0);
        }
        $this->line(sprintf('%-32s %10s %10s %8s %8s', 'list', 'names', 'folded', 'alone', 'adds'));
        foreach ($answer->lists() as $list) {
            $this->line(
                sprintf(
                    '%-32s %10d %10d %7.2f%% %7.2f%%',
                    mb_strimwidth($list['name'], 0, 32, '…'),
                    $list['unique'],
                    $list['folded'],
                    $list['alone_percent'],
                    $list['last_percent'],
                ),
            );
        }
        if ($log !== null) {
            $this->line($answer->sentence());
            foreach ($answer->smallest() as $set) {
                $this->line("{$set['share_percent']} % of that with ".implode(', ', $set['lists']));
            }
        }

        return $this->tell($answer->findings);
    }

    private function replay(Replay $replay, string $file): int
    {
        $log = new QueryLog();
        $unread = 0;
        foreach ($this->lines($file) as $line) {
            $told = $log->line($line);
            $unread += $told === null ? 1 : 0;
            foreach ($told ?? [] as $query) {
                $replay->ask($query);
            }
        }
        foreach ($log->rest() as $query) {
            $replay->ask($query);
        }

        return $unread;
    }

    /** @return Generator<int, string> line by line, so that a file of any size takes no memory */
    private function lines(string $file): Generator
    {
        $stream = fopen($file === '-' ? 'php://stdin' : $file, 'rb');
        for ($number = 1; $stream !== false && ($line = fgets($stream, 8192)) !== false; $number++) {
            yield $number => rtrim($line, "\r\n");
        }
        $stream === false || fclose($stream);
    }
}
