<?php

declare(strict_types=1);

namespace Bench\Faults\Service;

use Bench\Faults\Fault;

/** No time server was reached since the start. */
final class ClockWrong extends Fault
{
    public function name(): string
    {
        return 'clock-wrong';
    }

    public function label(): string
    {
        return 'its clock is wrong';
    }

    protected function traces(): array
    {
        return [
            'complaint' => 'the page warns',
            'clock' => 'synchronized: no, it is 1970',
            'certificate' => 'not valid yet',
            'changed' => 'the power was cut',
        ];
    }
}
