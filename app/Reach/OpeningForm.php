<?php

declare(strict_types=1);

namespace App\Reach;

use App\Models\Opening;
use Burrow\Household\Household;
use Burrow\Judgement\Findings;
use Burrow\Reach\TypedOpening;
use Illuminate\Http\Request;

/** The form of an opening: what stands in its fields, and what speaks against it once it was sent. */
final class OpeningForm
{
    public const FIELDS = [
        'box',
        'outside_port',
        'inside_port',
        'protocol',
        'purpose',
        'reason',
        'owner',
        'sources',
        'review_on',
    ];

    /** @return array<string, string> */
    public static function typed(Request $request): array
    {
        $typed = [];
        foreach (self::FIELDS as $field) {
            $typed[$field] = trim($request->string($field)->value());
        }

        return $typed;
    }

    /** @return array<string, string> what was typed before, else what is kept, else what is usual */
    public static function shown(?Opening $opening): array
    {
        $shown = [];
        foreach (self::FIELDS as $field) {
            $kept = match (true) {
                old('outside_port') !== null => old($field),
                $opening === null => [
                    'protocol' => 'udp',
                    'review_on' => now()->addMonths(6)->format('Y-m-d'),
                ][$field] ?? '',
                $field === 'box' => $opening->box_id,
                $field === 'review_on' => $opening->review_on?->format('Y-m-d'),
                default => $opening->getAttribute($field),
            };
            $shown[$field] = is_scalar($kept) ? (string) $kept : '';
        }

        return $shown;
    }

    /** @param  array<string, string>  $typed */
    public static function judged(Household $house, array $typed): Findings
    {
        return TypedOpening::check($house, $typed);
    }
}
