<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Part;

use Burrow\Catalogue\Job\Job;
use Burrow\Quantity\Bytes;

/** A kind of system image: bits, desktop or not, the memory it idles at and wants, sizes, and the year it is from. */
final readonly class ImageKind
{
    /**
     * @param  int  $bits  of its programs
     * @param  int  $kernelBits  of its kernel: 64 under 32-bit programs is a state of its own
     * @param  bool  $readyMade  brings its job along
     * @param  bool  $wizard  asks its questions on a screen at the first start
     * @param  list<string>  $without  peripherals, by the names that jobs use, that it does not know
     * @param  list<CardSchool>  $schools  ways of giving it first settings that it understands, the recommended one
     *         first
     * @param  bool  $getsUpdates  its release is still kept by those who make it
     * @param  list<string>  $carries  ids of the jobs that a ready-made image is made for; empty for any
     * @param  list<string>  $markers  names of empty files of which exactly one chooses what starts
     */
    public function __construct(
        public string $id,
        public string $label,
        public int $bits,
        public bool $desktop,
        public Bytes $memoryIdle,
        public Bytes $memoryWanted,
        public Bytes $memoryLeast,
        public Bytes $packed,
        public Bytes $unpacked,
        public int $year,
        public int $kernelBits,
        public bool $readyMade,
        public bool $wizard,
        public array $without,
        public array $schools,
        public array $markers,
        public ?OwnText $ownText,
        public bool $getsUpdates,
        public array $carries,
    ) {
    }

    public function understands(CardSchool $school): bool
    {
        return in_array($school, $this->schools, true);
    }

    public function carries(Job $job): bool
    {
        return $this->carries === [] || in_array($job->id, $this->carries, true);
    }

    /** It has no more bits than the board, and is not older. */
    public function startsOn(BoardClass $board): bool
    {
        return $this->kernelBits <= $board->processor->bits && $this->year >= $board->year;
    }
}
