<?php

declare(strict_types=1);

use Burrow\Household\BoxReport;
use Burrow\Intake\Intake;
use Burrow\Upkeep\Report\ReportReader;

// What is read in one part of a report, and what is not: reports/PART.txt has parts as boxes write them, and as they
// should not.

test('a part of a report is read, or not told', function (
    string $file,
    string $part,
    string $text,
    string $before,
): void {
    $report = (new ReportReader(Intake::standard()))->read(
        "#: made\n1795618800\nlarder\n#: {$part}\n{$text}\n#: end\n",
    );
    $told = array_filter(
        (array) $report,
        fn (mixed $one, string $key): bool => $one !== null &&
            ($part === 'made' || ! in_array($key, ['host', 'madeAt'], true)),
        ARRAY_FILTER_USE_BOTH,
    );
    $now = json_encode($told, CORPUS_JSON)."\n";
    expect($now)->toBe(cameOf($file, $text, $before, $now));
})->with(sections('Upkeep/reports/*.txt'));

test('which text is a report, and which of two', function (): void {
    $read = fn (string $text): ?BoxReport => (new ReportReader(Intake::standard()))->read($text);
    expect($read(''))
        ->toBeNull()
        ->and($read("a kettle\n"))
        ->toBeNull()
        ->and($read("#: kernel\nLinux\n"))
        ->toBeNull()
        ->and($read("#: made\n1795618800\nlarder\n#: made\n1795618900\nsieve\n")?->host)
        ->toBe('sieve')
        ->and($read("x\r\n#: made\r\n1795618800\r\nlarder\r\n#: kernel\r\nLinux 6\r\n")?->kernel)
        ->toBe('Linux 6')
        ->and($read("#: made\n1795618800\nlarder\n#: kernel\none\n#: kernel\ntwo\n#: tea\nthree\n")?->kernel)
        ->toBe('one')
        ->and($read("#: made\n1795618800\nlarder\n#: end\n#: kernel\none\n")?->kernel)
        ->toBeNull();
});

test('nothing waits, by lists of the last two days', function (int $hours, ?array $pending, bool $is): void {
    $made = (new DateTimeImmutable(THREE_O_CLOCK))->getTimestamp();
    $report = new BoxReport(madeAt: $made, listsAt: $made - $hours * 3600, pending: $pending);
    expect($report->isUpToDate())->toBe($is);
})->with([[0, [], true], [71, [], true], [72, [], false], [0, ['curl'], false], [0, null, false]]);
