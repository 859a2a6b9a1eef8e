<?php

declare(strict_types=1);

namespace Burrow\BringUp\Write;

use Burrow\Stores\FstabLine;

/** The store's line of /etc/fstab. */
final readonly class FstabBlock implements Block
{
    public function name(): string
    {
        return 'fstab_line';
    }

    public function needs(): array
    {
        return ['uuid', 'mount_point'];
    }

    public function write(array $values): string
    {
        return (string) new FstabLine($values['uuid'], $values['mount_point']);
    }
}
