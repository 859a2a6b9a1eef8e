<?php

declare(strict_types=1);

use Burrow\Stores\Rights\Caller;
use Burrow\Stores\Rights\Export;

// Whom a file service by numbers takes somebody for (exports(5)); what the kernel then lets them do is asked elsewhere.

test(
    'the superuser and the superuser’s group are nobody, others are themselves, unless all are nobody',
    function (string $options, int $user, array $groups, array $taken): void {
        $export = Export::all("/srv/store 172.22.8.0/24({$options})")[0];
        expect($export->taken(new Caller('x', $user, $groups)))->toBe($taken);
    },
)->with([
    'root, squashed' => ['rw', 0, [0], [65534, [65534]]],
    'root, let in' => ['rw,no_root_squash', 0, [0], [0, [0]]],
    'the first account after root' => ['rw', 1, [1], [1, [1]]],
    'in the group of root' => ['rw', 4002, [4002, 0], [4002, [4002, 65534]]],
    'all are one' => ['rw,all_squash,anonuid=4001,anongid=4100', 4002, [4002], [4001, [4100]]],
    'all are nobody' => ['rw,all_squash', 1, [1], [65534, [65534]]],
]);

test('of options that contradict each other the last one holds', function (
    string $options,
    bool $writes,
): void {
    $export = Export::all("/srv/store 172.22.8.0/24({$options})")[0];
    expect($export->readOnly)->toBe(! $writes);
})->with([['rw', true], ['ro', false], ['rw,ro', false], ['ro,rw', true], ['sync', false]]);
