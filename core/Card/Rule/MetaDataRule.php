<?php

declare(strict_types=1);

namespace Burrow\Card\Rule;

use Burrow\Card\CardContext;
use Burrow\Card\CardFolder;
use Burrow\Card\Read\CardDocument;
use Burrow\Judgement\Finding;
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
            return Findings::of(
                Finding::stop(
                    'card.no_meta_data',
                    'meta-data is missing.',
                    'Without it user-data is not even looked at (cloud-init, NoCloud).',
                    'Put a meta-data file with an instance-id beside it.',
                    Place::file('meta-data'),
                ),
            );
        }
        $document = CardDocument::read('meta-data', $folder->text('meta-data'));
        if ($document->data === null) {
            return $document->findings;
        }
        $instance = $document->data['instance-id'] ?? '';

        return match (true) {
            $instance === '' => Findings::of(
                Finding::warn(
                    'card.no_instance_id',
                    'meta-data has no instance-id.',
                    'The box cannot tell new settings from old ones.',
                    'Add a line “instance-id: ” with a new word.',
                    Place::file('meta-data', 1),
                ),
            ),
            $context->started && $instance === $context->lastInstance => Findings::of(
                Finding::stop(
                    'card.instance_used',
                    'This card was started under the same instance-id.',
                    'A box takes first settings once for each instance-id; what was changed since then is not read.',
                    'Give it a new one: any word that was not used before.',
                    $document->place(['instance-id']),
                ),
            ),
            default => Findings::of(),
        };
    }
}
