<?php

declare(strict_types=1);

namespace Burrow\Board;

/** The kinds of catalogue files that live beside the jobs; the value is also the schema's name. */
enum PartKind: string
{
    case Board = 'board';
    case Supply = 'supply';
    case Cable = 'cable';
    case Drive = 'drive';
}
