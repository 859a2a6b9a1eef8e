<?php

declare(strict_types=1);

namespace App\Card;

use App\Catalogue\Catalogue;
use App\Models\Desk;
use App\Models\ImageRecord;
use App\Models\Medium;
use Burrow\Card\Target\DeskCommand;
use Burrow\Card\Target\TargetGuard;
use Burrow\Card\Target\WriteCommands;
use Burrow\Catalogue\Part\AdapterKind;
use Burrow\Catalogue\Part\CardKind;
use Burrow\Catalogue\Part\DeskSystem;
use Burrow\Catalogue\Part\ImageKind;
use Burrow\Catalogue\Part\SdBus;
use Burrow\Catalogue\Part\WriteTime;
use Burrow\Intake\Disks\BlockDevice;
use Burrow\Intake\Intake;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;
use Burrow\Quantity\Bytes;
use Burrow\Quantity\Rate;
use Illuminate\Http\Request;

/** What was chosen and pasted to find the disk that an image goes on. Nothing of it is kept. */
final readonly class TargetRequest
{
    /**
     * @param  array<string, string>  $typed
     * @param  list<DeskCommand>  $commands  only after the disk's name was typed back
     */
    private function __construct(
        public array $typed,
        public ?ImageRecord $record,
        public ImageKind $image,
        public CardKind $card,
        public DeskSystem $system,
        public ?TargetGuard $guard,
        public Findings $findings,
        public array $commands,
        public ?DeskCommand $capacity,
        public ?Medium $medium,
        public Bytes $size,
        private ?SdBus $reader,
    ) {
    }

    public static function from(Request $request, Catalogue $catalogue): self
    {
        $typed = [];
        foreach (['desk', 'card', 'before', 'after', 'file', 'typed_name'] as $field) {
            $typed[$field] = $request->string($field)->value();
        }
        $typed['drive'] = $request->boolean('drive') ? '1' : '';
        $record = ImageRecord::query()->find($request->integer('image'));
        $shelf = $catalogue->shelf();
        $image = $shelf->images[$record->kind ?? ''] ?? $shelf->images['server-64'];
        $card = $shelf->cards[$typed['card']] ?? $shelf->cards['card-32-a1'];
        $desk = (
            Desk::query()->where('name', $typed['desk'])->first() ?? Desk::query()->orderBy('id')->first()
        )?->computer();
        $system = $desk->system ?? DeskSystem::Lsblk;
        $typed['file'] = trim($typed['file']) === '' ? 'image.img.xz' : trim($typed['file']);
        $findings = Findings::of();
        $guard = null;
        if (trim($typed['after']) !== '') {
            [$after, $read] = self::disks($typed['after'], $system, 'after');
            [$before, $readBefore] =
                trim($typed['before']) === ''
                    ? [null, Findings::of()]
                    : self::disks($typed['before'], $system, 'before');
            $findings = $read->and($readBefore);
            $guard = $findings->blocks()
                ? null
                : TargetGuard::among(
                    $after,
                    $before,
                    self::size($record, $image),
                    $typed['drive'] !== '',
                    array_values(Medium::query()->get()->map(fn (Medium $one) => $one->known())->all()),
                );
        }
        [$commands, $capacity, $told] = self::commands($guard?->target, $system, $typed);

        $serial = $guard?->target?->serial;

        return new self(
            $typed,
            $record,
            $image,
            $card,
            $system,
            $guard,
            $findings->and($told),
            $commands,
            $capacity,
            $serial === null ? null : Medium::query()->where('serial', $serial)->first(),
            self::size($record, $image),
            $desk === null || $desk->cardSlot
                ? null
                : $shelf->small->cheapest(AdapterKind::Reader, $desk->usbPlug)?->bus,
        );
    }

    /**
     * By what was measured on this very card before, else by the catalogue: card, and the reader of a desk computer
     * without a slot.
     */
    /** What is known so far, as the page's heading sentence. */
    public function sentence(): string
    {
        $named = $this->guard?->target?->name;

        return match (true) {
            $this->guard === null => 'Which disk is the card?',
            $named === null => 'No disk is named: there is doubt.',
            $this->commands !== [] => "The commands name {$named} and no other disk.",
            default => "The card is {$named}. Type its name to see the commands.",
        };
    }

    public function time(): WriteTime
    {
        $measured = $this->medium?->write_mbyte;
        $bus =
            $this->reader !== null && $this->reader->rate()->isBelow($this->card->bus->rate())
                ? $this->reader->rate()
                : $this->card->bus->rate();
        $through = fn (Rate $card): Rate => $bus->isBelow($card) ? $bus : $card;

        return new WriteTime(
            $this->size,
            $measured === null ? $through($this->card->write) : Rate::megabytesPerSecond($measured),
            $through($this->card->read),
            $measured !== null,
        );
    }

    /** @return array{list<BlockDevice>, Findings} */
    private static function disks(string $text, DeskSystem $system, string $field): array
    {
        $reading = Intake::standard()->read($system->value, $text);

        return [
            $reading->all(BlockDevice::class),
            Findings::of(
                ...array_map(
                    fn (Finding $finding): Finding => $finding->at(Place::field($field)),
                    $reading->findings->list,
                ),
            ),
        ];
    }

    private static function size(?ImageRecord $record, ImageKind $image): Bytes
    {
        return $record?->unpacked_bytes === null ? $image->unpacked : Bytes::of((int) $record->unpacked_bytes);
    }

    /**
     * @param  array<string, string>  $typed
     * @return array{list<DeskCommand>, ?DeskCommand, Findings}
     */
    private static function commands(?BlockDevice $target, DeskSystem $system, array $typed): array
    {
        if ($target === null) {
            return [[], null, Findings::of()];
        }
        if ($target->stable === null && $system !== DeskSystem::Diskutil) {
            return [[], null, Findings::of(CardFormFindings::targetWithoutName(Place::field('after')))];
        }
        if ($typed['typed_name'] === '') {
            return [[], null, Findings::of()];
        }
        if (trim($typed['typed_name']) !== WriteCommands::nameOf($target)) {
            return [[], null, Findings::of(CardFormFindings::targetNotTyped(Place::field('typed_name')))];
        }
        if (preg_match('~[/\\\\\r\n]|^-~', $typed['file']) === 1) {
            return [[], null, Findings::of(CardFormFindings::imageFileName($typed['file'], Place::field('file')))];
        }

        return [
            WriteCommands::for($system, $target, $typed['file']),
            $system === DeskSystem::Lsblk ? WriteCommands::capacityTest($target) : null,
            Findings::of(),
        ];
    }
}
