<?php

declare(strict_types=1);

use Burrow\BringUp\Paper\Markdown;
use Burrow\BringUp\Paper\ShellScript;
use Burrow\BringUp\Playbook\FilledPlaybook;
use Burrow\Catalogue\Job\JobReader;

// Playbooks on paper, with one box's values in them: papers/NAME has the text and the script whole. That a shell takes
// such scripts is held in tests/Outside.

const BOXES_ON_PAPER = [
    'file-store' => [
        'file-store.package' => [
            'host' => 'larder',
            'user' => 'warden',
            'address' => '172.22.8.11',
            'mac' => '02:4b:1e:90:00:01',
            'router' => '172.22.8.1',
            'prefix' => '172.22.8.0/24',
            'domain' => 'thistledown.home.arpa',
            'zone' => 'Europe/London',
            'values' => [
                'uuid' => '7c9e6679-7425-40de-944b-e07fc1f90ae7',
                'mount_point' => '/srv/store',
                'share' => 'store',
            ],
        ],
    ],
    'filter-of-its-own-address' => [
        'dns-filter.package' => [
            'host' => 'sieve',
            'user' => 'warden',
            'address' => '172.22.8.12',
            'fixed_address' => true,
        ],
    ],
    'containers-on-the-air' => [
        'container-host.package' => ['host' => 'dewpoint', 'engine' => 'podman', 'link' => 'wireless'],
    ],
];

function onPaper(string $name): FilledPlaybook
{
    $jobs = $books = [];
    foreach (BOXES_ON_PAPER[$name] as $id => $box) {
        $jobs[] = (new JobReader())->job(entry('job', explode('.', $id)[0]));
        $books[] = playbooks()->playbook(entry('playbook', $id));
    }

    return FilledPlaybook::of($jobs, $books, $box);
}

test('a playbook on paper has its steps, with what is typed and what is asked', function (
    string $name,
): void {
    $filled = onPaper($name);
    foreach (['sh' => new ShellScript($filled), 'md' => new Markdown($filled)] as $form => $paper) {
        expect((string) $paper)->toBe(onFile(__DIR__."/papers/{$name}.{$form}", (string) $paper));
    }
})->with(array_keys(BOXES_ON_PAPER));

test('the same as a program reads it', function (string $name): void {
    $now = json_encode(onPaper($name), CORPUS_JSON | JSON_PRETTY_PRINT)."\n";
    expect($now)->toBe(onFile(__DIR__."/papers/{$name}.json", $now));
})->with(array_keys(BOXES_ON_PAPER));

test('what each kind of step asks the person for, with a bench and without', function (): void {
    $asked = [];
    foreach (array_keys(entryFiles('playbook')) as $id) {
        foreach (playbooks()->playbook(entry('playbook', $id))->steps as $step) {
            $kind =
                "{$step->kind->name()}, {$step->place()->value}, ".
                ($step->kind->bench()->value ?? 'no help');
            $asked[$kind] ??= $kind;
            foreach (['with' => true, 'without' => false] as $bench => $onBench) {
                foreach ($step->kind->takes($step, $onBench) as $field) {
                    $line = "{$kind}, {$bench} ".json_encode($field, CORPUS_JSON);
                    $asked[$line] = $line;
                }
            }
        }
    }
    sort($asked);
    $asked = implode("\n", $asked)."\n";
    expect($asked)->toBe(onFile(__DIR__.'/papers/asked.txt', $asked));
});

test('words of a step that look like the end of its document do not end it', function (): void {
    $paper = new ShellScript(onPaper('file-store'));
    $document = new ReflectionMethod($paper, 'document');
    $text = "first\nSTEP\nSTEPS\n; echo out \$HOME";
    expect(run('sh -c '.escapeshellarg("cat {$document->invoke($paper, $text)}"))['out'])->toBe(
        "{$text}\n",
    );
});
