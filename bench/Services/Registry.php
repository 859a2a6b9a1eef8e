<?php

declare(strict_types=1);

namespace Bench\Services;

/**
 * The container images of the bench. They are made up and stand in for services; the demo's typed values point
 * here.
 */
final class Registry
{
    /** What the image of a name filter refuses as it comes. */
    public const REFUSED = ['listed.example'];

    /**
     * @var array<string, array{port: int, title: string, folder: string, names: ?int}> name without tag =>
     * image
     */
    private const IMAGES = [
        'registry.home.arpa/bench/page' => [
            'port' => 8000,
            'title' => 'A page',
            'folder' => '/data',
            'names' => null,
        ],
        'registry.home.arpa/bench/hub' => [
            'port' => 8000,
            'title' => 'Hub',
            'folder' => '/config',
            'names' => null,
        ],
        'registry.home.arpa/bench/bridge' => [
            'port' => 8000,
            'title' => 'Bridge',
            'folder' => '/bridge',
            'names' => null,
        ],
        'registry.home.arpa/bench/library' => [
            'port' => 8000,
            'title' => 'Library',
            'folder' => '/media',
            'names' => null,
        ],
        'registry.home.arpa/bench/sync' => [
            'port' => 8000,
            'title' => 'Sync',
            'folder' => '/sync',
            'names' => null,
        ],
        'registry.home.arpa/bench/drive' => [
            'port' => 8000,
            'title' => 'Drive',
            'folder' => '/data',
            'names' => null,
        ],
        'registry.home.arpa/bench/names' => [
            'port' => 8000,
            'title' => 'Names',
            'folder' => '/lists',
            'names' => 53,
        ],
    ];

    /** @return ?array{port: int, title: string, folder: string, names: ?int} */
    public static function image(string $named): ?array
    {
        return self::IMAGES[(string) preg_replace('/(?::[^:\/]+|@sha256:.*)$/', '', $named)] ?? null;
    }

    public static function unknown(string $named): string
    {
        return 'Error: initializing source: reading manifest: manifest unknown';
    }
}
