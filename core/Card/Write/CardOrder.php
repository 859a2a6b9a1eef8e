<?php

declare(strict_types=1);

namespace Burrow\Card\Write;

use Burrow\Catalogue\Part\CardSchool;
use Burrow\Catalogue\Part\ImageKind;

/** What is wanted of a card beside its settings: which schools, and what lies on it already. */
final readonly class CardOrder
{
    /**
     * @param  non-empty-list<CardSchool>  $schools
     * @param  string  $userData  a user-data that another tool wrote, to be kept and completed; or empty
     * @param  string  $kernelLine  what cmdline.txt holds now, or empty
     * @param  string  $firmware  what config.txt holds now, or empty
     * @param  string  $marker  the marker file that was chosen, or empty
     */
    public function __construct(
        public ImageKind $image,
        public array $schools,
        public bool $containers = false,
        public bool $sixtyFour = false,
        public string $userData = '',
        public string $kernelLine = '',
        public string $firmware = '',
        public string $marker = '',
    ) {
    }

    public function wants(CardSchool $school): bool
    {
        return in_array($school, $this->schools, true);
    }
}
