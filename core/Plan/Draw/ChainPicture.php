<?php

declare(strict_types=1);

namespace Burrow\Plan\Draw;

use Burrow\Plan\Speed\CopyRate;
use Burrow\Plan\Speed\Limit;

/** The chain of limits in a file copy as a pipe: each piece as wide as what it lets through. */
final readonly class ChainPicture
{
    public const WIDTH = 560;

    public const HEIGHT = 132;

    private const PIPE_TOP = 8;

    private const PIPE_HEIGHT = 72;

    /** Thinner than this nobody sees it. */
    private const LEAST = 3;

    /** @param  list<array{limit: Limit, x: float, y: float, width: float, height: float, narrowest: bool}>  $pieces */
    private function __construct(public array $pieces)
    {
    }

    public static function of(CopyRate $copy): self
    {
        $widest = max(array_map(fn (Limit $limit): float => $limit->rate->bytesPerSecond, $copy->chain));
        $width = self::WIDTH / count($copy->chain);
        $pieces = [];
        foreach ($copy->chain as $index => $limit) {
            $height = max(self::LEAST, (self::PIPE_HEIGHT * $limit->rate->bytesPerSecond) / $widest);
            $pieces[] = [
                'limit' => $limit,
                'x' => $index * $width,
                'y' => self::PIPE_TOP + (self::PIPE_HEIGHT - $height) / 2,
                'width' => $width,
                'height' => $height,
                'narrowest' => $limit === $copy->limit(),
            ];
        }

        return new self($pieces);
    }
}
