<?php

declare(strict_types=1);

use App\Files\FileKinds;
use Burrow\Addresses\Described\NetworkFile;
use Burrow\Addresses\NetworkAnswer;
use Burrow\BringUp\Evening\TimetableFile;
use Burrow\Diagnosis\CaseFile;
use Burrow\Intake\Intake;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Plan\PlanAnswer;
use Burrow\Plan\PlanFile;
use Burrow\Plan\Ways\WaysOut;
use Burrow\Reach\Tunnel\TunnelAnswer;
use Burrow\Stores\FillFile;
use Burrow\Upkeep\Plan\UpkeepFile;

// What the core makes of a text, as the cases of Core/Files, Core/BringUp/blocks and Core/Intake/odd have it. After a
// change that is meant, tests with KEEP_CORPUS=1 write them anew; the difference is read before it is committed.

const CORPUS_JSON =
    JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR;

/** Every place of it can be told. */
const LONG_WORD =
    'a1b2c3d4e5f6g7h8i9jakblcmdneofpgqhrisjtkulvmwnxoypzq0a1b2c3d4e5f6g7h8i9j'.
    'A1B2C3D4E5F6G7H8I9JAKBLCMDNEOFPGQHRISJTKULVMWNXOYPZQ0A1B2C3D4E5F6G7H8I9J'.
    'z1y2x3w4v5u6t7s8r9qapboancmdlekfjgihhigjfkelcmbnao';

/** What stands in a file of the corpus; with KEEP_CORPUS=1 it is what it ought to hold today. */
function onFile(string $file, string $now): string
{
    getenv('KEEP_CORPUS') === '1' && file_put_contents($file, $now);

    return (string) file_get_contents($file);
}

/** One line each: where, how grave, which, what. */
function findingLines(Findings $findings): string
{
    return implode(
        '',
        array_map(
            fn (Finding $one): string => ($one->place->line ?? '-').
                (isset($one->place->column) ? ":{$one->place->column}" : '').
                " {$one->severity->value} {$one->code}: {$one->found}\n",
            $findings->list,
        ),
    );
}

/** What is said of values, and the file that is written of them. */
function writtenOf(string $kind, string $values): string
{
    $is = FileKinds::all()[$kind];
    $written = $is->write($values, (string) file_get_contents($is->schema()), 'values');

    return findingLines($written->findings).($written->text === null ? '' : "=== file\n{$written->text}");
}

/** What is said of a text, and what is read in it, one thing a line, without what is not told. */
function readOf(string $kind, string $text): string
{
    $reading = Intake::standard()->read($kind, $text);
    $facts = array_map(
        fn (JsonSerializable $fact): string => json_encode(
            array_filter((array) $fact->jsonSerialize(), fn (mixed $one): bool => $one !== null),
            CORPUS_JSON,
        )."\n",
        $reading->facts,
    );
    $also = array_filter(['totals' => $reading->totals, 'also' => $reading->also]);

    return findingLines($reading->findings).
        implode('', $facts).
        ($also === [] ? '' : 'also '.json_encode($also, CORPUS_JSON)."\n");
}

/** What is said of a question, and the answer; figures to six places. */
function answerOf(string $kind, string $text): string
{
    [$findings, $told] = answered($kind, $text);

    return findingLines($findings).json_encode($told, CORPUS_JSON | JSON_PRETTY_PRINT)."\n";
}

/** The same in one line, without the way that figures were worked out. */
function answerInShort(string $kind, string $text): string
{
    [$findings, $told] = answered($kind, $text);
    $without = function (mixed $one) use (&$without): mixed {
        $left = is_array($one)
            ? array_diff_key($one, array_flip(['working', 'workings', 'findings', 'files']))
            : $one;

        return is_array($left) ? array_map($without, $left) : $left;
    };

    $short = $without($told);
    isset($short['causes']) && ($short['causes'] = array_slice($short['causes'], 0, 6));

    // What is left out for its length is held by its sum; the last digits of a number are the machine's.
    $whole = json_decode(json_encode([$findings, $told], CORPUS_JSON), true);
    array_walk_recursive($whole, function (mixed &$one): void {
        is_float($one) && ($one = sprintf('%.9e', $one));
    });

    return json_encode(
        [findingLines($findings), $short, hash('xxh32', json_encode($whole, CORPUS_JSON))],
        CORPUS_JSON,
    );
}

/** @return array{Findings, mixed} what is said of a question, and the answer as JSON has it */
function answered(string $kind, string $text): array
{
    $schema = fn (string $path): string => (string) file_get_contents("core/{$path}.schema.json");
    [$answer, $findings] = match ($kind) {
        'plan' => answeredPlan($text),
        'address' => (function () use ($text, $schema): array {
            $answer = NetworkAnswer::to(NetworkFile::read($text, $schema('Addresses/schema/network'), 'x'));

            return [$answer, $answer->findings];
        })(),
        'upkeep' => UpkeepFile::read($text, $schema('Upkeep/schema/upkeep'), 'x'),
        'timetable' => (function () use ($text, $schema): array {
            $read = TimetableFile::read($text, $schema('BringUp/schema/timetable'), 'x');

            return [$read->timetable, $read->findings];
        })(),
        'forecast' => FillFile::read($text, $schema('Stores/schema/fill'), 'x'),
        'tunnel' => (function () use ($text, $schema): array {
            $answer = TunnelAnswer::to($text, $schema('Reach/schema/tunnel'), 'x');

            return [$answer, $answer->findings];
        })(),
        'diagnose' => (function () use ($text, $schema): array {
            $read = CaseFile::read($text, $schema('Diagnosis/schema/case'), 'x', knowledge(), shelf());

            return [$read->talk, $read->findings];
        })(),
    };
    $told = json_decode(json_encode($answer, CORPUS_JSON), true);
    if (is_array($told)) {
        unset($told['findings']);
        array_walk_recursive($told, function (mixed &$one): void {
            $one = is_float($one) ? round($one, 6) : $one;
        });
    }

    return [$findings, $told];
}

/** @return array{mixed, Findings} */
function answeredPlan(string $text): array
{
    $plan = PlanFile::read(
        $text,
        (string) file_get_contents('core/Plan/schema/plan.schema.json'),
        'x',
        shelf(),
    );
    if ($plan->input === null) {
        return [null, $plan->findings];
    }
    $answer = PlanAnswer::to($plan->input);
    $ways = [];
    foreach ((new WaysOut(shelf()))->from($plan->input) as $way) {
        $ways[] =
            "{$way->sentence()} ({$way->price()})".
            ($way->leaves === [] ? '' : ', leaves '.implode(' ', $way->leaves));
    }

    return [
        ['sentence' => $answer->sentence(), ...$answer->jsonSerialize(), 'ways_out' => $ways],
        $answer->findings->and($plan->findings),
    ];
}

/** @return array<string, array{string, string}> case => its folder or text, and its kind */
function corpus(string $pattern): array
{
    $cases = [];
    foreach (glob("tests/Core/Files/{$pattern}") ?: [] as $file) {
        $name = pathinfo($file, PATHINFO_FILENAME);
        $cases[basename(dirname($file))." {$name}"] = [dirname($file), $name];
    }

    return $cases;
}

/**
 * Cases of files of many: "=== name", a text, "---", and what comes of it.
 *
 * @return array<string, array{string, string, string, string}> by "kind: name": the file, the kind, the text, what came
 */
function sections(string $pattern): array
{
    $all = [];
    foreach (glob("tests/Core/{$pattern}") ?: [] as $file) {
        $kind = basename($file, '.txt');
        foreach (array_slice(preg_split('/^=== /m', (string) file_get_contents($file)) ?: [], 1) as $case) {
            [$name, $text] = explode("\n", $case, 2);
            [$text, $came] = [...explode("\n---\n", $text, 2), ''];
            $all["{$kind}: {$name}"] = [$file, $kind, $text, $came];
        }
    }

    return $all;
}

/** What came of a text, as its file has it; with KEEP_CORPUS=1 what ought to stand there today. */
function cameOf(string $file, string $text, string $before, string $now): string
{
    if (getenv('KEEP_CORPUS') !== '1') {
        return $before;
    }
    $cases = array_map(
        function (string $case) use ($text, $now): string {
            [$head, $rest] = [...explode("\n", $case, 2), ''];

            return str_starts_with($rest, "{$text}\n---\n") ? "{$head}\n{$text}\n---\n{$now}" : $case;
        },
        preg_split('/^(?==== )/m', (string) file_get_contents($file)) ?: [],
    );
    file_put_contents($file, implode('', $cases));

    return $now;
}
