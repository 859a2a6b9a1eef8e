<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Part;

use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Quantity\Bytes;
use Burrow\Quantity\Duration;
use Burrow\Quantity\Rate;

/** How long unpacking, writing and reading back take, and the full-capacity test of a card. */
final readonly class WriteTime
{
    /** What a desk computer unpacks in a second: common practice. */
    public const UNPACK_MEGABYTES = 50.0;

    /** @param  bool  $measured  the writing rate was measured here before */
    public function __construct(
        private Bytes $image,
        private Rate $write,
        private Rate $read,
        private bool $measured = false,
    ) {
    }

    public function time(): Duration
    {
        return $this->unpacking()->plus($this->writing())->plus($this->readingBack());
    }

    /** Everything written once and read once. */
    public function capacityTest(Bytes $capacity): Duration
    {
        return $this->write->timeFor($capacity)->plus($this->read->timeFor($capacity));
    }

    public function working(?Bytes $capacity): Working
    {
        return Working::of(
            'card.write_time',
            'Unpacking, writing, reading back',
            (string) $this->time(),
            $this->measured
                ? Source::measured('this card')
                : Source::catalogue('card')->and(Source::commonPractice()),
            Line::computed(
                'unpacking',
                "{$this->image->decimal()} ÷ ".self::UNPACK_MEGABYTES.' MB/s',
                (string) $this->unpacking(),
            ),
            Line::computed(
                'writing',
                "{$this->image->decimal()} ÷ {$this->write}",
                (string) $this->writing(),
                $this->measured ? 'measured before' : 'catalogue',
            ),
            Line::computed(
                'reading back',
                "{$this->image->decimal()} ÷ {$this->read}",
                (string) $this->readingBack(),
            ),
            ...$capacity === null
                ? []
                : [
                    Line::computed(
                        'full-capacity test',
                        "{$capacity->decimal()} ÷ {$this->write} + {$capacity->decimal()} ÷ {$this->read}",
                        (string) $this->capacityTest($capacity),
                    ),
                ],
        );
    }

    public function unpacking(): Duration
    {
        return Rate::megabytesPerSecond(self::UNPACK_MEGABYTES)->timeFor($this->image);
    }

    public function writing(): Duration
    {
        return $this->write->timeFor($this->image);
    }

    public function readingBack(): Duration
    {
        return $this->read->timeFor($this->image);
    }
}
