<?php

declare(strict_types=1);

namespace App\Upkeep;

/** What became of a report that came in. */
enum Taken: string
{
    case New = 'new';
    case Known = 'known';
    case Older = 'older';
    case None = 'none';

    public function words(): string
    {
        return match ($this) {
            self::New => 'It is read and held against the record.',
            self::Known => 'This very report was here already.',
            self::Older => 'It was made before the one that is here; it is kept, and changes nothing.',
            self::None => 'No report stands in this text.',
        };
    }
}
