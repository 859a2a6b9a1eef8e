<?php

declare(strict_types=1);

namespace Burrow\Card;

use Burrow\Card\Read\CardDocument;
use Burrow\Card\Read\KernelLine;
use Burrow\Judgement\Finding;

/**
 * Mends what can be mended without asking: what an editor or a file manager did to a file, never what a person meant.
 * Each change is told, and a change that would leave a file worse than it was is not made.
 */
final class Fixer
{
    /** Names of files of which a typed extension can be taken off. */
    private const EXTENSION = '/\.(?:txt|rtf|ya?ml|conf|doc|md)?$/i';

    public function fix(CardFolder $folder, CardContext $context = new CardContext()): FixedCard
    {
        $files = $folder->files;
        $changes = [];
        foreach ((new Linter())->lint($folder, $context)->list as $finding) {
            $name = $finding->place->file ?? '';
            if (! isset($files[$name]) && $finding->code !== 'card.no_meta_data') {
                continue;
            }
            $change = $this->change($finding, $name, $files);
            if ($change !== null) {
                [$files, $told] = $change;
                $changes[] = $told;
            }
        }
        ksort($files);

        return new FixedCard(new CardFolder($files), array_values(array_unique($changes)));
    }

    /**
     * @param  array<string, string>  $files
     * @return ?array{array<string, string>, string}
     */
    private function change(Finding $finding, string $name, array $files): ?array
    {
        $text = $files[$name] ?? '';

        return match ($finding->code) {
            'card.bom' => $this->text(
                $files,
                $name,
                (string) preg_replace('/^\xEF\xBB\xBF/', '', $text),
                'the invisible mark at the beginning was taken away',
            ),
            'card.crlf' => $this->text(
                $files,
                $name,
                str_replace("\r\n", "\n", $text),
                'line ends were changed to LF',
            ),
            'card.yaml_tab' => $this->tabs($files, $name, $text),
            'card.no_cloud_config_line' => $this->firstLine($files, $name, $text),
            'card.cmdline_lines', 'card.cmdline_doubled' => $this->oneLine($files, $name, $text),
            'card.modules_place' => $this->modules($files, $name, $text),
            'card.account_blanks' => $this->text(
                $files,
                $name,
                trim($text)."\n",
                'blanks and empty lines around the account were taken away',
            ),
            'card.wpa_blanks' => $this->text(
                $files,
                $name,
                (string) preg_replace('/^(\s*\w+)[ \t]*=[ \t]*(?=\S)/m', '$1=', $text),
                'blanks around “=” were taken away',
            ),
            'card.ssid_not_text', 'card.passphrase_not_text' => $this->quote(
                $files,
                $name,
                $text,
                $finding->place->line ?? 1,
            ),
            'card.marker_extension' => $this->rename($files, $name, 'ssh'),
            'card.name_extension' => $this->rename(
                $files,
                $name,
                (string) preg_replace(self::EXTENSION, '', $name),
            ),
            'card.no_meta_data' => [
                $files + ['meta-data' => "instance-id: first-start\n"],
                'meta-data was written, with an instance-id',
            ],
            default => null,
        };
    }

    /**
     * @param  array<string, string>  $files
     * @return ?array{array<string, string>, string}
     */
    private function text(array $files, string $name, string $text, string $told): ?array
    {
        return $text === $files[$name] ? null : [array_replace($files, [$name => $text]), "{$name}: {$told}"];
    }

    /**
     * Two blanks for each tab, if the file can be read then.
     *
     * @param  array<string, string>  $files
     * @return ?array{array<string, string>, string}
     */
    private function tabs(array $files, string $name, string $text): ?array
    {
        $mended = (string) preg_replace_callback(
            '/^[ \t]*\t[ \t]*/m',
            fn (array $match): string => str_replace("\t", '  ', $match[0]),
            $text,
        );

        return CardDocument::read($name, $mended)->data === null
            ? null
            : $this->text($files, $name, $mended, 'tabs became blanks');
    }

    /**
     * A first line that is nearly right becomes right; a file of settings without one gets it.
     *
     * @param  array<string, string>  $files
     * @return ?array{array<string, string>, string}
     */
    private function firstLine(array $files, string $name, string $text): ?array
    {
        $lines = explode("\n", $text);
        $nearly = preg_match('/^\s*#\s*cloud[-_ ]?config\s*$/i', $lines[0]) === 1;
        $body = $nearly ? array_slice($lines, 1) : (str_starts_with($lines[0], '#!') ? [] : $lines);
        $mended = "#cloud-config\n".implode("\n", $body);
        $data = $body === [] ? null : CardDocument::read($name, $mended)->data;

        return $data === null || (! isset($data['hostname']) && ! isset($data['users']))
            ? null
            : $this->text($files, $name, $mended, 'the first line is “#cloud-config”');
    }

    /**
     * @param  array<string, string>  $files
     * @return ?array{array<string, string>, string}
     */
    private function oneLine(array $files, string $name, string $text): ?array
    {
        $line = implode(' ', array_unique(KernelLine::parse(str_replace("\r", '', $text))->parameters));

        return $this->text($files, $name, $line."\n", 'all parameters stand on one line, each once');
    }

    /**
     * @param  array<string, string>  $files
     * @return ?array{array<string, string>, string}
     */
    private function modules(array $files, string $name, string $text): ?array
    {
        $line = KernelLine::parse($text);
        $value = $line->values('modules-load')[0] ?? '';

        return $line->has('rootwait')
            ? $this->text(
                $files,
                $name,
                $line->withAfter('rootwait', "modules-load={$value}")->text(),
                'modules-load stands right after rootwait',
            )
            : null;
    }

    /**
     * The key of a network name, or the value of a passphrase, in quotes.
     *
     * @param  array<string, string>  $files
     * @return ?array{array<string, string>, string}
     */
    private function quote(array $files, string $name, string $text, int $number): ?array
    {
        $lines = explode("\n", $text);
        $line = $lines[$number - 1] ?? '';
        $mended =
            preg_match('/^(\s*password:\s+)([^"\'\s].*?)\s*$/', $line, $match) === 1
                ? "{$match[1]}\"{$match[2]}\""
                : (string) preg_replace('/^(\s*)([^"\'\s].*?)(:\s*(?:\{\s*\})?\s*)$/', '$1"$2"$3', $line);

        return $this->text(
            $files,
            $name,
            implode("\n", array_replace($lines, [$number - 1 => $mended])),
            'what YAML read as something else stands in quotes',
        );
    }

    /**
     * @param  array<string, string>  $files
     * @return ?array{array<string, string>, string}
     */
    private function rename(array $files, string $from, string $to): ?array
    {
        if ($to === $from || $to === '' || isset($files[$to])) {
            return null;
        }
        $files[$to] = $to === 'ssh' ? '' : $files[$from];
        unset($files[$from]);

        return [$files, "“{$from}” is called “{$to}” now"];
    }
}
