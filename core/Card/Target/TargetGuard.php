<?php

declare(strict_types=1);

namespace Burrow\Card\Target;

use Burrow\Intake\Disks\BlockDevice;
use Burrow\Judgement\Findings;
use Burrow\Quantity\Bytes;

/**
 * Which disk of the desk computer the image goes on, and which must not be touched. Two lists, before and after
 * plugging the card in, beat any name; in doubt no target is named.
 */
final readonly class TargetGuard
{
    /** No card is larger; what is, is somebody's disk. */
    private const LARGEST_CARD = 1.1e12;

    /** Where desktop systems mount what was just plugged in: below the person's name. Elsewhere somebody did it. */
    private const AUTO_MOUNT = '~^(?:(?:/run)?/media/[^/]+/[^/]+|/Volumes/[^/]+)$~D';

    private const OUTSIDE = ['usb', 'mmc', 'sd', 'secure digital', 'external'];

    /** @param  list<JudgedDisk>  $disks */
    private function __construct(public ?BlockDevice $target, public array $disks, public Findings $findings)
    {
    }

    /**
     * @param  list<BlockDevice>  $after  with the card plugged in
     * @param  ?list<BlockDevice>  $before  without it; null when there is no such list
     * @param  Bytes  $image  unpacked
     * @param  bool  $drive  the target is declared to be a drive on an adapter, not a card
     * @param  list<KnownMedium>  $register
     */
    public static function among(array $after, ?array $before, Bytes $image, bool $drive, array $register): self
    {
        $judged = array_map(function (BlockDevice $disk) use ($before, $image, $drive, $register): JudgedDisk {
            $known =
                array_values(
                    array_filter(
                        $register,
                        fn (KnownMedium $one): bool => $one->serial !== null && $one->serial === $disk->serial,
                    ),
                )[0] ?? null;
            $isNew =
                $before !== null &&
                array_filter($before, fn (BlockDevice $other): bool => $other->isSame($disk)) === [];

            return new JudgedDisk(
                $disk,
                self::stays($disk, $image, $drive, $known, $before !== null && ! $isNew),
                $isNew,
                $known,
            );
        }, $after);
        $candidates = array_values(array_filter($judged, fn (JudgedDisk $one): bool => $one->stays === null));

        return $before === null
            ? self::byLooks($judged, $candidates, $drive)
            : self::byDifference($judged, $candidates, $drive);
    }

    /**
     * @param  list<JudgedDisk>  $judged
     * @param  list<JudgedDisk>  $candidates
     */
    private static function byDifference(array $judged, array $candidates, bool $drive): self
    {
        $new = array_values(array_filter($judged, fn (JudgedDisk $one): bool => $one->isNew));
        if ($new === []) {
            return self::doubt(
                $judged,
                'Nothing new is in the second list.',
                'Plug it in, wait ten seconds, list again. A reader may show its card only when the card is pushed in all the way.',
            );
        }
        if (count($new) > 1) {
            return self::doubt(
                $judged,
                count($new).
                    ' disks are new: '.
                    implode(', ', array_map(fn (JudgedDisk $one): string => $one->disk->name, $new)).
                    '.',
                'Unplug all but the one, and make both lists again.',
            );
        }
        if ($candidates === []) {
            return self::doubt(
                $judged,
                "What is new is {$new[0]->disk->name}, and it must not be touched: ".
                    lcfirst((string) $new[0]->stays),
                'Take another one, or put right what is said there.',
            );
        }

        return self::chosen(
            $judged,
            $candidates[0],
            'It is in the second list and not in the first.',
            $drive,
            Findings::of(),
        );
    }

    /**
     * @param  list<JudgedDisk>  $judged
     * @param  list<JudgedDisk>  $candidates
     */
    private static function byLooks(array $judged, array $candidates, bool $drive): self
    {
        if (count($candidates) !== 1) {
            return $candidates === []
                ? self::doubt(
                    $judged,
                    'No disk in this list can be the target.',
                    'Plug it in, wait ten seconds, list again.',
                )
                : self::doubt(
                    $judged,
                    'More than one could be the target: '.
                        implode(', ', array_map(fn (JudgedDisk $one): string => $one->disk->name, $candidates)).
                        '.',
                    'List once without the card and once with it: the difference is the card.',
                );
        }

        $disk = $candidates[0]->disk;
        if (! $disk->isFresh() || ! $disk->removable) {
            return self::doubt(
                $judged,
                "{$disk->name} alone could be it, and ".
                    match (true) {
                        $disk->isFresh() => 'it is not removable',
                        $disk->fileSystems === [] => 'the list does not show what is on it',
                        default => 'it holds '.implode(', ', $disk->fileSystems),
                    }.
                    ': one list does not tell a card from a disk with data.',
                'List once without it and once with it: the difference is the card.',
            );
        }

        return self::chosen(
            $judged,
            $candidates[0],
            'It is the only one that can be it; all others are in use, inside, or too large or small.',
            $drive,
            Findings::of(TargetFindings::targetByLooks()),
        );
    }

    /** @param  list<JudgedDisk>  $judged */
    private static function chosen(
        array $judged,
        JudgedDisk $one,
        string $because,
        bool $drive,
        Findings $more,
    ): self {
        $disk = $one->disk;
        $what = $drive ? 'drive' : 'card';
        $holds =
            $disk->fileSystems === []
                ? 'Nothing was found on it.'
                : 'On it now: '.implode(', ', $disk->fileSystems).'. All of that will be gone.';
        $found =
            "The {$what} is {$disk->name}: {$disk->size->decimal()}".
            ($disk->model === null ? '' : ", {$disk->model}").
            ($disk->serial === null ? '' : ", serial {$disk->serial}").
            '.';
        $mounted = $disk->mountPoints === [] ? [] : [TargetFindings::targetMounted($disk)];

        return new self(
            $disk,
            $judged,
            Findings::of(
                $disk->fileSystems === []
                    ? TargetFindings::targetChosen($found, $because, $holds)
                    : TargetFindings::targetNotEmpty($found, $because, $holds),
                ...$one->known === null ? [] : [TargetFindings::targetKnown($one->known)],
            )
                ->and($mounted)
                ->and($more),
        );
    }

    /** @param  list<JudgedDisk>  $judged */
    private static function doubt(array $judged, string $found, string $do): self
    {
        return new self(null, $judged, Findings::of(TargetFindings::targetInDoubt($found, $do)));
    }

    private static function stays(
        BlockDevice $disk,
        Bytes $image,
        bool $drive,
        ?KnownMedium $known,
        bool $wasThere,
    ): ?string {
        $mounted = array_values(
            array_filter($disk->mountPoints, fn (string $point): bool => preg_match(self::AUTO_MOUNT, $point) !== 1),
        );
        $outside = $disk->removable || in_array($disk->transport, self::OUTSIDE, true);

        return match (true) {
            $disk->isSystem() => 'The desk computer\'s own system runs from it.',
            $known !== null && ! $known->mayBeWiped => "The register says: {$known->purpose}, not to be wiped.",
            $disk->partOf() !== null && $known === null => "It is part of something larger ({$disk->partOf()}), and what that holds is not seen from here.",
            $mounted !== [] => 'It is in use at '.implode(', ', $mounted).'.',
            $disk->size->count === 0 => 'It is an empty reader.',
            $disk->readOnly => 'It is read-only; a card may have a small switch at its edge.',
            ! $outside => 'It is built in.',
            ! $drive && $disk->size->count > self::LARGEST_CARD => "{$disk->size->decimal()} is more than any card holds; declare it a drive if it is the one.",
            $image->isMoreThan($disk->size) => "It holds {$disk->size->decimal()}, and the image has {$image->decimal()}.",
            $wasThere => 'It was there before the card was plugged in.',
            default => null,
        };
    }
}
