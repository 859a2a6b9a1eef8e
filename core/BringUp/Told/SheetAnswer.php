<?php

declare(strict_types=1);

namespace Burrow\BringUp\Told;

/** One question of an installer or first page, with what this box answers. */
final readonly class SheetAnswer
{
    /**
     * @param  string  $answer  this box's; may hold values
     * @param  string  $enter  what Enter alone, or passing on, would mean
     */
    public function __construct(
        public string $question,
        public string $answer,
        public string $why,
        public string $enter,
    ) {
    }
}
