<?php

declare(strict_types=1);

namespace Burrow\BringUp\Paper;

use Burrow\BringUp\Playbook\FilledPlaybook;
use Burrow\BringUp\Playbook\FilledStep;

/**
 * A playbook as a commented script for bash on the box: what is typed there runs, and the first failure stops it; what
 * is done elsewhere is a prompt. A step whose values are not known yet is a prompt, too.
 */
final readonly class ShellScript
{
    public function __construct(private FilledPlaybook $book)
    {
    }

    public function __toString(): string
    {
        $parts = [
            "#!/bin/bash\n# {$this->comment(
                $this->book->title(),
            )}\n# Typed on the box. It stops at the first command that fails; read what it says, then run it again from there.",
            'set -euo pipefail',
            "by_hand() {\n    printf '\\n'\n    cat\n    read -r -p 'Enter when it is done, Ctrl-C to stop: ' _ </dev/tty\n}",
        ];
        foreach ($this->book->steps as $number => $step) {
            $parts[] = $this->step($number + 1, $step);
        }

        return implode("\n\n", $parts)."\n";
    }

    private function step(int $number, FilledStep $filled): string
    {
        $step = $filled->step;
        $title = "{$number}. {$filled->told($step->title)}";
        $head = "# {$this->comment($title)}\n# {$this->comment($filled->told($step->text))}";
        if ($step->caution !== '') {
            $head .= "\n# Careful: {$this->comment($filled->told($step->caution))}";
        }
        $ends = preg_match('/^(?:exit$|sudo systemctl (?:reboot|poweroff))/m', $step->command) === 1;
        if ($filled->where() !== 'box' || $filled->command === '' || $ends) {
            return "{$head}\nby_hand {$this->document(
                trim("{$title}\n{$filled->told($step->text)}\n{$filled->commandAsFarAsKnown()}"),
            )}";
        }
        if ($filled->command === null) {
            return "{$head}\nby_hand {$this->document(
                "{$title}\nA value is not known yet. Fill it in and type:\n{$filled->commandAsFarAsKnown()}",
            )}";
        }
        $prompt =
            $step->expect === ''
                ? ''
                : "\nby_hand {$this->document("You should see: {$filled->told($step->expect)}")}";

        return "{$head}\n{$filled->command}{$prompt}";
    }

    /** One line of a comment. */
    private function comment(string $text): string
    {
        return trim((string) preg_replace('/[\x00-\x1f\x7f]+/', ' ', $text));
    }

    /** A text as it is, in a here-document whose end stands nowhere in it. */
    private function document(string $text): string
    {
        $text = str_replace("\r", '', $text);
        $end = 'STEP';
        while (preg_match("/^{$end}$/m", $text) === 1) {
            $end .= 'S';
        }

        return "<<'{$end}'\n{$text}\n{$end}";
    }
}
