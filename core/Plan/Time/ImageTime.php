<?php

declare(strict_types=1);

namespace Burrow\Plan\Time;

use Burrow\Catalogue\Part\AdapterKind;
use Burrow\Catalogue\Part\Drive;
use Burrow\Catalogue\Part\SdBus;
use Burrow\Catalogue\Part\WriteTime;
use Burrow\Judgement\Line;
use Burrow\Judgement\Source;
use Burrow\Judgement\Working;
use Burrow\Plan\PlanInput;
use Burrow\Plan\PlannerPart;
use Burrow\Plan\SilentPart;
use Burrow\Quantity\Duration;
use Burrow\Quantity\Rate;

/**
 * From nothing to a written and verified card, or drive to start from: downloading, unpacking, writing, reading back.
 */
final readonly class ImageTime implements PlannerPart
{
    use SilentPart;

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
        $on = $this->startDrive() === null ? 'card' : 'drive';
        $line = Rate::megabitsPerSecond($this->plan->circumstances->downMegabits);

        return Working::of(
            'plan.image_time',
            "Writing the {$on}, with verify",
            (string) $this->time(),
            Source::catalogue("image and {$on}")->and(Source::commonPractice()),
            Line::computed(
                'download, once',
                "{$image->packed->decimal()} ÷ {$line}",
                (string) $line->timeFor($image->packed),
            ),
            Line::computed(
                'unpacking',
                "{$image->unpacked->decimal()} ÷ ".WriteTime::UNPACK_MEGABYTES.' MB/s',
                (string) $this->steps()->unpacking(),
            ),
            Line::computed(
                'writing',
                "{$image->unpacked->decimal()} ÷ {$this->narrowest($this->plan->card->write)}",
                (string) $this->steps()->writing(),
            ),
            Line::computed(
                'reading back',
                "{$image->unpacked->decimal()} ÷ {$this->narrowest($this->plan->card->read)}",
                (string) $this->steps()->readingBack(),
            ),
        );
    }

    private function steps(): WriteTime
    {
        return new WriteTime(
            $this->plan->image->unpacked,
            $this->through($this->plan->card->write),
            $this->through($this->plan->card->read),
        );
    }

    /** The rates that were compared, in words. */
    private function narrowest(Rate $card): string
    {
        $drive = $this->startDrive();

        return $drive === null
            ? "min({$card}, {$this->reader()->rate()} of the reader)"
            : "{$drive->rate} of the drive";
    }

    private function startDrive(): ?Drive
    {
        return $this->plan->startsFromDrive() ? $this->plan->drive : null;
    }

    private function through(Rate $card): Rate
    {
        $drive = $this->startDrive();
        if ($drive !== null) {
            return $drive->rate;
        }

        return $this->reader()->rate()->isBelow($card) ? $this->reader()->rate() : $card;
    }

    /** The slower bus of card and reader; a slot of the desk computer's own is as fast as the card. */
    private function reader(): SdBus
    {
        $reader = $this->plan->needsReader()
            ? $this->plan->small->cheapest(AdapterKind::Reader, $this->plan->desk->usbPlug ?? '')
            : null;

        return $reader !== null && $reader->bus->rate()->isBelow($this->plan->card->bus->rate())
            ? $reader->bus
            : $this->plan->card->bus;
    }

    public static function of(PlanInput $plan): self
    {
        return new self($plan);
    }

    public function workings(): array
    {
        return [$this->working()];
    }

    public function figures(): array
    {
        return [
            'image_time_s' => round($this->time()->seconds, 1),
        ];
    }

    public static function names(): array
    {
        return ['image_time_s'];
    }
}
