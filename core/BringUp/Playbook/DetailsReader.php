<?php

declare(strict_types=1);

namespace Burrow\BringUp\Playbook;

use Burrow\BringUp\Step\Details;
use Burrow\BringUp\Step\StepPlace;
use Burrow\BringUp\Told\AskedKind;
use Burrow\BringUp\Told\AskedValue;
use Burrow\BringUp\Told\ClientCard;
use Burrow\BringUp\Told\KnownError;
use Burrow\BringUp\Told\Look;
use Burrow\BringUp\Told\PrintedValue;
use Burrow\BringUp\Told\SheetAnswer;
use Burrow\Net\Protocol;

/** What only some kinds of step carry, from a playbook's YAML once its JSON Schema has passed it. */
final class DetailsReader
{
    /**
     * @param  array<string, mixed>  $entry
     * @param  array{job: string, releases?: list<int>, confirmed?: string}  $common
     */
    public static function details(array $entry, array $common): Details
    {
        /**
         * @var array{asks?: list<array{name: string, label: string, kind: string, why: string, default?: string, example?: string}>, answers?: list<array{question: string, answer: string, why: string, enter: string}>, errors?: list<array{sees: string, found: string, why: string, do: string}>, prints?: list<array{name: string, label: string, kind: string, after?: string, until?: string}>, cards?: list<array{client: string, type?: string, text: string}>, look?: array{port?: int|string, protocol?: string, path?: string, tls?: bool, shows?: string, refused?: list<string>, answered?: list<string>, local?: string, greeting?: string}, sees?: string, look_in?: string, reset?: string, if_yes?: string, if_no?: string, reads?: string, place?: string, needs?: list<string>, releases?: list<int>, confirmed?: string, repeatable?: bool, due_days?: int, starts?: bool, back?: string, back_s?: int, powershell?: string} $entry
         */
        return new Details(
            job: $common['job'],
            asks: array_map(
                fn (array $one): AskedValue => new AskedValue(
                    $one['name'],
                    $one['label'],
                    AskedKind::from($one['kind']),
                    $one['why'],
                    $one['default'] ?? '',
                    $one['example'] ?? '',
                ),
                $entry['asks'] ?? [],
            ),
            answers: array_map(
                fn (array $one): SheetAnswer => new SheetAnswer(
                    $one['question'],
                    $one['answer'],
                    $one['why'],
                    $one['enter'],
                ),
                $entry['answers'] ?? [],
            ),
            errors: array_map(
                fn (array $one): KnownError => new KnownError(
                    $one['sees'],
                    $one['found'],
                    $one['why'],
                    $one['do'],
                ),
                $entry['errors'] ?? [],
            ),
            prints: array_map(
                fn (array $one): PrintedValue => new PrintedValue(
                    $one['name'],
                    $one['after'] ?? '',
                    $one['until'] ?? '',
                    AskedKind::from($one['kind']),
                    $one['label'],
                ),
                $entry['prints'] ?? [],
            ),
            cards: array_map(
                fn (array $one): ClientCard => new ClientCard(
                    $one['client'],
                    $one['type'] ?? '',
                    $one['text'],
                ),
                $entry['cards'] ?? [],
            ),
            look: isset($entry['look']) ? self::look($entry['look']) : null,
            sees: $entry['sees'] ?? '',
            lookIn: rtrim($entry['look_in'] ?? ''),
            reset: rtrim($entry['reset'] ?? ''),
            yes: $entry['if_yes'] ?? '',
            no: $entry['if_no'] ?? '',
            reads: $entry['reads'] ?? '',
            place: isset($entry['place']) ? StepPlace::from($entry['place']) : null,
            needs: $entry['needs'] ?? [],
            releases: $entry['releases'] ?? ($common['releases'] ?? []),
            confirmed: $entry['confirmed'] ?? ($common['confirmed'] ?? ''),
            repeatable: $entry['repeatable'] ?? true,
            dueDays: $entry['due_days'] ?? null,
            starts: $entry['starts'] ?? false,
            screen: $entry['screen'] ?? false,
            back: trim($entry['back'] ?? ''),
            backSeconds: $entry['back_s'] ?? null,
            powerShell: rtrim($entry['powershell'] ?? ''),
        );
    }

    /**
     * @param  array{port?: int|string, protocol?: string, path?: string, tls?: bool, shows?: string, refused?: list<string>, answered?: list<string>, local?: string, greeting?: string}  $look
     */
    private static function look(array $look): Look
    {
        return new Look(
            (string) ($look['port'] ?? ''),
            Protocol::from($look['protocol'] ?? 'tcp'),
            $look['path'] ?? '/',
            $look['tls'] ?? false,
            $look['shows'] ?? '',
            $look['refused'] ?? [],
            $look['answered'] ?? [],
            $look['local'] ?? '',
            $look['greeting'] ?? '',
        );
    }
}
