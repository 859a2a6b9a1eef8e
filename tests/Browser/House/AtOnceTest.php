<?php

declare(strict_types=1);

use GuzzleHttp\Promise\Utils;

// Several keepers at one time, at the running copy: what one says is not lost in what another one says.

test('answers that several keepers give at one time all count, and no old report comes back', function (): void {
    resetDemo();
    $box = (int) ofTheCopy("App\\Models\\Box::query()->where('name', 'larder')->value('id')");
    $report = fn (int $made): string => "#: made\n{$made}\nlarder\n#: release\nPRETTY_NAME=\"Debian GNU/Linux 12 (bookworm)\"\n".
        "#: accounts\nroot\nwarden\n".
        implode('', array_map(fn (int $n): string => "seed{$n}\n", range(1, 24))).
        "#: end\n\n";
    $keepers = array_map(fn () => keeperAtTheCopy(), range(1, 3));
    [$first, $token] = $keepers[0];
    $first->post("/boxes/{$box}/report", ['form_params' => ['_token' => $token, 'report' => $report(time() - 60)]]);
    $asked = [];
    foreach (range(1, 24) as $n) {
        [$client, $token] = $keepers[$n % 3];
        $asked[] = $client->postAsync("/boxes/{$box}/report/answer", [
            'form_params' => [
                '_token' => $token,
                'difference' => "account seed{$n}",
                'answer' => $n % 2 === 0 ? 'record' : 'later',
            ],
        ]);
        if ($n === 12) {
            $asked[] = $client->postAsync("/boxes/{$box}/report", [
                'form_params' => ['_token' => $token, 'report' => $report(time())],
            ]);
        }
    }
    foreach (Utils::unwrap($asked) as $answer) {
        expect($answer->getStatusCode())->toBeLessThan(400);
    }
    $kept = ofTheCopy("App\\Models\\Telling::kept(App\\Models\\Box::query()->find({$box}), 'report')");
    $accounts = array_filter($kept['accounts'], fn (string $one): bool => str_starts_with($one, 'seed'));
    expect(count($kept['answered']))
        ->toBe(12)
        ->and(count($accounts))
        ->toBe(12)
        // The report that came last is the one that is kept.
        ->and(time() - $kept['report']['madeAt'])
        ->toBeLessThan(50);
});

test('of two who change what they both saw, one is told', function (): void {
    resetDemo();
    $opening = ofTheCopy("App\\Models\\Opening::query()->first()->only(['id', 'revision', 'box_id'])");
    $keepers = array_map(fn () => keeperAtTheCopy(), range(1, 6));
    $asked = [];
    foreach (range(1, 6) as $n) {
        [$client, $token] = $keepers[$n - 1];
        $asked[] = $client->postAsync("/reach/openings/{$opening['id']}", [
            'form_params' => [
                '_token' => $token,
                'revision' => $opening['revision'],
                'box' => $opening['box_id'],
                'outside_port' => 51_820,
                'inside_port' => 51_820,
                'protocol' => 'udp',
                'purpose' => 'tunnel',
                'reason' => "said by {$n}",
                'owner' => 'warden',
                'sources' => '',
                'review_on' => '2027-05-01',
            ],
        ]);
    }
    $told = array_filter(
        Utils::unwrap($asked),
        fn ($answer): bool => str_contains((string) $answer->getBody(), 'changed in another window meanwhile'),
    );
    expect(count($told))
        ->toBe(5)
        ->and(ofTheCopy("App\\Models\\Opening::query()->find({$opening['id']})->revision"))
        ->toBe($opening['revision'] + 1);
    resetDemo();
});

test('two boxes that want one name, or one address, do not both begin to get it', function (
    string $path,
    string $field,
    string $value,
): void {
    resetDemo();
    $boxes = ofTheCopy("App\\Models\\Box::query()->where('stage', 'in-service')->orderBy('id')->limit(5)->pluck('id')");
    $keepers = array_map(fn () => keeperAtTheCopy(), $boxes);
    $asked = [];
    foreach ($boxes as $n => $box) {
        [$client, $token] = $keepers[$n];
        $asked[] = $client->postAsync("/boxes/{$box}/{$path}", [
            'form_params' => ['_token' => $token, $field => $value],
        ]);
    }
    Utils::unwrap($asked);
    expect(ofTheCopy("App\\Models\\Run::query()->whereNull('finished_at')->whereNotNull('change')->count()"))->toBe(1);
    resetDemo();
})->with([['rename', 'new_name', 'thrush'], ['re-address', 'new_address', '172.22.8.44']]);

test('two keepers who remove each other leave one', function (): void {
    resetDemo();
    inCopy('app(App\House\Logins::class)->keep("second", "thistledown-demo", "keeper");');
    $clients = array_map(fn (string $name) => keeperAtTheCopy($name), ['warden', 'second']);
    $ids = ofTheCopy("App\\Models\\User::query()->where('role', 'keeper')->pluck('id', 'name')");
    $asked = [];
    foreach (['second', 'warden'] as $n => $whom) {
        [$client, $token] = $clients[$n];
        $asked[] = $client->postAsync("/settings/logins/{$ids[$whom]}", [
            'form_params' => ['_token' => $token, '_method' => 'DELETE'],
        ]);
    }
    Utils::unwrap($asked);
    expect(ofTheCopy("App\\Models\\User::query()->where('role', 'keeper')->count()"))->toBe(1);
    resetDemo();
});
