<?php

declare(strict_types=1);

use Burrow\BringUp\Write\Blocks;
use Burrow\BringUp\Write\HttpsSite;
use Burrow\Net\Ipv4;

// Files that steps of playbooks hold, by block and values: blocks/NAME.txt has values that fit and values that do not.
// That programs take them is held in tests/Outside.

test('a file of a step is what its values say, and none where it cannot hold them', function (
    string $file,
    string $block,
    string $values,
    string $before,
): void {
    $now = Blocks::write($block, json_decode($values, true, 8, JSON_THROW_ON_ERROR)) ?? '(none)';
    expect("{$now}\n")->toBe(cameOf($file, $values, $before, "{$now}\n"));
})->with(sections('BringUp/blocks/*.txt'));

test('every block is among them', function (): void {
    $met = array_map(fn (string $file): string => basename($file, '.txt'), glob(__DIR__.'/blocks/*.txt') ?: []);
    $all = array_map(fn ($block): string => $block->name, Blocks::all());
    sort($all);
    expect($all)->toBe($met)->and(Blocks::write('kettle', []))->toBeNull();
});

test('a site says what it takes by hand', function (): void {
    $site = new HttpsSite('dewpoint', 'thistledown.home.arpa', 8082);
    expect($site->byHand(Ipv4::parse('172.22.8.15')))
        ->toContain('The name dewpoint.thistledown.home.arpa has to lead to 172.22.8.15.')
        ->toContain('subjectAltName=DNS:dewpoint.thistledown.home.arpa,DNS:dewpoint')
        ->toEndWith("{$site}\n")
        ->and($site->byHand(null))
        ->toContain('has to lead to the address of the box.');
});
