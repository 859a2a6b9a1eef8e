<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Models\BoxJob;
use Burrow\BringUp\Playbook\Playbook;
use Burrow\BringUp\Playbook\PlaybookReader;

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
        $school = $held->school ?? $this->usualSchool($held->job);
        $entry = $school === null ? null : $this->catalogue->entries('playbook')["{$held->job}.{$school}"] ?? null;

        return $entry === null
            ? null
            : ($this->read["{$held->job}.{$school}"] ??= ($this->reader ??= self::reader())->playbook($entry));
    }

    /** In its place: what every box goes through. */
    public function bare(BoxJob $held): Playbook
    {
        return ($this->reader ??= self::reader())->bare($held->job, $held->school ?? '');
    }

    /** Where nobody chose one: the first of the job's schools that has a playbook. */
    private function usualSchool(string $job): ?string
    {
        $written = $this->catalogue->entries('playbook');
        foreach ($this->catalogue->job($job)->schools ?? [] as $school) {
            if (isset($written["{$job}.{$school->id}"])) {
                return $school->id;
            }
        }

        return null;
    }

    public static function reader(): PlaybookReader
    {
        $usual = base_path('core/BringUp/playbooks/usual.yaml');
        $files = Kept::files('playbook-parts', [
            ...glob(base_path('core/BringUp/playbooks/shared/*.yaml')) ?: [],
            $usual,
        ]);
        /** @var array{arrive: list<string>, again: list<string>, close: list<string>} $parts */
        $parts = $files[$usual];
        unset($files[$usual]);

        /** @var array<string, array{id: string, per?: string, steps: list<array<string, mixed>>}> $files */
        return new PlaybookReader(array_column($files, null, 'id'), $parts);
    }
}
