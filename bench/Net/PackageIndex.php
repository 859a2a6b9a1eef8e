<?php

declare(strict_types=1);

namespace Bench\Net;

/**
 * A small package index in the form of a Debian "Packages" file (deb822), and what an image of some age is behind it.
 */
final class PackageIndex
{
    /** name => [version in the image, version in the index] */
    private const PACKAGES = [
        'openssh-server' => ['1:9.2p1-2+deb12u3', '1:9.2p1-2+deb12u7'],
        'openssl' => ['3.0.14-1~deb12u2', '3.0.17-1~deb12u3'],
        'libc6' => ['2.36-9+deb12u8', '2.36-9+deb12u13'],
        'systemd' => ['252.30-1~deb12u2', '252.39-1~deb12u1'],
        'base-files' => ['12.4+deb12u7', '12.4+deb12u12'],
        'tzdata' => ['2024a-0+deb12u1', '2025b-0+deb12u2'],
        'ca-certificates' => ['20230311', '20230311+deb12u1'],
        'sudo' => ['1.9.13p3-1+deb12u1', '1.9.13p3-1+deb12u2'],
        'libgnutls30' => ['3.7.9-2+deb12u3', '3.7.9-2+deb12u5'],
    ];

    public function asFile(): string
    {
        $paragraphs = [];
        foreach (self::PACKAGES as $name => [, $version]) {
            $paragraphs[] = "Package: {$name}\nVersion: {$version}\nArchitecture: arm64\n";
        }

        return implode("\n", $paragraphs);
    }

    /** @return array<string, array{string, string}> name => its version in the image, and the newest */
    public function versions(): array
    {
        return self::PACKAGES;
    }

    /** @return list<string> names of what the image is behind with */
    public function pending(): array
    {
        return array_keys(self::PACKAGES);
    }
}
