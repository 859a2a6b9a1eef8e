<?php

declare(strict_types=1);

namespace Burrow\Stores;

use Burrow\Intake\Disks\BlockDevice;
use Burrow\Judgement\Findings;
use Burrow\Quantity\Bytes;

/** Which disk of a box is the new store, and which must not be touched. Refuses to choose in doubt. */
final readonly class DiskChoice
{
    /** Sold and real capacity differ by a few per cent at most. */
    private const TOLERANCE = 0.08;

    private function __construct(public ?BlockDevice $disk, public Findings $findings)
    {
    }

    /**
     * @param  list<BlockDevice>  $disks
     * @param  ?Bytes  $planned  capacity of the disk in the plan
     */
    public static function among(array $disks, ?Bytes $planned): self
    {
        $kept = Findings::of();
        $candidates = [];
        foreach ($disks as $disk) {
            $reason = self::mustStay($disk, $planned);
            if ($reason === null) {
                $candidates[] = $disk;
            } else {
                $kept = $kept->and([DiskFindings::diskStays($disk, $reason)]);
            }
        }
        if (count($candidates) !== 1) {
            $what =
                $candidates === []
                    ? 'No disk in the list can be the store.'
                    : 'More than one disk could be the store: '.
                        implode(', ', array_map(fn (BlockDevice $d): string => $d->name, $candidates)).
                        '.';

            return new self(
                null,
                Findings::of(DiskFindings::diskInDoubt($what, $candidates === []))->and($kept),
            );
        }
        $disk = $candidates[0];
        if (($disk->serial ?? '') === '') {
            $nameless = DiskFindings::diskWithoutSerial($disk);

            return new self(null, Findings::of($nameless)->and($kept));
        }
        $holds =
            $disk->fileSystems === []
                ? 'It is empty.'
                : 'It holds: '.implode(', ', $disk->fileSystems).'. All of that would be gone.';
        $finding =
            $disk->fileSystems === []
                ? DiskFindings::diskChosen(self::name($disk), $holds)
                : DiskFindings::diskNotEmpty(self::name($disk), $holds);

        return new self($disk, Findings::of($finding)->and($kept));
    }

    private static function name(BlockDevice $disk): string
    {
        return "The store is {$disk->name}: {$disk->size->decimal()}".
            ($disk->serial === null ? '' : ", serial {$disk->serial}").
            '.';
    }

    /** Why a disk is left alone, or null. */
    private static function mustStay(BlockDevice $disk, ?Bytes $planned): ?string
    {
        $off = $planned === null ? 0 : abs($disk->size->count - $planned->count);

        return match (true) {
            $disk->isSystem() => 'The running system lives on it.',
            $disk->partOf() !== null => "It is part of something larger ({$disk->partOf()}).",
            $disk->mountPoints !== [] => 'It is mounted at '.implode(', ', $disk->mountPoints).'.',
            $disk->readOnly => 'It is read-only.',
            $disk->size->count === 0 => 'It is an empty reader.',
            $planned !== null && $off > $planned->count * self::TOLERANCE => "The plan says {$planned->decimal()}.",
            default => null,
        };
    }
}
