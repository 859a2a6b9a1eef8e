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
use Burrow\Catalogue\Part\LinkKind;
use Burrow\Catalogue\Part\SmallParts;
use Burrow\Catalogue\Part\Supply;
use Burrow\Plan\PlanInput;

/** Everything a plan may choose from, by id. */
final readonly class Shelf
{
    /**
     * @param  array<string, Job>  $roles
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
        public array $roles,
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

    /** @return array<string, list<mixed>> name of a plan's part => what it may be changed to */
    public function changesTo(PlanInput $plan): array
    {
        $schools = [];
        foreach ($plan->roles as $role) {
            foreach ($role->schools as $school) {
                if ($school !== $plan->school($role)) {
                    $schools[] = $plan->schools->choosing($role, $school);
                }
            }
        }

        return [
            'board' => array_values($this->boards),
            'supply' => array_values($this->supplies),
            'cable' => array_values($this->cables),
            'drive' => array_values($this->drives),
            'link' => LinkKind::cases(),
            'image' => array_values($this->images),
            'card' => array_values($this->cards),
            'case' => array_values($this->cases),
            'hub' => $this->small->hubs(),
            'cooling' => array_values($this->coolings),
            'addOn' => array_values($this->addOns),
            'schools' => $schools,
        ];
    }
}
