<?php

declare(strict_types=1);

namespace Burrow\BringUp\Write;

use Burrow\BringUp\Step\BringUpFindings;
use Burrow\Files\TypedFile;
use Closure;
use InvalidArgumentException;
use Stringable;

/** A file that the steps of playbooks write, for the terminal as well. */
final class BlockFile extends TypedFile
{
    /** @param  Closure(array<string, mixed>): Stringable  $made */
    private function __construct(
        private readonly string $kind,
        private readonly string $summary,
        private readonly Closure $made,
    ) {
    }

    /** @return list<self> */
    public static function all(): array
    {
        return [
            new self('compose', 'a compose file of one service', function (array $v): Stringable {
                /** @var array{service: string, image: string, zone?: string, folder: string, outer?: int, inner?: int, names?: bool} $v */
                return new ComposeFile(
                    $v['service'],
                    $v['image'],
                    $v['zone'] ?? 'Etc/UTC',
                    $v['folder'],
                    $v['outer'] ?? null,
                    $v['inner'] ?? null,
                    $v['names'] ?? false,
                );
            }),
            new self(
                'systemd',
                'a unit of systemd for a program that runs as long as the box is on',
                function (array $v): Stringable {
                    /** @var array{what: string, command: non-empty-list<string>, user: string, groups?: list<string>} $v */
                    return SystemdUnit::running($v['what'], $v['command'], $v['user'], $v['groups'] ?? []);
                },
            ),
            new self('nginx-site', 'a site of nginx: HTTPS before a page of the box itself', function (
                array $v,
            ): Stringable {
                /** @var array{host: string, domain: string, port: int} $v */
                return new HttpsSite($v['host'], $v['domain'], $v['port']);
            }),
            new self(
                'unattended-upgrades',
                'settings of apt: security updates by themselves',
                fn (array $v): Stringable => KeyedSettings::automaticUpdates(),
            ),
        ];
    }

    public function kind(): string
    {
        return $this->kind;
    }

    public function summary(): string
    {
        return $this->summary;
    }

    public function schema(): string
    {
        return "core/BringUp/schema/files/{$this->kind}.schema.json";
    }

    protected function text(array $data, callable $at, array &$found): string
    {
        try {
            return ($this->made)($data)."\n";
        } catch (InvalidArgumentException $refused) {
            $found[] = BringUpFindings::cannotBeWritten($this->kind, $refused->getMessage(), $at());

            return '';
        }
    }
}
