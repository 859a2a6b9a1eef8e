<?php

declare(strict_types=1);

namespace Burrow\Intake\Disks;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Judgement\Findings;
use Burrow\Quantity\Bytes;

/** `Get-Disk | ConvertTo-Json`: one disk or a list of them; the bus is a word or its number. */
final class GetDiskReader implements Reader
{
    /** MSFT_Disk, BusType. */
    private const BUSES = [
        3 => 'ata',
        7 => 'usb',
        8 => 'raid',
        10 => 'sas',
        11 => 'sata',
        12 => 'sd',
        13 => 'mmc',
        17 => 'nvme',
    ];

    public function kind(): string
    {
        return 'get-disk';
    }

    public function summary(): string
    {
        return 'Get-Disk | ConvertTo-Json';
    }

    public function sign(): string
    {
        return '/"(?:FriendlyName|BusType|OperationalStatus)" *:/';
    }

    public function read(string $text): Reading
    {
        $from = strcspn($text, '[{');
        $to = max((int) strrpos($text, ']'), (int) strrpos($text, '}'));
        $json = $to > $from ? json_decode(substr($text, $from, $to - $from + 1), true, 64) : null;
        $entries = is_array($json) && ! array_is_list($json) ? [$json] : $json;
        if (
            ! is_array($entries) ||
            array_filter(
                $entries,
                fn (mixed $one): bool => is_array($one) &&
                    array_key_exists('Number', $one) &&
                    array_key_exists('Size', $one),
            ) === []
        ) {
            return new Reading($this->kind(), [], Findings::of(IntakeFindings::notGetDisk()));
        }
        $list = DeviceList::read($entries, $this->disk(...));

        return new Reading($this->kind(), $list->disks(), $list->findings('no number or no size in bytes', ''));
    }

    /** @param  array<mixed>  $entry */
    private function disk(array $entry): ?BlockDevice
    {
        $number = $entry['Number'] ?? null;
        $size = $entry['Size'] ?? null;
        if (! is_int($number) || $number < 0 || $number > 999 || ! is_int($size) || $size < 0) {
            return null;
        }
        $bus = $entry['BusType'] ?? null;
        $transport = is_int($bus) ? self::BUSES[$bus] ?? 'other' : (is_string($bus) ? strtolower($bus) : null);
        $partitions = $entry['NumberOfPartitions'] ?? 0;

        return new BlockDevice(
            (string) $number,
            Bytes::of($size),
            $this->text($entry, 'FriendlyName'),
            $this->text($entry, 'SerialNumber'),
            $transport,
            in_array($transport, ['usb', 'sd', 'mmc'], true),
            ($entry['IsReadOnly'] ?? false) === true,
            [],
            is_int($partitions) && $partitions > 0
                ? [$partitions === 1 ? 'one partition' : "{$partitions} partitions"]
                : [],
            $this->text($entry, 'UniqueId'),
            ($entry['IsSystem'] ?? false) === true || ($entry['IsBoot'] ?? false) === true,
            is_int($partitions),
        );
    }

    /** @param  array<mixed>  $entry */
    private function text(array $entry, string $key): ?string
    {
        return is_string($entry[$key] ?? null) && trim($entry[$key]) !== ''
            ? mb_substr(trim($entry[$key]), 0, 120)
            : null;
    }
}
