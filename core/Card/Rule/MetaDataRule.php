<?php

declare(strict_types=1);

namespace Burrow\Card\Rule;

use Burrow\Card\CardContext;
use Burrow\Card\CardFolder;
use Burrow\Card\Read\CardDocument;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;

/** `meta-data`: that it is there, has an instance-id, and a new one when the card has been started before. */
final class MetaDataRule implements CardRule
{
    public function lint(CardFolder $folder, CardContext $context): Findings
    {
        if (! $folder->has('user-data')) {
            return Findings::of();
        }
        if (! $folder->has('meta-data')) {
            return Findings::of(RuleFindings::noMetaData(Place::file('meta-data')));
        }
        $document = CardDocument::read('meta-data', $folder->text('meta-data'));
        if ($document->data === null) {
            return $document->findings;
        }
        $instance = $document->data['instance-id'] ?? '';

        return match (true) {
            $instance === '' => Findings::of(RuleFindings::noInstanceId(Place::file('meta-data', 1))),
            $context->started && $instance === $context->lastInstance => Findings::of(
                RuleFindings::instanceUsed($document->place(['instance-id'])),
            ),
            default => Findings::of(),
        };
    }
}
