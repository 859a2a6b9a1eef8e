<?php

declare(strict_types=1);

namespace Burrow\Card\Rule;

use Burrow\Card\CardContext;
use Burrow\Card\CardFolder;
use Burrow\Judgement\Findings;
use Burrow\Judgement\Place;

/** An image's own settings file in which every line is still a comment. */
final class OwnTextRule implements CardRule
{
    public function lint(CardFolder $folder, CardContext $context): Findings
    {
        $form = $context->image?->ownText;
        if ($form === null || ! $folder->has($form->file)) {
            return Findings::of();
        }
        $said = array_filter(
            $folder->lines($form->file),
            fn (string $line): bool => trim($line) !== '' && ! str_starts_with(ltrim($line), '#'),
        );

        return $said !== []
            ? Findings::of()
            : Findings::of(FileRuleFindings::allCommented($form, Place::file($form->file, 1)));
    }
}
