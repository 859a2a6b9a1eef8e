<?php

declare(strict_types=1);

namespace Burrow\Ports\Write;

use Burrow\Files\FileKind;
use Burrow\Files\WrittenFile;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Ports\TypedPortFindings;
use Burrow\Text\YamlEntry;
use Burrow\Text\YamlLines;

/** The start page of a household as one HTML file that fetches nothing: every page with its link. */
final class StartPage implements FileKind
{
    public function kind(): string
    {
        return 'start-page';
    }

    public function summary(): string
    {
        return 'one HTML file with links to all pages of the household';
    }

    public function schema(): string
    {
        return 'core/Ports/schema/start-page.schema.json';
    }

    public function write(string $values, string $schema, string $name): WrittenFile
    {
        $entry = YamlEntry::read($values, $schema, $name);
        if ($entry->data === null) {
            return new WrittenFile($this->kind(), null, $entry->findings);
        }
        /** @var array{title: string, pages: list<array{label: string, url: string, box?: string, note?: string}>} $data */
        $data = $entry->data;
        $lines = new YamlLines($values);
        $found = [];
        foreach ($data['pages'] as $i => $page) {
            if (! self::isLink($page['url'])) {
                $found[] = TypedPortFindings::notALink(
                    $page['url'],
                    Place::file($name, $lines->locate(['pages', $i, 'url'])),
                );
            }
        }

        return $found === []
            ? $this->of($data['title'], $data['pages'])
            : new WrittenFile($this->kind(), null, Findings::of(...$found));
    }

    /** @param  list<array{label: string, url: string, box?: string, note?: string}>  $pages  with links that are some */
    public function of(string $title, array $pages): WrittenFile
    {
        $e = fn (string $text): string => htmlspecialchars(
            $text,
            ENT_QUOTES | ENT_SUBSTITUTE | ENT_HTML5,
            'UTF-8',
        );
        $items = '';
        foreach ($pages as $page) {
            $items .=
                "    <li><a href=\"{$e($page['url'])}\"><b>{$e($page['label'])}</b>".
                (($page['box'] ?? '') === '' ? '' : "<span>{$e((string) ($page['box'] ?? ''))}</span>").
                (($page['note'] ?? '') === '' ? '' : "<small>{$e((string) ($page['note'] ?? ''))}</small>").
                "</a></li>\n";
        }

        return new WrittenFile(
            $this->kind(),
            <<<HTML
            <!doctype html>
            <html lang="en">
            <meta charset="utf-8">
            <meta name="viewport" content="width=device-width, initial-scale=1">
            <title>{$e($title)}</title>
            <style>
                :root { color-scheme: light dark; }
                body { font: 18px/1.4 system-ui, sans-serif; max-width: 52rem; margin: 2rem auto; padding: 0 1rem; }
                ul { list-style: none; padding: 0; display: grid; gap: .75rem; grid-template-columns: repeat(auto-fill, minmax(15rem, 1fr)); }
                a { display: grid; gap: .1rem; padding: .8rem 1rem; border: 1px solid; border-radius: .7rem; text-decoration: none; }
                span, small { opacity: .75; }
            </style>
            <h1>{$e($title)}</h1>
            <ul>
            {$items}</ul>
            </html>

            HTML
            ,
            Findings::of(),
        );
    }

    public static function isLink(string $url): bool
    {
        return preg_match('~^https?://[^\s"<>\\\\^`{|}\p{C}]{1,490}$~Du', $url) === 1;
    }
}
