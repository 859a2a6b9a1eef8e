<?php

declare(strict_types=1);

namespace Burrow\Intake\Disks;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Judgement\Findings;
use Burrow\Quantity\Bytes;
use DOMDocument;
use DOMElement;

/**
 * `diskutil list -plist`, with `diskutil info -plist` of single disks below it if they are there (property lists in
 * XML).
 */
final class DiskutilReader implements Reader
{
    private const DEEPEST = 12;

    public function kind(): string
    {
        return 'diskutil';
    }

    public function summary(): string
    {
        return 'diskutil list -plist';
    }

    public function sign(): string
    {
        return '/<key>AllDisks(?:AndPartitions)?<\/key>/';
    }

    public function read(string $text): Reading
    {
        $disks = $infos = [];
        foreach ($this->lists($text) as $xml) {
            $data = $this->plist($xml);
            foreach (
                is_array($data['AllDisksAndPartitions'] ?? null) ? $data['AllDisksAndPartitions'] : [] as $entry
            ) {
                if (
                    is_array($entry) &&
                    is_string($entry['DeviceIdentifier'] ?? null) &&
                    count($disks) < DeviceList::MOST
                ) {
                    $disks[$entry['DeviceIdentifier']] = $entry;
                }
            }
            if (
                count($infos) < DeviceList::MOST &&
                isset($data['ParentWholeDisk'], $data['DeviceIdentifier']) &&
                is_string($data['DeviceIdentifier'])
            ) {
                $infos[$data['DeviceIdentifier']] = $data;
            }
        }
        if ($disks === []) {
            return new Reading($this->kind(), [], Findings::of(IntakeFindings::notDiskutil()));
        }
        $read = array_filter(
            array_map(
                fn (string $name): ?BlockDevice => $this->disk($name, $disks[$name], $infos[$name] ?? [], $disks),
                array_keys($disks),
            ),
        );

        return new Reading($this->kind(), array_values($read), Findings::of());
    }

    /**
     * Every property list of the text, from its opening to its closing tag.
     *
     * @return iterable<string>
     */
    private function lists(string $text): iterable
    {
        $from = strpos($text, '<plist');
        while ($from !== false) {
            $end = strpos($text, '</plist>', $from);
            if ($end === false) {
                return;
            }
            yield substr($text, $from, $end + 8 - $from);
            $from = strpos($text, '<plist', $end);
        }
    }

    /**
     * @param  array<mixed>  $entry
     * @param  array<mixed>  $info
     * @param  array<string, array<mixed>>  $all
     */
    private function disk(string $name, array $entry, array $info, array $all): ?BlockDevice
    {
        $size = $entry['Size'] ?? ($info['TotalSize'] ?? null);
        $physical = is_array($entry['APFSPhysicalStores'] ?? null) ? $entry['APFSPhysicalStores'] : [];
        if (! is_int($size) || preg_match('/^disk\d{1,4}$/D', $name) !== 1 || $physical !== []) {
            return null;
        }
        $parts = [...$this->parts($entry), ...$this->containers($name, $all)];
        $points = array_values(array_filter(array_column($parts, 'MountPoint'), is_string(...)));
        $holds = array_values(
            array_filter(
                array_map(
                    fn (array $part): string => trim(
                        (is_string($part['Content'] ?? null) ? $part['Content'] : '').
                            ' '.
                            (is_string($part['VolumeName'] ?? null) ? $part['VolumeName'] : ''),
                    ),
                    $parts,
                ),
            ),
        );

        return new BlockDevice(
            $name,
            Bytes::of(max(0, $size)),
            is_string($info['MediaName'] ?? null) ? trim($info['MediaName']) : null,
            is_string($info['DiskUUID'] ?? null) ? $info['DiskUUID'] : null,
            is_string($info['BusProtocol'] ?? null) ? strtolower($info['BusProtocol']) : null,
            ($info['RemovableMedia'] ?? ($info['Removable'] ?? false)) === true ||
                ($info['RemovableMediaOrExternalDevice'] ?? false) === true ||
                (($entry['OSInternal'] ?? null) === false && ($info['Internal'] ?? null) === false),
            ($info['WritableMedia'] ?? true) === false,
            $points,
            $holds,
            bearsSystem: array_filter(
                $points,
                fn (string $point): bool => $point === '/' || str_starts_with($point, '/System'),
            ) !== [],
        );
    }

    /**
     * Volumes of a container belong to the disk that the container lies on.
     *
     * @param  array<string, array<mixed>>  $all
     * @return list<array<mixed>>
     */
    private function containers(string $name, array $all): array
    {
        $parts = [];
        foreach ($all as $entry) {
            foreach (is_array($entry['APFSPhysicalStores'] ?? null) ? $entry['APFSPhysicalStores'] : [] as $store) {
                if (
                    is_array($store) &&
                    is_string($store['DeviceIdentifier'] ?? null) &&
                    preg_replace('/s\d+$/', '', $store['DeviceIdentifier']) === $name
                ) {
                    $parts = [...$parts, ...$this->parts($entry)];
                }
            }
        }

        return $parts;
    }

    /**
     * @param  array<mixed>  $entry
     * @return list<array<mixed>>
     */
    private function parts(array $entry): array
    {
        return array_slice(
            array_values(
                array_filter(
                    [
                        // A disk without a table is mounted as a whole.
                        ...isset($entry['MountPoint']) || isset($entry['VolumeName']) ? [$entry] : [],
                        ...is_array($entry['Partitions'] ?? null) ? $entry['Partitions'] : [],
                        ...is_array($entry['APFSVolumes'] ?? null) ? $entry['APFSVolumes'] : [],
                    ],
                    is_array(...),
                ),
            ),
            0,
            DeviceList::MOST,
        );
    }

    /** @return array<mixed> */
    private function plist(string $xml): array
    {
        $document = new DOMDocument();
        $before = libxml_use_internal_errors(true);
        // No network, no entities: what comes in is only looked at.
        $loaded = ! str_contains($xml, '<!ENTITY') && $document->loadXML($xml, LIBXML_NONET);
        libxml_clear_errors();
        libxml_use_internal_errors($before);
        $root = $loaded ? $document->documentElement?->firstElementChild : null;
        $value = $root === null ? null : $this->value($root, 0);

        return is_array($value) ? $value : [];
    }

    private function value(DOMElement $node, int $depth): mixed
    {
        if ($depth > self::DEEPEST) {
            return null;
        }

        return match ($node->tagName) {
            'true' => true,
            'false' => false,
            'integer' => ctype_digit(trim($node->textContent)) && strlen(trim($node->textContent)) < 19
                ? (int) trim($node->textContent)
                : null,
            'array' => array_map(
                fn (DOMElement $child): mixed => $this->value($child, $depth + 1),
                $this->children($node),
            ),
            'dict' => $this->dictionary($node, $depth),
            default => mb_substr($node->textContent, 0, 500),
        };
    }

    /** @return array<string, mixed> */
    private function dictionary(DOMElement $node, int $depth): array
    {
        $values = [];
        $key = null;
        foreach ($this->children($node) as $child) {
            if ($child->tagName === 'key') {
                $key = $child->textContent;
            } elseif ($key !== null) {
                $values[$key] = $this->value($child, $depth + 1);
                $key = null;
            }
        }

        return $values;
    }

    /** @return list<DOMElement> */
    private function children(DOMElement $node): array
    {
        return array_values(
            array_filter(iterator_to_array($node->childNodes), fn ($child): bool => $child instanceof DOMElement),
        );
    }
}
