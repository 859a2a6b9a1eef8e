<?php

declare(strict_types=1);

namespace Burrow\BringUp\Paper;

use Burrow\BringUp\Playbook\FilledPlaybook;
use Burrow\BringUp\Playbook\FilledStep;

/** A playbook as a paper with boxes to tick, in CommonMark with task lists. */
final readonly class Markdown
{
    public function __construct(private FilledPlaybook $book)
    {
    }

    public function __toString(): string
    {
        $parts = ["# {$this->line($this->book->title())}"];
        foreach ($this->book->steps as $number => $step) {
            $parts[] = $this->step($number + 1, $step);
        }

        return implode("\n\n", $parts)."\n";
    }

    private function step(int $number, FilledStep $filled): string
    {
        $step = $filled->step;
        $more = $step->more;
        $lines = [
            "- [ ] **{$number}. {$this->line($filled->told($step->title))}** ({$step->place()->label()})",
        ];
        $lines[] = $this->line($filled->told($step->text));
        foreach ($more->asks as $asked) {
            $lines[] = "{$this->line($asked->label)}: ______________ ({$this->line(
                $filled->told($asked->why),
            )})";
        }
        foreach ($more->answers as $answer) {
            $lines[] = $this->line(
                "{$filled->told($answer->question)}: {$filled->told($answer->answer)}. {$filled->told(
                    $answer->why,
                )} Enter alone: {$filled->told($answer->enter)}.",
            );
        }
        foreach ($more->cards as $card) {
            $lines[] = $this->line(
                "{$card->client}: ".
                    ($card->type === '' ? '' : "{$filled->told($card->type)} — ").
                    $filled->told($card->text),
            );
        }
        if ($step->command !== '') {
            $lines[] = $this->code($filled->commandAsFarAsKnown());
        }
        foreach (
            [
                'You should see' => $step->expect,
                'If not' => $more->no,
                'While you wait' => $step->meanwhile,
                'When it takes longer' => $step->ifLonger,
                'Careful' => $step->caution,
                'Way back' => $more->back,
            ] as $label => $text
        ) {
            if ($text !== '') {
                $lines[] = "*{$label}:* {$this->line($filled->told($text))}";
            }
        }
        foreach ($more->errors as $error) {
            $lines[] = "*It prints “{$this->line($error->sees)}”:* {$this->line(
                "{$error->found} {$error->why} {$filled->told($error->do)}",
            )}";
        }

        return implode("\n\n  ", $lines);
    }

    /** What CommonMark would take for markup stands as it is. */
    private function line(string $text): string
    {
        $text = trim((string) preg_replace('/\s+/', ' ', $text));

        return (string) preg_replace('/([\\\\`*_\[\]<>#|~])/', '\\\\$1', $text);
    }

    /** A fence longer than any run of backticks in it, indented into its list item. */
    private function code(string $text): string
    {
        preg_match_all('/`+/', $text, $runs);
        $fence = str_repeat('`', max([2, ...array_map(strlen(...), $runs[0])]) + 1);

        return "{$fence}\n  ".str_replace("\n", "\n  ", $text)."\n  {$fence}";
    }
}
