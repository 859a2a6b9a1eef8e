<?php

declare(strict_types=1);

namespace Burrow\Plan;

use Burrow\Board\AddOn;
use Burrow\Board\BoardClass;
use Burrow\Board\Cable;
use Burrow\Board\CardKind;
use Burrow\Board\Cooling;
use Burrow\Board\Drive;
use Burrow\Board\Enclosure;
use Burrow\Board\ImageKind;
use Burrow\Board\LinkKind;
use Burrow\Board\SmallParts;
use Burrow\Board\Supply;
use Burrow\Role\Role;

/** Everything a plan may choose from, by id. */
final readonly class Shelf
{
    /**
     * @param  array<string, Role>  $roles
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
