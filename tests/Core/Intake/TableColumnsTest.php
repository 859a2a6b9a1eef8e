<?php

declare(strict_types=1);

use Burrow\Intake\Intake;
use Burrow\Intake\Leases\Lease;
use Burrow\Intake\Leases\LeaseReader;
use Burrow\Intake\Leases\TableColumns;
use Burrow\Intake\Leases\TableLeases;

/** @return array<string, ?string> name by address */
function namesIn(string $text, ?TableColumns $columns = null): array
{
    return array_column(
        Intake::standard($columns)->read('leases', $text)->all(Lease::class),
        'name',
        'address',
    );
}

const CLIENTS =
    "Kind,Who,Hardware,Address,Comment\nbox,,02:4b:1e:77:00:0a,172.22.8.10,sieve\n".
    "box,larder,02:4b:1e:77:00:0b,172.22.8.11,files\n";

test('the column of the names is that of the first row that has one', function (): void {
    expect(
        json_encode(
            TableLeases::columns(
                "Hostname,MAC,IP\n-,02:4b:1e:77:00:0a,172.22.8.10\nwren,02:4b:1e:77:00:0b,172.22.8.11\n",
            ),
        ),
    )
        ->toBe('{"count":3,"heads":["hostname","mac","ip"],"name":0}')
        ->and(TableLeases::columns("nothing here\n"))
        ->toBeNull()
        ->and(TableLeases::columns("172.22.8.10\t02:4b:1e:77:00:0a\n"))
        ->toBeNull()
        ->and(TableLeases::columns("172.22.8.10\t02:4b:1e:77:00:0a\twren\n")?->words())
        ->toBe('column 3');
});

test(
    'a told column is taken, empty cells and dashes are nobody’s name, and columns are counted with empty ones',
    function (): void {
        $told = TableLeases::columns(CLIENTS, 4);
        expect($told?->words())
            ->toBe('column 5, “comment”')
            ->and(namesIn(CLIENTS, $told))
            ->toBe(['172.22.8.10' => 'sieve', '172.22.8.11' => 'files'])
            ->and(namesIn(CLIENTS, TableLeases::columns(CLIENTS, 1)))
            ->toBe(['172.22.8.10' => null, '172.22.8.11' => 'larder'])
            ->and(TableLeases::columns(CLIENTS, 5))
            ->toBeNull();
    },
);

test('what was told of one table is not held against another', function (): void {
    $told = TableLeases::columns(CLIENTS, 4);
    $other = "Who,Hardware,Address,Comment\nwren,02:4b:1e:77:00:0a,172.22.8.10,on its way\n";
    expect(namesIn($other, $told))
        ->toBe(namesIn($other))
        ->toBe(['172.22.8.10' => 'wren']);
    // The last column is empty in a row: the heads still tell.
    expect(namesIn("Kind,Who,Hardware,Address,Comment\nbox,x,02:4b:1e:77:00:0a,172.22.8.10\n", $told))->toBe([
        '172.22.8.10' => null,
    ]);
});

test('what is kept comes back, and what is damaged is none', function (): void {
    $told = TableLeases::columns(CLIENTS, 4);
    expect(TableColumns::kept(json_decode((string) json_encode($told), true)))->toEqual($told);
    foreach (
        [
            null,
            'x',
            [],
            ['count' => 5],
            ['count' => 5, 'heads' => [], 'name' => 5],
            ['count' => 41, 'heads' => [], 'name' => 0],
            ['count' => 5, 'heads' => [], 'name' => -1],
        ] as $damaged
    ) {
        expect(TableColumns::kept($damaged))->toBeNull();
    }
    expect(TableColumns::kept(['count' => 40, 'heads' => [7, 'a'], 'name' => 39])?->heads)->toBe(['a']);
});

test('files whose form says what stands where are no tables', function (): void {
    expect(LeaseReader::isTable("1795691763 02:4b:1e:77:00:0a 172.22.8.10 sieve *\n"))
        ->toBeFalse()
        ->and(LeaseReader::isTable("lease 172.22.8.10 {\n}\n"))
        ->toBeFalse()
        ->and(LeaseReader::isTable("address,hwaddr,client_id\n"))
        ->toBeFalse()
        ->and(LeaseReader::isTable(CLIENTS))
        ->toBeTrue();
});
