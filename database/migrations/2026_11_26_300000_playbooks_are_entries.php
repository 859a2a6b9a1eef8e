<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;

/**
 * Playbooks stand beside jobs in the catalogue, one a job and school. An own job's steps, which stood in its entry,
 * move into a playbook for the job's first school; their kinds say what they do and no longer only where.
 */
return new class extends Migration
{
    /** What a step was judged by => its kind. */
    private const KINDS = [
        'lsblk' => 'which-disk',
        'uuid' => 'make-file-system',
        'upgrade' => 'upgrade',
        'lease' => 'find-lease',
        'port:22' => 'ask-login',
        'host_key' => 'keep-host-key',
        'pinned' => 'ask-pinned',
        'back' => 'ask-back',
        'service' => 'ask-services',
        'verify' => 'hand',
    ];

    public function up(): void
    {
        Schema::table('catalogue_entries', function (Blueprint $table): void {
            $table->string('slug', 81)->change();
        });
        foreach (
            DB::table('catalogue_entries')
                ->where('kind', 'job')
                ->orderBy('id')
                ->get(['id', 'slug', 'yaml']) as $row
        ) {
            $text = (string) $row->yaml;
            try {
                $job = Yaml::parse($text);
            } catch (ParseException) {
                continue;
            }
            if (! is_array($job) || ! is_array($job['playbook'] ?? null)) {
                continue;
            }
            $schools = is_array($job['schools'] ?? null) ? $job['schools'] : [];
            $first = is_array($schools[0] ?? null) ? $schools[0] : [];
            $school = is_string($first['id'] ?? null) ? $first['id'] : 'package';
            $playbook = [
                'id' => "{$row->slug}.{$school}",
                'job' => $row->slug,
                'school' => $school,
                'label' => mb_substr(is_string($job['label'] ?? null) ? $job['label'] : $row->slug, 0, 60),
                'values' => ['store_label' => 'store', 'mount_point' => '/srv/store', 'share' => 'store'],
                'steps' => array_map($this->step(...), array_values(array_filter($job['playbook'], is_array(...)))),
            ];
            DB::table('catalogue_entries')->insertOrIgnore([
                'kind' => 'playbook',
                'slug' => $playbook['id'],
                'yaml' => Yaml::dump($playbook, 4, 2, Yaml::DUMP_MULTI_LINE_LITERAL_BLOCK),
                'created_at' => now(),
                'updated_at' => now(),
            ]);
            // The rest of the entry stays as it was written: from the key to the next one at the margin.
            DB::table('catalogue_entries')
                ->where('id', $row->id)
                ->update([
                    'yaml' => preg_replace(
                        '/^playbook:.*\R(?:(?:[ \t#-].*)?\R)*(?:[ \t#-].*\z)?/m',
                        '',
                        $text."\n",
                    ),
                ]);
        }
    }

    public function down(): void
    {
        DB::table('catalogue_entries')->where('kind', 'playbook')->delete();
    }

    /**
     * @param  array<mixed>  $step
     * @return array<mixed>
     */
    private function step(array $step): array
    {
        foreach (['reads', 'probe', 'kind'] as $by) {
            $kind = is_string($step[$by] ?? null) ? self::KINDS[$step[$by]] ?? null : null;
            if ($kind !== null) {
                $step['kind'] = $kind;
                break;
            }
        }
        unset($step['reads'], $step['probe']);

        return $step;
    }
};
