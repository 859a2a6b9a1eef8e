<?php

declare(strict_types=1);

namespace Burrow\BringUp\Write;

use Burrow\Stores\SmbShare;

/** The store's section of smb.conf. */
final readonly class SmbShareBlock implements Block
{
    public function name(): string
    {
        return 'smb_share';
    }

    public function needs(): array
    {
        return ['share', 'mount_point', 'user'];
    }

    public function write(array $values): string
    {
        return (string) new SmbShare($values['share'], $values['mount_point'], $values['user']);
    }
}
