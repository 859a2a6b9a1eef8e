<?php

declare(strict_types=1);

namespace Burrow\Card\Read;

/**
 * What the modules of cloud-init (22.4) need under the keys of a cloud-config. Given anything else a module ends with
 * an error in
 * its log, and what it was to do is not done, while the rest of the file goes on. Keys whose modules take nearly
 * anything (packages
 * as one text, “yes” for true) are left out.
 */
final class CloudValues
{
    private const LISTS = [
        'runcmd',
        'bootcmd',
        'ssh_authorized_keys',
        'write_files',
        'mounts',
        'fs_setup',
        'ssh_import_id',
    ];

    private const MAPS = [
        'keyboard',
        'ntp',
        'chpasswd',
        'power_state',
        'apt',
        'swap',
        'growpart',
        'disk_setup',
        'phone_home',
        'rsyslog',
        'ssh_keys',
        'device_aliases',
    ];

    private const SINGLE = ['hostname', 'fqdn', 'timezone', 'locale', 'final_message', 'password'];

    private const COMMANDS = ['runcmd', 'bootcmd'];

    /**
     * @param  array<mixed>  $data  of a cloud-config
     * @return list<array{list<int|string>, string, string}> where, what is wanted there, and what to do
     */
    public static function faults(array $data): array
    {
        $faults = [];
        foreach ($data as $key => $value) {
            $isMap = is_array($value) && $value !== [] && ! array_is_list($value);
            if (in_array($key, self::LISTS, true) && (! is_array($value) || $isMap)) {
                $faults[] = [[$key], 'a list', 'Put each entry on a line of its own with a dash before it.'];
            } elseif (in_array($key, self::MAPS, true) && $value !== null && $value !== [] && ! $isMap) {
                $faults[] = [
                    [$key],
                    'names with values below it',
                    'Indent what belongs to it, each as “name: value”.',
                ];
            } elseif (in_array($key, self::SINGLE, true) && is_array($value)) {
                $faults[] = [[$key], 'one value', 'Write it behind the colon.'];
            } elseif (in_array($key, self::COMMANDS, true) && is_array($value)) {
                $faults = [...$faults, ...self::commands($key, $value)];
            } elseif ($key === 'write_files' && is_array($value)) {
                $faults = [...$faults, ...self::files($value)];
            }
        }

        return $faults;
    }

    /**
     * A colon and a blank in a command that has no quotes make it a name with a value, and no command of the list is
     * run.
     *
     * @param  array<mixed>  $commands
     * @return list<array{list<int|string>, string, string}>
     */
    private static function commands(string $key, array $commands): array
    {
        $faults = [];
        foreach (array_values($commands) as $number => $command) {
            if (! is_string($command) && ! (is_array($command) && array_is_list($command))) {
                $faults[] = [
                    [$key, $number],
                    'a command, as one text or as a list of words',
                    'Put the whole line in quotes; a colon in it makes something else of it.',
                ];
            }
        }

        return $faults;
    }

    /**
     * @param  array<mixed>  $files
     * @return list<array{list<int|string>, string, string}>
     */
    private static function files(array $files): array
    {
        $faults = [];
        foreach (array_values($files) as $number => $file) {
            if (! is_array($file) || ! is_string($file['path'] ?? null) || $file['path'] === '') {
                $faults[] = [
                    ['write_files', $number],
                    'a file with its “path:”',
                    'Add “path: /…” beside its content.',
                ];
            }
        }

        return $faults;
    }
}
