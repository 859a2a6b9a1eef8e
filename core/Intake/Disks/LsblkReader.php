<?php

declare(strict_types=1);

namespace Burrow\Intake\Disks;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Judgement\Findings;
use Burrow\Quantity\Bytes;

/**
 * `lsblk --json --bytes` of util-linux 2.33 and later, with whatever columns were asked for, and `ls -l
 * /dev/disk/by-id/` below it if it is there.
 */
final class LsblkReader implements Reader
{
    public function kind(): string
    {
        return 'lsblk';
    }

    public function summary(): string
    {
        return 'lsblk --json --bytes';
    }

    public function sign(): string
    {
        return '/"blockdevices" *:/';
    }

    public function read(string $text): Reading
    {
        $json = json_decode($this->outermostBraces($text), true, 32);
        if (! is_array($json) || ! is_array($json['blockdevices'] ?? null)) {
            return new Reading($this->kind(), [], Findings::of(IntakeFindings::notLsblkJson()));
        }
        $links = $this->links($text);
        $list = DeviceList::read(
            $json['blockdevices'],
            fn (array $entry): ?BlockDevice => $this->disk($entry, $links),
        );

        return new Reading(
            $this->kind(),
            array_values(
                array_filter(
                    $list->disks(),
                    fn (BlockDevice $disk): bool => preg_match('/^(loop|ram|zram|sr|dm-|md)/', $disk->name) !== 1,
                ),
            ),
            $list->findings('no name or no size in bytes', 'Add --bytes to the command.'),
        );
    }

    /** People paste the prompt along. */
    private function outermostBraces(string $text): string
    {
        $from = strpos($text, '{');
        $to = strrpos($text, '}');

        return $from === false || $to === false || $to < $from ? '' : substr($text, $from, $to - $from + 1);
    }

    /**
     * What `ls -l /dev/disk/by-id/` adds below the list: the name that says most for each disk.
     *
     * @return array<string, string> kernel name => path
     */
    private function links(string $text): array
    {
        preg_match_all('~(?<=\s)([^\s>]{1,200}) -> \.\./\.\./(\w{1,64})[ \t\r]*$~m', $text, $lines, PREG_SET_ORDER);
        $links = [];
        foreach ($lines as [, $link, $name]) {
            if (
                preg_match('/^(?:wwn|nvme-eui|lvm|dm)-/', $link) !== 1 &&
                preg_match('/^[A-Za-z0-9:._+@=-]{1,160}$/D', $link) === 1
            ) {
                $links[$name] ??= "/dev/disk/by-id/{$link}";
            }
        }

        return $links;
    }

    /**
     * @param  array<mixed>  $entry
     * @param  array<string, string>  $links
     */
    private function disk(array $entry, array $links): ?BlockDevice
    {
        $name = $this->text($entry, 'name');
        $size = $entry['size'] ?? null;
        if (
            $name === null ||
            ! preg_match('~^[a-zA-Z0-9/_-]{1,64}$~D', $name) ||
            ! (is_int($size) || (is_string($size) && ctype_digit($size) && strlen($size) < 19)) ||
            $size < 0
        ) {
            return null;
        }
        $parts = $this->family($entry);

        return new BlockDevice(
            name: $name,
            size: Bytes::of((int) $size),
            model: $this->text($entry, 'model'),
            serial: $this->text($entry, 'serial'),
            transport: $this->text($entry, 'tran'),
            removable: $this->flag($entry, 'rm') || $this->flag($entry, 'hotplug'),
            readOnly: $this->flag($entry, 'ro'),
            mountPoints: array_values(array_unique(array_merge(...array_map($this->mountPoints(...), $parts)))),
            fileSystems: array_values(
                array_filter(
                    array_map(
                        fn (array $part): string => trim(
                            ($this->text($part, 'fstype') ?? '').' '.($this->text($part, 'label') ?? ''),
                        ),
                        $parts,
                    ),
                ),
            ),
            stable: $this->text($entry, 'id-link') !== null
                ? '/dev/disk/by-id/'.$this->text($entry, 'id-link')
                : $links[$name] ?? null,
            showsContents: array_filter(
                $parts,
                fn (array $part): bool => ! array_key_exists('fstype', $part),
            ) === [],
        );
    }

    /**
     * The device and all below it, at most eight levels down.
     *
     * @param  array<mixed>  $entry
     * @return non-empty-list<array<mixed>>
     */
    private function family(array $entry): array
    {
        $family = $level = [$entry];
        for ($depth = 0; $depth < 8 && $level !== []; $depth++) {
            $below = [];
            foreach ($level as $one) {
                foreach (is_array($one['children'] ?? null) ? $one['children'] : [] as $child) {
                    if (is_array($child) && count($family) + count($below) < DeviceList::MOST) {
                        $below[] = $child;
                    }
                }
            }
            array_push($family, ...$below);
            $level = $below;
        }

        return $family;
    }

    /**
     * @param  array<mixed>  $entry
     * @return list<string>
     */
    private function mountPoints(array $entry): array
    {
        $points = $entry['mountpoints'] ?? [$entry['mountpoint'] ?? null];

        return array_values(array_filter(is_array($points) ? $points : [$points], is_string(...)));
    }

    /** @param  array<mixed>  $entry */
    private function text(array $entry, string $key): ?string
    {
        $value = $entry[$key] ?? null;

        return is_string($value) && trim($value) !== '' ? trim($value) : null;
    }

    /**
     * Older versions print "0" and "1", newer ones true and false.
     *
     * @param  array<mixed>  $entry
     */
    private function flag(array $entry, string $key): bool
    {
        return in_array($entry[$key] ?? false, [true, 1, '1'], true);
    }
}
