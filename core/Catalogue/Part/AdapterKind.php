<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Part;

/** What a small part is for. */
enum AdapterKind: string
{
    case Lead = 'lead';
    case Socket = 'socket';
    case Video = 'video';
    case Hub = 'hub';
    case Network = 'network';
    case Reader = 'reader';
}
