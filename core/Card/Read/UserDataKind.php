<?php

declare(strict_types=1);

namespace Burrow\Card\Read;

/**
 * What cloud-init takes a user-data file for, by how it begins: case and blank lines before it do not count
 * (cloud-init, “User data formats”).
 */
enum UserDataKind: string
{
    case Settings = '#cloud-config';
    case Archive = '#cloud-config-archive';
    case Patch = '#cloud-config-jsonp';
    case Script = '#!';
    case EarlyScript = '#cloud-boothook';
    case Handler = '#part-handler';
    case Addresses = '#include';
    case Template = '## template: jinja';
    case Message = 'mime-version:';
    case Packed = "\x1f\x8b";

    public static function of(string $text): ?self
    {
        $begins = strtolower(ltrim(substr($text, 0, 4096)));
        if (str_contains($begins, self::Message->value)) {
            return self::Message;
        }
        $kinds = self::cases();
        usort($kinds, fn (self $a, self $b): int => strlen($b->value) <=> strlen($a->value));
        foreach ($kinds as $kind) {
            if (str_starts_with($begins, $kind->value)) {
                return $kind;
            }
        }

        return null;
    }

    public function label(): string
    {
        return match ($this) {
            self::Settings => 'settings',
            self::Archive => 'an archive of several files',
            self::Patch => 'a patch to other settings',
            self::Script => 'a script, run once as root',
            self::EarlyScript => 'a script, run early at every start',
            self::Handler => 'a program that handles other files',
            self::Addresses => 'a list of addresses to fetch settings from',
            self::Template => 'a template that is filled in on the box',
            self::Message => 'a message of several parts',
            self::Packed => 'packed with gzip',
        };
    }
}
