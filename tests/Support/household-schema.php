<?php

declare(strict_types=1);

use App\Backup\HouseholdFile;
use Illuminate\Support\Facades\Schema;

/** What the tables hold, in words. */
const HOUSEHOLD_TABLES = [
    'networks' => 'The network as its router hands it out, how it is seen from outside, and its tunnel.',
    'catalogue_entries' => 'Jobs, parts and playbooks that the household wrote itself, as YAML.',
    'desk_computers' => 'Computers that cards are written with.',
    'drawer_parts' => 'Parts that lie in the drawer.',
    'plans' => 'Plans that were kept, by their choices.',
    'filter_lists' => 'Lists of names that a filter may refuse, where they came from and why; their lines are not in here.',
    'filter_exceptions' => 'Names that are answered whatever lists say.',
    'image_records' => 'Images on the shelf.',
    'hours' => 'When boxes are in use, and when somebody may be at work on them.',
    'boxes' => 'Boxes: what they are made of, where they stand, how far they are, when they were last heard.',
    'box_jobs' => 'What a box does, by which school, with what was answered.',
    'box_dependencies' => 'Which box needs another, and for what.',
    'services' => 'Ports of boxes: who reaches them, what stands before them, what was met when last asked.',
    'certificates' => 'Certificates that pages showed when they were last asked.',
    'openings' => 'Ways in from outside: which port of the router leads where, why, and until when.',
    'past_openings' => 'Ways in that were open once, from when to when.',
    'ways_in' => 'Keys, profiles and accounts: who holds them, for what. Public halves only.',
    'outside_trials' => 'What answered and what did not when somebody tried from outside.',
    'listings' => 'What boxes told of all that listens on them.',
    'tellings' => 'What boxes told of their packet filter and of the group of their container engine.',
    'stores' => 'Disks that files are kept on.',
    'folder_pairs' => 'Folders that are kept alike with another machine, and whether they were.',
    'name_checks' => 'Names that filters are asked again and again, and what came of it.',
    'rollouts' => 'How a filter came to the house, with what its counter showed.',
    'reports' => 'What boxes told of themselves, word for word; the last ones of each.',
    'media' => 'The register of cards and disks.',
    'condition_samples' => 'How warm boxes were, what they were fed with, and whether that was too little.',
    'fill_samples' => 'How full file systems were, and when.',
    'health_samples' => 'What drives said of themselves, and when.',
    'backups' => 'What of which box is copied where, and how that went.',
    'restore_drills' => 'That a copy was brought back, and whether it was whole.',
    'measurements' => 'Copy rates and temperatures that were measured.',
    'decisions' => 'What was decided, and why.',
    'identities' => 'What a box was known by: addresses, hardware addresses, host keys.',
    'sightings' => 'What was seen on the network.',
    'runs' => 'Playings of playbooks, with what was learned on the way.',
    'run_steps' => 'Their steps: how each ended, and when.',
    'step_doubts' => 'Steps that looked different.',
    'diagnoses' => 'Searches for a cause.',
    'rehearsals' => 'Rehearsals on the bench.',
    'journal_entries' => 'The journal.',
];

/** The schema of the household file as the tables have it; the one that ships is the same. */
function householdSchema(): array
{
    $tables = [];
    foreach (HouseholdFile::TABLES as $table) {
        $properties = $required = [];
        foreach (Schema::getColumns($table) as $column) {
            $properties[$column['name']] = (object) householdColumn($column);
            if (! $column['nullable'] && $column['default'] === null) {
                $required[] = $column['name'];
            }
        }
        $tables[$table] = [
            'description' => HOUSEHOLD_TABLES[$table],
            'type' => 'array',
            'items' => [
                'type' => 'object',
                'additionalProperties' => false,
                'required' => $required,
                'properties' => $properties,
            ],
        ];
    }

    return [
        '$schema' => 'https://json-schema.org/draft/2020-12/schema',
        'title' => 'a household as one file, without its logins',
        'description' => 'Times are Unix seconds, days are 2026-11-26, sizes are bytes. “id” names a row for others of the file that point to it: box_id, network_id and so on.',
        'type' => 'object',
        'additionalProperties' => false,
        'required' => ['format', 'version', 'made', 'tables'],
        'properties' => [
            'format' => ['const' => HouseholdFile::FORMAT],
            'version' => ['type' => 'integer', 'minimum' => 1, 'maximum' => HouseholdFile::VERSION],
            'made' => ['type' => 'integer', 'minimum' => 0],
            'tables' => [
                'type' => 'object',
                'additionalProperties' => false,
                'required' => ['networks'],
                'properties' => $tables,
            ],
        ],
    ];
}

function householdColumn(array $column): array
{
    $type = $column['type_name'];
    $is = match (true) {
        $column['type'] === 'tinyint(1)' => ['type' => 'boolean'],
        in_array($type, ['timestamp', 'datetime'], true) => [
            'type' => 'number',
            'minimum' => 1,
            'maximum' => 2147483647,
        ],
        $type === 'date' => [
            'type' => 'string',
            'pattern' => '^[0-9]{4}-(0[1-9]|1[0-2])-(0[1-9]|[12][0-9]|3[01])$',
        ],
        $type === 'double' => ['type' => 'number'],
        $type === 'longtext' => [],
        $type === 'text' => ['type' => 'string', 'maxLength' => 65535],
        $type === 'mediumtext' => ['type' => 'string', 'maxLength' => 16777215],
        $type === 'varchar' => ['type' => 'string', 'maxLength' => (int) substr($column['type'], 8)],
        default => householdInteger($column['type']),
    };
    if ($column['nullable'] && isset($is['type'])) {
        $is['type'] = [$is['type'], 'null'];
    }

    return $is;
}

function householdInteger(string $type): array
{
    $bits = ['tinyint' => 8, 'smallint' => 16, 'int' => 32, 'bigint' => 63][strtok($type, '(')];
    $unsigned = str_contains($type, 'unsigned');

    return [
        'type' => 'integer',
        'minimum' => $unsigned ? 0 : -(2 ** ($bits - 1)),
        'maximum' => $bits === 63 ? 2 ** 53 : 2 ** ($unsigned ? $bits : $bits - 1) - 1,
    ];
}
