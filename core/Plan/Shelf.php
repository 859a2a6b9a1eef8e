<?php

declare(strict_types=1);

namespace Burrow\Plan;

use Burrow\Board\BoardClass;
use Burrow\Board\Cable;
use Burrow\Board\CardKind;
use Burrow\Board\Drive;
use Burrow\Board\Enclosure;
use Burrow\Board\ImageKind;
use Burrow\Board\LinkKind;
use Burrow\Board\Supply;

/** The parts that a plan may be changed to. */
final readonly class Shelf
{
    /**
     * @param  list<BoardClass>  $boards
     * @param  list<Supply>  $supplies
     * @param  list<Cable>  $cables
     * @param  list<Drive>  $drives
     * @param  list<ImageKind>  $images
     * @param  list<CardKind>  $cards
     * @param  list<Enclosure>  $cases
     */
    public function __construct(
        public array $boards,
        public array $supplies,
        public array $cables,
        public array $drives,
        public array $images,
        public array $cards,
        public array $cases,
    ) {
    }

    /** @return array<string, list<mixed>> name of a plan's part => what it may be */
    public function choices(): array
    {
        return [
            'board' => $this->boards, 'supply' => $this->supplies, 'cable' => $this->cables, 'drive' => $this->drives,
            'link' => LinkKind::cases(), 'image' => $this->images, 'card' => $this->cards, 'case' => $this->cases,
        ];
    }
}
