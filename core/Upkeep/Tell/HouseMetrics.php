<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Tell;

use Burrow\Household\HearingState;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Severity;
use Burrow\Upkeep\Calendar;

/** The house as figures: who answers, what waits, how full, until when. Only what was looked at or told. */
final class HouseMetrics
{
    /** @param  Findings  $findings  of all floors */
    public static function of(Household $house, Findings $findings): Metrics
    {
        $metrics = new Metrics();
        $due = Calendar::of($house);
        foreach ($house->boxes() as $box) {
            $labels = ['box' => $box->name];
            $metrics->add(
                'burrow_box_answers',
                'Whether the box answered when it was last asked.',
                $labels,
                match ($box->hearing->state) {
                    HearingState::Answers => true,
                    HearingState::Silent => false,
                    default => null,
                },
            );
            $metrics->add(
                'burrow_update_due',
                'Days until its next update, below zero when it is late.',
                $labels,
                isset($due[$box->id]) ? $due[$box->id]->daysLeft : null,
                'days',
            );
            $told = $house->report($box);
            if ($told === null) {
                continue;
            }
            $report = $told->report;
            $metrics
                ->add(
                    'burrow_report_received_timestamp',
                    'When its last report came.',
                    $labels,
                    $told->at->getTimestamp(),
                    'seconds',
                )
                ->add('burrow_uptime', 'How long it has run.', $labels, $report->uptimeSeconds, 'seconds')
                ->add(
                    'burrow_updates_pending',
                    'Packages that could be upgraded.',
                    $labels,
                    $report->pending === null ? null : count($report->pending),
                )
                ->add(
                    'burrow_security_updates_pending',
                    'Packages that mend holes and wait.',
                    $labels,
                    $report->security === null ? null : count($report->security),
                )
                ->add(
                    'burrow_units_failed',
                    'Units that failed.',
                    $labels,
                    $report->failed === null ? null : count($report->failed),
                )
                ->add('burrow_restart_wanted', 'It wants to be started again.', $labels, $report->restart)
                ->add('burrow_temperature', 'Of its processor.', $labels, $report->celsius, 'celsius')
                ->add(
                    'burrow_memory_available',
                    'Memory that is free.',
                    $labels,
                    $report->availableBytes,
                    'bytes',
                );
        }
        foreach ($house->fills() as $fill) {
            $labels = ['box' => $fill->box, 'mount' => $fill->mount];
            $metrics
                ->add('burrow_disk_size', 'What its file system holds.', $labels, $fill->bytes, 'bytes')
                ->add(
                    'burrow_disk_used',
                    'What is used of it, as it was told last.',
                    $labels,
                    $fill->samples[count($fill->samples) - 1][1],
                    'bytes',
                );
        }
        foreach ($house->copyings() as $copying) {
            $metrics->add(
                'burrow_backup_last_success_timestamp',
                'When the backup last went well.',
                ['box' => $copying->box, 'backup' => $copying->name],
                $copying->ran?->getTimestamp(),
                'seconds',
            );
        }
        foreach ($house->certificates() as $certificate) {
            $metrics->add(
                'burrow_certificate_end_timestamp',
                'When the certificate of a page ends.',
                ['box' => $certificate->page->box, 'port' => (string) $certificate->page->port->number],
                $certificate->ends?->getTimestamp(),
                'seconds',
            );
        }
        foreach (Severity::cases() as $severity) {
            $metrics->add(
                'burrow_findings',
                'What there is to say of the house, by how much it matters.',
                ['severity' => $severity->value],
                count(array_filter($findings->list, fn ($one): bool => $one->severity === $severity)),
            );
        }

        return $metrics;
    }
}
