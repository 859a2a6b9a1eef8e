<?php

declare(strict_types=1);

namespace Burrow\Diagnosis;

use Burrow\Diagnosis\Know\Check;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;

/** What a diagnosis has to say beside its odds. */
final class DiagnosisFindings
{
    public static function unknown(string $kind, string $word, ?string $nearest, Place $place): Finding
    {
        return Finding::stop(
            'diagnosis.unknown_word',
            "There is no {$kind} “".
                mb_strimwidth($word, 0, 40, '…').
                '”'.
                ($nearest === null ? '.' : ": “{$nearest}” resembles it."),
            'An answer that is not understood would be left out of the odds without a word.',
            '“diagnose --list” prints every check with its answers, and every cause.',
            $place,
        );
    }

    /** Contradictions of what was seen, each once. */
    public static function about(Conversation $talk): Findings
    {
        $findings = array_map(
            fn (Contradiction $one): Finding => self::contradiction($talk, $one),
            $talk->contradictions(),
        );
        if (
            str_starts_with((string) $talk->answer(Check::FIRST), 'silent') &&
            $talk->answer('reach') === 'login' &&
            ($talk->answer('page') ?? 'answers') === 'answers'
        ) {
            $findings[] = self::answersNow();
        }

        return Findings::of(...$findings);
    }

    private static function answersNow(): Finding
    {
        return Finding::note(
            'diagnosis.answers_now',
            'It answers just now.',
            'What was asked from here got its answer, so the box is up; either it came back, or only your client does not reach it.',
            'Say anew what happens: it comes and goes, its page is not there, or its name leads nowhere.',
        );
    }

    private static function contradiction(Conversation $talk, Contradiction $one): Finding
    {
        $says = fn (Seen $seen): string => '“'.
            $talk->knowledge->checks[$seen->check]->title.
            ': '.
            $talk->knowledge->checks[$seen->check]->answers[$seen->answer]->label.
            '”';

        return Finding::warn(
            'diagnosis.contradiction',
            "{$says($one->one)} and {$says($one->other)} contradict each other.",
            'No cause gives both: one of them was mistaken, or is no longer so. Each counts half until then.',
            'Look at one of the two again.',
        );
    }
}
