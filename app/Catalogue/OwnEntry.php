<?php

declare(strict_types=1);

namespace App\Catalogue;

use Burrow\Catalogue\CatalogueReader;
use Burrow\Catalogue\Job\JobReader;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Text\YamlEntry;
use Throwable;

/** An entry of the household's own: it passes its schema and can be built, or it is told why not and is not used. */
final readonly class OwnEntry
{
    /** @param  ?array<string, mixed>  $data null when it cannot be used */
    private function __construct(public ?array $data, public Findings $findings)
    {
    }

    public static function read(string $kind, string $yaml): self
    {
        if (! isset(Catalogue::KINDS[$kind])) {
            return self::refused("there is no kind of entry called “{$kind}”.");
        }
        $entry = YamlEntry::read($yaml, Catalogue::schema($kind), 'entry.yaml', lines: true);
        if ($entry->data === null) {
            return new self(null, $entry->findings);
        }
        try {
            self::build($kind, $entry->data);
        } catch (Throwable $problem) {
            return self::refused($problem->getMessage());
        }

        return new self($entry->data, $entry->findings);
    }

    public function id(): string
    {
        return is_string($this->data['id'] ?? null) ? $this->data['id'] : '';
    }

    /** @param  array<string, mixed>  $data */
    private static function build(string $kind, array $data): object
    {
        $reader = new CatalogueReader();

        return match ($kind) {
            'job' => (new JobReader())->job($data),
            'playbook' => Playbooks::reader()->playbook($data),
            'board' => $reader->board($data),
            'supply' => $reader->supply($data),
            'cable' => $reader->cable($data),
            'drive' => $reader->drive($data),
            'image' => $reader->image($data),
            'card' => $reader->card($data),
            'case' => $reader->case($data),
            'cooling' => $reader->cooling($data),
            'addon' => $reader->addOn($data),
            'adapter' => $reader->adapter($data),
            default => $reader->kit($data),
        };
    }

    private static function refused(string $because): self
    {
        $finding = EntryFindings::notBuilt($because, Place::file('entry.yaml'));

        return new self(null, Findings::of($finding));
    }
}
