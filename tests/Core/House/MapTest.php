<?php

declare(strict_types=1);

// The map for those who carry on leads to what is there.

test('every place that the map names is there, and every floor stands on it', function (): void {
    $map = (string) file_get_contents('docs/map.md');
    preg_match_all('~`((?:core|app|bench|docs|tests|resources|routes)/[\w./-]*)`~', $map, $named);
    expect(count($named[1]))->toBeGreaterThan(20);
    $missing = array_filter(
        $named[1],
        fn (string $place): bool => preg_match('~\b(STAGE|KIND|JOB|SCHOOL)\b~', $place) === 0 && ! file_exists($place),
    );
    expect(array_values($missing))->toBe([]);
    foreach (glob('core/*', GLOB_ONLYDIR) ?: [] as $floor) {
        expect($map)->toContain(basename($floor));
    }
    // It fits one screen of a terminal twice over, and no more.
    expect(substr_count($map, "\n"))->toBeLessThan(80);
    preg_match_all('~\]\(([\w./-]+)\)~', $map, $links);
    foreach ($links[1] as $link) {
        expect("docs/{$link}")->toBeFile();
    }
});
