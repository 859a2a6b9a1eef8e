<?php

declare(strict_types=1);

namespace Bench\Faults\Service;

/** The login ended, and the build with it. */
final class StepCut extends ServiceGone
{
    public function name(): string
    {
        return 'step-cut';
    }

    public function label(): string
    {
        return 'a build was cut off';
    }

    protected function traces(): array
    {
        return [
            'complaint' => 'it is there, and its page is not',
            'page' => 'refused',
            'units' => 'could not be found',
            'listening' => 'nothing on its port',
            'long-step' => 'it stops in the middle of a line',
            'changed' => 'an installer ran',
        ];
    }
}
