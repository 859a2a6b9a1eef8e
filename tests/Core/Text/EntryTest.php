<?php

declare(strict_types=1);

use Burrow\Text\PowerWord;
use Burrow\Text\ShellWord;
use Burrow\Text\TextBudget;
use Burrow\Text\YamlEntry;
use Burrow\Text\YamlLines;

// A text held against a schema, what is said of it and at which line: entries/shelf.txt has texts for the schema here.

const SHELF_OF_SEEDS = <<<'JSON'
{
    "type": "object",
    "required": ["name"],
    "additionalProperties": false,
    "properties": {
        "name": {"type": "string", "minLength": 1, "maxLength": 20},
        "kind": {"enum": ["seed", "bulb"]},
        "count": {"type": "integer", "minimum": 0, "maximum": 100},
        "weight": {"type": "number", "exclusiveMinimum": 0},
        "sown": {"type": "boolean"},
        "notes": {"type": "array", "maxItems": 3, "uniqueItems": true, "items": {"type": "string", "pattern": "^[a-z ]+$"}},
        "bed": {"$ref": "#/$defs/bed"},
        "beds": {"type": "array", "items": {"$ref": "#/$defs/bed"}},
        "by": {"type": "object", "additionalProperties": {"type": "object", "properties": {"row": {"type": "integer"}}}}
    },
    "$defs": {
        "bed": {"type": "object", "additionalProperties": false, "properties": {"row": {"type": "integer"}, "of": {"type": "object"}}}
    }
}
JSON;

test('what is wrong with an entry is said at its line', function (
    string $file,
    string $kind,
    string $text,
    string $before,
): void {
    $entry = YamlEntry::read(stripcslashes($text), SHELF_OF_SEEDS, 'seeds.yaml');
    $now = findingLines($entry->findings).json_encode($entry->data, CORPUS_JSON)."\n";
    expect($now)->toBe(cameOf($file, $text, $before, $now));
})->with(sections('Text/entries/*.txt'));

test('no more is said of one text than can be read', function (): void {
    $many = fn (string $value): string => "name: x\nnotes: [".implode(', ', array_fill(0, 40, $value)).']';
    expect(count(YamlEntry::read($many('9e99'), SHELF_OF_SEEDS, 'x')->findings))
        ->toBe(20)
        ->and(
            count(
                YamlEntry::read("name: x\nbeds:\n".str_repeat("  - {row: one}\n", 40), SHELF_OF_SEEDS, 'x')
                    ->findings,
            ),
        )
        ->toBe(20);
});

test('a text of many values is read where it may be', function (): void {
    $of = fn (int $count): string => "name: x\nbeds: [".
        implode(', ', array_fill(0, $count, '{row: 1}')).
        ']';
    expect(YamlEntry::read($of(900), SHELF_OF_SEEDS, 'x', TextBudget::description())->data)
        ->not->toBeNull()
        ->and(
            YamlEntry::read("name: x\n".str_repeat("# a\n", 2000), SHELF_OF_SEEDS, 'x')->findings->codes(),
        )
        ->toBe(['yaml.over_budget']);
});

test('a value is found at its line', function (array $path, int $line): void {
    $yaml = <<<'YAML'
    # a remark
    name: larder
    "two words": 1

    list:
      - one
      -
        deep: yes
        more: {in: line, and: more}
      - name: three
        deep:
          deeper: 1
    'it''s': x
    text: |
      name: not this
      - nor this
    flow: [a, {b: c},
      d]
    wide:
      -   name: a
          of: b
      -    # nothing here
          of: c
    last: 1
    YAML;
    expect((new YamlLines($yaml))->locate($path))->toBe($line);
})->with([
    [[], 1],
    [['name'], 2],
    [['two words'], 3],
    [['list'], 5],
    [['list', 0], 6],
    [['list', 1], 7],
    [['list', 1, 'deep'], 8],
    [['list', 1, 'more'], 9],
    [['list', 1, 'more', 'in'], 9],
    [['list', 2], 10],
    [['list', 2, 'name'], 10],
    [['list', 2, 'deep'], 11],
    [['list', 2, 'deep', 'deeper'], 12],
    [['list', 9], 5],
    [["it's"], 13],
    [['text'], 14],
    [['flow'], 17],
    [['wide', 0, 'name'], 20],
    [['wide', 0, 'of'], 21],
    [['wide', 1], 22],
    [['wide', 1, 'of'], 23],
    [['last'], 24],
    [['nothing'], 1],
]);

test('a word for a shell is quoted when it has to be', function (
    string $word,
    string $shell,
    string $power,
): void {
    expect([ShellWord::of($word), PowerWord::of($word)])->toBe([$shell, $power]);
})->with([
    ['larder', 'larder', 'larder'],
    ['172.22.8.11', '172.22.8.11', '172.22.8.11'],
    ['/srv/store', '/srv/store', "'/srv/store'"],
    ['two words', "'two words'", "'two words'"],
    ["it's", "'it'\\''s'", "'it''s'"],
    ['$HOME', "'\$HOME'", "'\$HOME'"],
    ['12', '12', "'12'"],
    ['a,b', 'a,b', "'a,b'"],
    ['', "''", "''"],
    ["a\n", "'a\n'", "'a\n'"],
]);

test('of two keys that are not known, the first one has its line', function (): void {
    $read = YamlEntry::read("name: x\nweigth: 1\nbeds: []\ncolour: red\n", SHELF_OF_SEEDS, 'seeds.yaml');
    expect($read->findings->list[0]->place?->line)->toBe(2);
});
