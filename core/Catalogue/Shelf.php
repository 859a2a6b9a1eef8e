<?php

declare(strict_types=1);

namespace Burrow\Catalogue;

use Burrow\Catalogue\Job\Job;
use Burrow\Catalogue\Part\AddOn;
use Burrow\Catalogue\Part\BoardClass;
use Burrow\Catalogue\Part\Cable;
use Burrow\Catalogue\Part\CardKind;
use Burrow\Catalogue\Part\Cooling;
use Burrow\Catalogue\Part\Drive;
use Burrow\Catalogue\Part\Enclosure;
use Burrow\Catalogue\Part\ImageKind;
use Burrow\Catalogue\Part\SmallParts;
use Burrow\Catalogue\Part\Supply;

/** Everything a plan may choose from, by id. */
final readonly class Shelf
{
    /**
     * @param  array<string, Job>  $jobs
     * @param  array<string, BoardClass>  $boards
     * @param  array<string, Supply>  $supplies
     * @param  array<string, Cable>  $cables
     * @param  array<string, Drive>  $drives
     * @param  array<string, ImageKind>  $images
     * @param  array<string, CardKind>  $cards
     * @param  array<string, Enclosure>  $cases
     * @param  array<string, Cooling>  $coolings
     * @param  array<string, AddOn>  $addOns
     */
    public function __construct(
        public array $jobs,
        public array $boards,
        public array $supplies,
        public array $cables,
        public array $drives,
        public array $images,
        public array $cards,
        public array $cases,
        public array $coolings,
        public array $addOns,
        public SmallParts $small,
    ) {
    }
}
