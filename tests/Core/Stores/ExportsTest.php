<?php

declare(strict_types=1);

use Burrow\Stores\Rights\Export;
use Burrow\Stores\Write\ExportsFile;

// Who an export may be for (exports(5)): anybody, an address, a network, a name; and nothing that would read otherwise.

test('a client of an export is one that exports(5) knows', function (string $client, bool $fits): void {
    $file = (new ExportsFile())->write(
        "exports:\n  - path: /srv/store\n    clients:\n      - client: ".json_encode($client)."\n",
        (string) file_get_contents('core/Stores/schema/exports.schema.json'),
        'x',
    );
    expect($file->text !== null)->toBe($fits);
    $fits && expect($file->text)->toContain("/srv/store {$client}(");
})->with([
    'anybody' => ['*', true],
    'an address' => ['172.22.8.20', true],
    'one of the newer kind' => ['fd4b:1e90:7:8::b', true],
    'a network' => ['172.22.8.0/24', true],
    'a name' => ['desk.thistledown.home.arpa', true],
    'names of a domain' => ['*.thistledown.home.arpa', true],
    'a netgroup' => ['@desks', true],
    'a blank' => ['desk other', false],
    'a bracket' => ['desk(rw)', false],
    'two stars' => ['**', false],
    'a dash at the end' => ['desk-', false],
]);

test('two hundred exports are read', function (): void {
    $text = implode("\n", array_map(fn (int $i): string => "/srv/a{$i} 172.22.8.{$i}(rw)", range(1, 201)));
    expect(count(Export::all($text)))->toBe(200);
});
