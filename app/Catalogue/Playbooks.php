<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Models\BoxJob;
use Burrow\BringUp\Change;
use Burrow\BringUp\Playbook\Playbook;
use Burrow\BringUp\Playbook\PlaybookReader;
use Burrow\Catalogue\Job\School;

/** The playbooks by job and school, built in and of the household's own. */
final class Playbooks
{
    private ?PlaybookReader $reader = null;

    /** @var array<string, Playbook> */
    private array $read = [];

    public function __construct(public readonly Catalogue $catalogue)
    {
    }

    /** The one that a box's job is set up by; null when nobody has written it yet. */
    public function for(BoxJob $held): ?Playbook
    {
        return $this->of($held->job, $held->school);
    }

    /** @param  ?string  $school  null, or one that the job is no longer offered in: the first that has a playbook */
    public function of(string $job, ?string $school): ?Playbook
    {
        $school = $this->instead($job, $school) ?: $school ?? ($this->schools($job)[0] ?? null);
        $entry = $school === null ? null : $this->catalogue->entries('playbook')["{$job}.{$school}"] ?? null;

        return $entry === null
            ? null
            : ($this->read["{$job}.{$school}"] ??= ($this->reader ??= self::reader())->playbook($entry));
    }

    /**
     * The school whose steps are taken in place of one that the job is no longer offered in; null when it is offered
     * or none was named, empty when nothing stands in.
     */
    public function instead(string $job, ?string $school): ?string
    {
        $offered = array_map(fn (School $one): string => $one->id, $this->catalogue->job($job)->schools ?? []);

        return $school === null || $offered === [] || in_array($school, $offered, true)
            ? null
            : $this->schools($job)[0] ?? '';
    }

    public function change(Change $change): Playbook
    {
        return ($this->reader ??= self::reader())->change($change);
    }

    public function part(string $id): Playbook
    {
        return ($this->reader ??= self::reader())->part($id);
    }

    /** In its place: what every box goes through. */
    public function bare(BoxJob $held): Playbook
    {
        return ($this->reader ??= self::reader())->bare($held->job, $held->school ?? '');
    }

    /** @return list<string> the job's schools that have a playbook, in the job's order */
    public function schools(string $job): array
    {
        $written = $this->catalogue->entries('playbook');

        return array_values(
            array_filter(
                array_map(fn (School $one): string => $one->id, $this->catalogue->job($job)->schools ?? []),
                fn (string $school): bool => isset($written["{$job}.{$school}"]),
            ),
        );
    }

    /** @return array<string, string> id => title of every step that a playbook or a shared part has */
    public function titles(): array
    {
        $titles = [];
        foreach (
            [...array_values(self::parts()), ...array_values($this->catalogue->entries('playbook'))] as $book
        ) {
            foreach (is_array($book['steps'] ?? null) ? $book['steps'] : [] as $step) {
                if (is_array($step) && is_string($step['id'] ?? null) && is_string($step['title'] ?? null)) {
                    $titles[$step['id']] = $step['title'];
                }
            }
        }

        return $titles;
    }

    /** @return list<string> ids of the steps of a shared part, in their order; none where there is no such part */
    public static function stepsOf(string $part): array
    {
        $files = self::parts();
        /** @var list<array{id: string}> $steps */
        $steps = $files[$part]['steps'] ?? [];

        return array_column($steps, 'id');
    }

    /** @return array<string, array<string, mixed>> the shared parts by id */
    private static function parts(): array
    {
        return array_column(
            Kept::files(
                'playbook-shared',
                fn (): array => glob(base_path('core/BringUp/playbooks/shared/*.yaml')) ?: [],
            ),
            null,
            'id',
        );
    }

    public static function reader(): PlaybookReader
    {
        $usual = base_path('core/BringUp/playbooks/usual.yaml');
        $files = Kept::files(
            'playbook-parts',
            fn (): array => [...glob(base_path('core/BringUp/playbooks/shared/*.yaml')) ?: [], $usual],
        );
        /** @var array{arrive: list<string>, again: list<string>, close: list<string>} $parts */
        $parts = $files[$usual];
        unset($files[$usual]);

        /** @var array<string, array{id: string, per?: string, steps: list<array<string, mixed>>}> $files */
        return new PlaybookReader(array_column($files, null, 'id'), $parts);
    }
}
