<?php

declare(strict_types=1);

namespace Burrow\Card\Rule;

use Burrow\Card\CardContext;
use Burrow\Card\CardFolder;
use Burrow\Sheet\Finding;
use Burrow\Sheet\Findings;
use Burrow\Sheet\Place;

/** What a desktop editor does to a file without showing it. */
final class FormRule implements CardRule
{
    public function lint(CardFolder $folder, CardContext $context): Findings
    {
        $findings = Findings::of();
        foreach ($folder->files as $name => $text) {
            if (in_array((string) $name, [...CardFolder::KNOWN, $context->image?->ownText?->file], true)) {
                $findings = $findings->and($this->form((string) $name, $text));
            }
        }

        return $findings;
    }

    private function form(string $name, string $text): Findings
    {
        $findings = Findings::of();
        if (str_starts_with($text, "\xEF\xBB\xBF")) {
            $findings = $findings->and([
                Finding::stop(
                    'card.bom',
                    "{$name} begins with an invisible mark (BOM).",
                    'The first line is then not what it seems, and the file is ignored.',
                    'Save it as UTF-8 without BOM.',
                    Place::file($name, 1),
                ),
            ]);
        }
        $at = strpos($text, "\r\n");
        if ($at !== false) {
            $line = 1 + substr_count($text, "\n", 0, $at);
            $findings = $findings->and([
                Finding::warn(
                    'card.crlf',
                    "{$name} has line ends of another desk system (CRLF).",
                    'Some readers take the extra character for part of the value.',
                    'Save it with LF line ends.',
                    Place::file($name, $line, $at - (int) strrpos(substr("\n".$text, 0, $at + 1), "\n") + 1),
                ),
            ]);
        }

        return $findings;
    }
}
