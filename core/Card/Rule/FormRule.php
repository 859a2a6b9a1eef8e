<?php

declare(strict_types=1);

namespace Burrow\Card\Rule;

use Burrow\Card\CardContext;
use Burrow\Card\CardFolder;
use Burrow\Card\Read\UserDataKind;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;

/**
 * What a desktop editor does to a file without showing it. YAML takes both line ends, and a mark at the very front
 * (YAML 1.1, sections 4.2 and 5.4); cloud-init looks at the first characters of user-data before that.
 */
final class FormRule implements CardRule
{
    private const YAML = ['user-data', 'meta-data', 'network-config'];

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
        $isSettings = in_array($name, self::YAML, true) && UserDataKind::of($text) !== UserDataKind::Script;
        if (str_starts_with($text, "\xEF\xBB\xBF")) {
            $findings = $findings->and([
                $isSettings && $name !== 'user-data'
                    ? FileRuleFindings::bomInYaml($name, Place::file($name, 1))
                    : FileRuleFindings::bom($name, Place::file($name, 1)),
            ]);
        }
        $at = strpos($text, "\r\n");
        if ($at !== false) {
            $line = 1 + substr_count($text, "\n", 0, $at);
            $place = Place::file($name, $line, $at - (int) strrpos(substr("\n".$text, 0, $at + 1), "\n") + 1);
            $findings = $findings->and([
                $isSettings ? FileRuleFindings::crlfInYaml($name, $place) : FileRuleFindings::crlf($name, $place),
            ]);
        }

        return $findings;
    }
}
