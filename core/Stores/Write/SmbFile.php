<?php

declare(strict_types=1);

namespace Burrow\Stores\Write;

use Burrow\Files\TypedFile;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Place;
use Burrow\Stores\ShareFindings;
use Burrow\Stores\StoresFindings;

/** smb.conf(5): shares with their paths, who may use them, and who may write. */
final class SmbFile extends TypedFile
{
    private const RESERVED = ['global', 'homes', 'printers', 'print$', 'ipc$'];

    private const ACCOUNT = '/^@?[A-Za-z_][A-Za-z0-9_.-]{0,31}\$?$/D';

    public function kind(): string
    {
        return 'smb';
    }

    public function summary(): string
    {
        return 'smb.conf: shares, who may use them, who may write';
    }

    public function schema(): string
    {
        return 'core/Stores/schema/smb.schema.json';
    }

    protected function text(array $data, callable $at, array &$found): string
    {
        /** @var array{workgroup?: string, server?: string, homes?: bool, shares: list<array{name: string, path: string, comment?: string, read_only?: bool, guest?: bool, hidden?: bool, users?: list<string>, writers?: list<string>}>} $data */
        $text =
            "[global]\n   workgroup = ".
            ($data['workgroup'] ?? 'WORKGROUP').
            "\n".
            $this->line('server string', $data['server'] ?? '%h', $at('server'), $found, '%h').
            "   server role = standalone server\n   map to guest = bad user\n   server min protocol = SMB2\n   log level = 1\n";
        if ($data['homes'] ?? false) {
            $text .= "\n[homes]\n   browseable = no\n   read only = no\n   valid users = %S\n";
        }
        $names = [];
        foreach ($data['shares'] as $i => $share) {
            $name = $share['name'];
            $lower = mb_strtolower($name);
            if (
                in_array($lower, self::RESERVED, true) ||
                preg_match('/[\[\]\/\\\\:;|=,+*?<>"]|\p{C}|^\s|\s$/u', $name) === 1
            ) {
                $found[] = ShareFindings::notAShareName($name, $at('shares', $i, 'name'));
            }
            isset($names[$lower]) &&
                ($found[] = ShareFindings::shareTwice($name, $at('shares', $i, 'name')));
            $names[$lower] = true;
            if (preg_match('~^/[^\p{C}%;#]*$~Du', $share['path']) !== 1) {
                $found[] = StoresFindings::notCarried('path', $share['path'], $at('shares', $i, 'path'));
            }
            $guest = $share['guest'] ?? false;
            $users = $share['users'] ?? [];
            $writers = $share['writers'] ?? [];
            foreach ([...$users, ...$writers] as $user) {
                preg_match(self::ACCOUNT, $user) === 1 ||
                    ($found[] = ShareFindings::notAnAccount($user, $at('shares', $i)));
                if (($data['homes'] ?? false) && mb_strtolower($user) === $lower) {
                    $found[] = ShareFindings::likeAHome($name, $at('shares', $i, 'name'));
                }
            }
            if ($guest && $users !== []) {
                $found[] = ShareFindings::guestAndUsers($name, $at('shares', $i));
            }
            $text .=
                "\n[{$name}]\n   path = {$share['path']}\n".
                (isset($share['comment'])
                    ? $this->line('comment', $share['comment'], $at('shares', $i, 'comment'), $found)
                    : '').
                '   browseable = '.
                ($share['hidden'] ?? false ? 'no' : 'yes').
                "\n".
                '   read only = '.
                ($share['read_only'] ?? false ? 'yes' : 'no').
                "\n".
                '   guest ok = '.
                ($guest ? 'yes' : 'no').
                "\n".
                ($users === [] ? '' : '   valid users = '.implode(' ', $users)."\n").
                ($writers === [] ? '' : '   write list = '.implode(' ', $writers)."\n").
                "   create mask = 0660\n   directory mask = 0770\n";
        }

        return $text;
    }

    /** @param  list<Finding>  $found */
    private function line(string $key, string $value, Place $at, array &$found, string $own = ''): string
    {
        if ($value !== $own && preg_match('/[\p{C}%\\\\;#]/u', $value) === 1) {
            $found[] = StoresFindings::notCarried($key, $value, $at);
        }

        return "   {$key} = {$value}\n";
    }
}
