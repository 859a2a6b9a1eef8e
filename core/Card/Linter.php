<?php

declare(strict_types=1);

namespace Burrow\Card;

use Burrow\Sheet\Finding;
use Burrow\Sheet\Findings;
use Burrow\Sheet\Place;

/** Looks over the first-boot files of a card before it costs an evening. */
final readonly class Linter
{
    private const KNOWN = ['user-data', 'meta-data', 'network-config', 'cmdline.txt', 'config.txt', 'ssh', 'userconf.txt', 'wpa_supplicant.conf'];

    public function lint(CardFolder $folder): Findings
    {
        $findings = Findings::of();
        foreach ($folder->files as $name => $text) {
            $findings = $findings->and($this->form((string) $name, $text));
        }

        return $findings
            ->and($this->markers($folder))
            ->and($folder->has('user-data') ? (new UserDataLinter)->lint($folder->text('user-data')) : [])
            ->and($folder->has('network-config') ? (new NetworkConfigLinter)->lint($folder->text('network-config')) : [])
            ->and($this->metaData($folder))
            ->and($this->kernelLine($folder))
            ->gravestFirst();
    }

    /** What a desktop editor does to a file without showing it. */
    private function form(string $name, string $text): Findings
    {
        $findings = Findings::of();
        if (! in_array($name, self::KNOWN, true)) {
            return $findings;
        }
        if (str_starts_with($text, "\xEF\xBB\xBF")) {
            $findings = $findings->and([Finding::stop('card.bom', "{$name} begins with an invisible mark (BOM).", 'The first line is then not what it seems, and the file is ignored.', 'Save it as UTF-8 without BOM.', Place::file($name, 1))]);
        }
        $at = strpos($text, "\r\n");
        if ($at !== false) {
            $findings = $findings->and([Finding::warn('card.crlf', "{$name} has line ends of another desk system (CRLF).", 'Some readers take the extra character for part of the value.', 'Save it with LF line ends.', Place::file($name, 1 + substr_count($text, "\n", 0, $at)))]);
        }

        return $findings;
    }

    private function markers(CardFolder $folder): Findings
    {
        $findings = Findings::of();
        foreach (array_keys($folder->files) as $name) {
            if (preg_match('/^ssh\.?[a-z]{0,4}$/i', (string) $name) === 1 && strtolower((string) $name) !== 'ssh') {
                $findings = $findings->and([Finding::stop('card.marker_extension', "“{$name}” is not the file “ssh”.", 'Remote login stays off: the box looks for that name without extension and without a dot.', 'Rename it; the file manager may hide the extension.', Place::file((string) $name))]);
            }
        }
        if ($folder->has('ssh') && ! $folder->has('user-data') && ! $folder->has('userconf.txt')) {
            $findings = $findings->and([Finding::stop('card.nobody_can_log_in', 'Remote login is on, and there is no account.', 'Current releases have no default user.', 'Add userconf.txt, or the declarative files.', Place::file('ssh'))]);
        }

        return $findings;
    }

    private function metaData(CardFolder $folder): Findings
    {
        if (! $folder->has('user-data')) {
            return Findings::of();
        }
        if (! $folder->has('meta-data')) {
            return Findings::of(Finding::stop('card.no_meta_data', 'meta-data is missing.', 'Without it user-data is not even looked at (cloud-init, NoCloud).', 'Put a meta-data file with an instance-id beside it.', Place::file('meta-data')));
        }
        $document = CardDocument::read('meta-data', $folder->text('meta-data'));

        return $document->data === null || ($document->data['instance-id'] ?? '') !== ''
            ? $document->findings
            : Findings::of(Finding::warn('card.no_instance_id', 'meta-data has no instance-id.', 'The box cannot tell new settings from old ones.', 'Add a line “instance-id: ” with a new word.', Place::file('meta-data', 1)));
    }

    private function kernelLine(CardFolder $folder): Findings
    {
        $lines = array_filter(explode("\n", str_replace("\r", '', trim($folder->text('cmdline.txt'), "\r\n"))), fn (string $line): bool => trim($line) !== '');

        return count($lines) > 1
            ? Findings::of(Finding::stop('card.cmdline_lines', 'cmdline.txt has '.count($lines).' lines.', 'Only the first is read; what stands below is lost, often the root partition.', 'Join them with spaces into one line.', Place::file('cmdline.txt', (int) array_key_last($lines) + 1)))
            : Findings::of();
    }
}
