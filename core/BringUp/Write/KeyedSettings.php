<?php

declare(strict_types=1);

namespace Burrow\BringUp\Write;

use InvalidArgumentException;

/** Small configuration files that are lines of keys and values, each in the form of its own program. */
final readonly class KeyedSettings
{
    /** @param  list<string>  $lines */
    private function __construct(private array $lines)
    {
    }

    /** The media library's (minidlna.conf(5)): folders by kind, its page's port, the name that televisions show. */
    public static function library(string $folder, string $port, string $name): self
    {
        self::folder($folder);
        self::port($port);
        self::plain($name);

        return new self([
            "media_dir=V,{$folder}/films",
            "media_dir=A,{$folder}/music",
            "media_dir=P,{$folder}/pictures",
            "port={$port}",
            "friendly_name={$name}",
            'db_dir=/var/cache/minidlna',
            'log_dir=/var/log/minidlna',
            'inotify=yes',
            'notify_interval=300',
        ]);
    }

    /** The audio player's (mpd.conf(5)): one output, by the name that `aplay -L` gives it. */
    public static function player(string $folder, string $device, string $port): self
    {
        self::folder($folder);
        self::port($port);
        if (preg_match('/^[A-Za-z0-9_.:,=+-]{1,80}$/D', $device) !== 1) {
            throw new InvalidArgumentException("Not the name of an output: {$device}.");
        }

        return new self([
            "music_directory \"{$folder}\"",
            'playlist_directory "/var/lib/mpd/playlists"',
            'db_file "/var/lib/mpd/tag_cache"',
            'state_file "/var/lib/mpd/state"',
            'user "mpd"',
            'bind_to_address "any"',
            "port \"{$port}\"",
            'audio_output {',
            '    type "alsa"',
            '    name "chosen output"',
            "    device \"{$device}\"",
            '    mixer_type "software"',
            '}',
        ]);
    }

    /** Where the television recorder keeps its recordings (vdr(1), arguments by file). */
    public static function recorder(string $folder): self
    {
        self::folder($folder);

        return new self(['[vdr]', "--video={$folder}"]);
    }

    /** That the package tool looks for updates and installs the security ones by itself (apt.conf(5)). */
    public static function automaticUpdates(): self
    {
        return new self(['APT::Periodic::Update-Package-Lists "1";', 'APT::Periodic::Unattended-Upgrade "1";']);
    }

    public function __toString(): string
    {
        return implode("\n", $this->lines);
    }

    private static function folder(string $folder): void
    {
        if (preg_match('~^(?:/[A-Za-z0-9._-]+)+$~D', $folder) !== 1) {
            throw new InvalidArgumentException("Not a folder: {$folder}.");
        }
    }

    private static function port(string $port): void
    {
        if (! ctype_digit($port) || (int) $port < 1 || (int) $port > 65535) {
            throw new InvalidArgumentException("Not a port: {$port}.");
        }
    }

    private static function plain(string $name): void
    {
        if (preg_match('/^[A-Za-z0-9][A-Za-z0-9 _-]{0,60}$/D', $name) !== 1) {
            throw new InvalidArgumentException("Not a name: {$name}.");
        }
    }
}
