<?php

declare(strict_types=1);

use Burrow\Diagnosis\Know\Check;
use Burrow\Diagnosis\Know\Light;
use Burrow\Text\YamlEntry;

// What is known of causes and checks: its files hold together.

test('every file stands under its schema', function (string $what): void {
    $schema = (string) file_get_contents("core/Diagnosis/schema/{$what}.schema.json");
    foreach (glob("core/Diagnosis/data/{$what}/*.yaml") ?: [] as $file) {
        $entry = YamlEntry::read((string) file_get_contents($file), $schema, basename($file));
        expect([basename($file), $entry->findings->list])->toBe([basename($file), []]);
    }
})->with(['causes', 'checks']);

test('an id stands in one file only', function (string $what): void {
    $ids = [];
    foreach (glob("core/Diagnosis/data/{$what}/*.yaml") ?: [] as $file) {
        preg_match_all('/^([a-z][a-z0-9-]+):$/m', (string) file_get_contents($file), $found);
        $ids = [...$ids, ...$found[1]];
    }
    expect(count($ids))
        ->toBeGreaterThan(50)
        ->toBe(count(array_unique($ids)))
        ->toBe(count(known($what)));
})->with(['causes', 'checks']);

test('causes speak of checks and answers that there are, and of no more than the whole', function (): void {
    $checks = known('checks');
    $wrong = [];
    foreach (known('causes') as $id => $cause) {
        array_sum($cause['complaint']) === 100 ||
            ($wrong[] = "{$id}: complaints add up to ".array_sum($cause['complaint']));
        foreach ($cause['shows'] + [Check::FIRST => $cause['complaint']] as $check => $answers) {
            $unknown = array_diff_key($answers, $checks[$check]['answers'] ?? []);
            $unknown === [] || ($wrong[] = "{$id}, {$check}: ".implode(' ', array_keys($unknown)));
            array_sum($answers) <= 100 || ($wrong[] = "{$id}, {$check}: more than the whole");
        }
    }
    expect($wrong)->toBe([]);
});

test('what a cause shows can be looked at under one of its complaints', function (): void {
    $checks = known('checks');
    $never = [];
    foreach (known('causes') as $id => $cause) {
        foreach (array_keys($cause['shows']) as $check) {
            $during = $checks[$check]['during'] ?? [];
            if ($during !== [] && array_intersect(array_keys($cause['complaint']), $during) === []) {
                $never[] = "{$id}: {$check}";
            }
        }
    }
    expect($never)->toBe([]);
});

test(
    'on a box that is well each check has a share for every answer, and they are the whole',
    function (): void {
        foreach (known('checks') as $id => $check) {
            if ($id !== Check::FIRST) {
                expect([$id, array_keys($check['usual'] ?? [])])
                    ->toEqualCanonicalizing([$id, array_keys($check['answers'])])
                    ->and(abs(array_sum($check['usual']) - 100))
                    ->toBeLessThan(1e-6, $id);
            }
        }
        foreach (knowledge()->shares as $check => $causes) {
            foreach ($causes as $cause => $shares) {
                expect(abs(array_sum($shares) - 1))->toBeLessThan(1e-9, "{$check}, {$cause}");
                expect(min($shares))->toBeGreaterThan(0, "{$check}, {$cause}");
            }
        }
    },
);

test('a cure leads back to a step that playbooks have, or to the card', function (): void {
    $steps = ['card', 'verify'];
    foreach (glob('core/BringUp/playbooks/*/*.yaml') ?: [] as $file) {
        preg_match_all('/^\s*(?:- )?id: (\S+)$/m', (string) file_get_contents($file), $found);
        $steps = [...$steps, ...$found[1]];
    }
    foreach (known('causes') as $id => $cause) {
        $there = array_filter(
            $steps,
            fn (string $step): bool => $step === $cause['back'] || str_ends_with($step, "-{$cause['back']}"),
        );
        expect($there)->not->toBe([], "{$id}: {$cause['back']}");
    }
});

test('a light is drawn in its row, high while it is lit', function (): void {
    expect(Light::Off->line(2))
        ->toStartWith('M32 58H37.7V58H43.4')
        ->toEndWith('V58H146.0')
        ->and(Light::Steady->line(0))
        ->toStartWith('M32 7H37.7V7H43.4');
});
