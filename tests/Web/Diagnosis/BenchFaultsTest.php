<?php

declare(strict_types=1);

use App\Catalogue\KnownCauses;
use Bench\Faults\Both;
use Bench\Faults\Fault;
use Bench\Faults\Faults;
use Burrow\Diagnosis\Likely;
use Random\Engine\Mt19937;
use Random\Randomizer;

// The bench breaks on purpose, and the diagnosis searches it over real sockets.

test('of single faults the right cause is on top within five checks, for nine of ten', function (): void {
    $missed = [];
    $all = Faults::all();
    foreach ($all as $fault) {
        $practice = Practice::of($fault, 5);
        if ($practice->causes[0]->id() !== Practice::cause($fault)) {
            $missed[] = "{$fault->name()}: ".implode(', ', $practice->trail);
        }
    }
    expect(count($missed))->toBeLessThanOrEqual(intdiv(count($all), 10), implode("\n", $missed));
});

test('of fifty random pairs both causes are among the first three, for three of four', function (): void {
    $chance = new Randomizer(new Mt19937(8));
    $all = array_values(
        array_filter(
            Faults::all(),
            fn (Fault $one): bool => Practice::boxFor($one)->name === 'dewpoint' &&
                ! str_starts_with($one->name(), 'wrong-'),
        ),
    );
    $found = 0;
    $missed = [];
    for ($i = 0; $i < 50; $i++) {
        [$one, $other] = array_map(fn (int $at): Fault => $all[$at], $chance->pickArrayKeys($all, 2));
        $practice = Practice::of(new Both($one, $other), 16);
        $first = array_map(fn (Likely $likely): string => $likely->id(), array_slice($practice->causes, 0, 3));
        $hit = array_diff([Practice::cause($one), Practice::cause($other)], $first) === [];
        $found += (int) $hit;
        $hit || ($missed[] = "{$one->name()}+{$other->name()}: ".implode(', ', $practice->trail));
    }
    expect($found)->toBeGreaterThanOrEqual(38, implode("\n", $missed));
});

test(
    'every fault is a cause that the diagnosis knows, and everything it leaves can be answered',
    function (): void {
        $eyes = require dirname(__DIR__, 2).'/Support/eyes.php';
        $checks = KnownCauses::common()->checks;
        foreach (Faults::all() as $fault) {
            expect(KnownCauses::common()->causes)->toHaveKey(Practice::cause($fault));
            foreach (array_keys($checks) as $check) {
                $words = $fault->leaves($check);
                $answer = $words === null ? null : $eyes[$check][$words] ?? 'no answer';
                expect($answer === null || isset($checks[$check]->answers[$answer]))->toBeTrue(
                    "{$fault->name()}, {$check}: {$words}",
                );
            }
        }
    },
);
