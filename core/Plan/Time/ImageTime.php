<?php

declare(strict_types=1);

namespace Burrow\Plan\Time;

use Burrow\Catalogue\Part\AdapterKind;
use Burrow\Catalogue\Part\SdBus;
use Burrow\Catalogue\Part\WriteTime;
use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Plan\PlanInput;
use Burrow\Quantity\Duration;
use Burrow\Quantity\Rate;

/** From nothing to a written and verified card: downloading, unpacking, writing, reading back. */
final readonly class ImageTime
{
    public function __construct(private PlanInput $plan)
    {
    }

    /** Without the download, which happens once for many cards. */
    public function time(): Duration
    {
        return $this->steps()->time();
    }

    public function working(): Working
    {
        $image = $this->plan->image;
        $card = $this->plan->card;
        $line = Rate::megabitsPerSecond($this->plan->circumstances->downMegabits);

        return Working::of(
            'plan.image_time',
            'Writing the card, with verify',
            (string) $this->time(),
            Source::catalogue('image and card')->and(Source::commonPractice()),
            Line::computed('download, once', "{$image->packed->decimal()} ÷ {$line}", (string) $line->timeFor($image->packed)),
            Line::computed(
                'unpacking',
                "{$image->unpacked->decimal()} ÷ ".WriteTime::UNPACK_MEGABYTES.' MB/s',
                (string) $this->steps()->unpacking(),
            ),
            Line::computed(
                'writing',
                "{$image->unpacked->decimal()} ÷ min({$card->write}, {$this->reader()->rate()} of the reader)",
                (string) $this->steps()->writing(),
            ),
            Line::computed(
                'reading back',
                "{$image->unpacked->decimal()} ÷ min({$card->read}, {$this->reader()->rate()} of the reader)",
                (string) $this->steps()->readingBack(),
            ),
        );
    }

    private function steps(): WriteTime
    {
        return new WriteTime($this->plan->image->unpacked, $this->through($this->plan->card->write), $this->through($this->plan->card->read));
    }

    private function through(Rate $card): Rate
    {
        return $this->reader()->rate()->isBelow($card) ? $this->reader()->rate() : $card;
    }

    /** The slower bus of card and reader; a slot of the desk computer's own is as fast as the card. */
    private function reader(): SdBus
    {
        $reader = $this->plan->needsReader() ? $this->plan->small->cheapest(AdapterKind::Reader, $this->plan->desk->usbPlug ?? '') : null;

        return $reader !== null && $reader->bus->rate()->isBelow($this->plan->card->bus->rate()) ? $reader->bus : $this->plan->card->bus;
    }
}
