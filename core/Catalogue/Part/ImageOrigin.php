<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Part;

/** Who packed an image. */
enum ImageOrigin: string
{
    case Author = 'author';
    case Vouched = 'vouched';
    case Stranger = 'stranger';

    public function label(): string
    {
        return match ($this) {
            self::Author => 'its author',
            self::Vouched => 'a packager its author vouches for',
            self::Stranger => 'somebody else',
        };
    }
}
