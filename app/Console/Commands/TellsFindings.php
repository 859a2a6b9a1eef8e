<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Illuminate\Console\Command;
use JsonSerializable;

/**
 * How the terminal commands speak: a line a finding, exit 1 when something is `stop`, 2 when nothing could be read.
 *
 * @phpstan-require-extends Command
 */
trait TellsFindings
{
    /** The content of a file, or of standard input for "-"; null after saying why not. */
    private function textOf(string $file): ?string
    {
        $text = $file === '-' ? stream_get_contents(STDIN) : (is_file($file) ? file_get_contents($file) : false);
        if ($text === false) {
            $this->error("There is no file {$file}.");

            return null;
        }

        return $text;
    }

    /** `severity code place message` */
    private function tell(Findings $findings): int
    {
        foreach ($findings->list as $finding) {
            $this->line(
                implode(
                    ' ',
                    array_filter([
                        $finding->severity->value,
                        $finding->code,
                        (string) $finding->place,
                        $finding->found,
                        $this->advice($finding),
                    ]),
                ),
            );
        }

        return $findings->blocks() ? 1 : 0;
    }

    /** @param  JsonSerializable|Findings|array<mixed>  $value */
    private function json(JsonSerializable|Findings|array $value, int $exit): int
    {
        $this->line(
            (string) json_encode(
                $value,
                JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE,
            ),
        );

        return $exit;
    }

    /** The call itself was wrong. */
    private function wrong(string $what): int
    {
        $this->error($what);

        return 2;
    }

    private function advice(Finding $finding): string
    {
        return $finding->severity->rank() < 2 ? $finding->why : $finding->advice();
    }
}
