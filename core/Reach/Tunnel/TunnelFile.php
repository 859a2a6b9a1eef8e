<?php

declare(strict_types=1);

namespace Burrow\Reach\Tunnel;

use Burrow\Files\FileKind;
use Burrow\Files\WrittenFile;

/** The endpoint's file of a tunnel, for wg-quick(8). */
final class TunnelFile implements FileKind
{
    public function kind(): string
    {
        return 'wireguard';
    }

    public function summary(): string
    {
        return 'the file of a tunnel’s endpoint, with the devices that it knows; the private key lies beside it';
    }

    public function schema(): string
    {
        return 'core/Reach/schema/tunnel.schema.json';
    }

    public function write(string $values, string $schema, string $name): WrittenFile
    {
        $answer = TunnelAnswer::to($values, $schema, $name);

        return new WrittenFile($this->kind(), $answer->files()['endpoint'] ?? null, $answer->findings);
    }
}
