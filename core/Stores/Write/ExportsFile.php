<?php

declare(strict_types=1);

namespace Burrow\Stores\Write;

use Burrow\Files\TypedFile;
use Burrow\Net\Address;
use Burrow\Net\Ipv6Prefix;
use Burrow\Net\Prefix;
use Burrow\Stores\ShareFindings;
use Burrow\Stores\StoresFindings;

/**
 * Lines of /etc/exports (exports(5)): what is said of access, squashing and writing is written out, nothing is
 * left to defaults.
 */
final class ExportsFile extends TypedFile
{
    public function kind(): string
    {
        return 'exports';
    }

    public function summary(): string
    {
        return 'lines of /etc/exports: folders for Unix machines';
    }

    public function schema(): string
    {
        return 'core/Stores/schema/exports.schema.json';
    }

    protected function text(array $data, callable $at, array &$found): string
    {
        /** @var list<array{path: string, clients: list<array{client: string, access?: string, squash?: string, uid?: int, gid?: int, async?: bool}>}> $exports */
        $exports = $data['exports'];
        $text = '';
        $paths = [];
        foreach ($exports as $i => $export) {
            if (preg_match('~^/[^\p{C}"]*$~Du', $export['path']) !== 1) {
                $found[] = StoresFindings::notCarried('path', $export['path'], $at('exports', $i, 'path'));
            }
            isset($paths[$export['path']]) &&
                ($found[] = ShareFindings::exportedTwice($export['path'], $at('exports', $i, 'path')));
            $paths[$export['path']] = true;
            $clients = [];
            foreach ($export['clients'] as $j => $one) {
                if (! self::isClient($one['client'])) {
                    $found[] = ShareFindings::notAClient($one['client'], $at('exports', $i, 'clients', $j));
                }
                if ($one['client'] === '*' && ($one['access'] ?? 'ro') === 'rw') {
                    $found[] = ShareFindings::everybodyWrites(
                        $export['path'],
                        $at('exports', $i, 'clients', $j),
                    );
                }
                $options = [
                    $one['access'] ?? 'ro',
                    $one['async'] ?? false ? 'async' : 'sync',
                    'no_subtree_check',
                    ['root' => 'root_squash', 'all' => 'all_squash', 'none' => 'no_root_squash'][
                        $one['squash'] ?? 'root'
                    ],
                    ...isset($one['uid']) ? ["anonuid={$one['uid']}"] : [],
                    ...isset($one['gid']) ? ["anongid={$one['gid']}"] : [],
                ];
                $clients[] = "{$one['client']}(".implode(',', $options).')';
            }
            // A blank before the bracket would export to everybody; in a path it stands in octal.
            $text .=
                str_replace(['\\', ' ', '#'], ['\\134', '\\040', '\\043'], $export['path']).
                ' '.
                implode(' ', $clients).
                "\n";
        }

        return $text;
    }

    private static function isClient(string $client): bool
    {
        return $client === '*' ||
            Address::standard($client) !== null ||
            Prefix::tryParse($client) !== null ||
            Ipv6Prefix::tryParse($client) !== null ||
            preg_match('/^@?(?:\*\.)?[A-Za-z0-9](?:[A-Za-z0-9.-]{0,250}[A-Za-z0-9])?$/D', $client) === 1;
    }
}
