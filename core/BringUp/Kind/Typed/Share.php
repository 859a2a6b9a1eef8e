<?php

declare(strict_types=1);

namespace Burrow\BringUp\Kind\Typed;

use Burrow\BringUp\Kind\Base\Pasted;
use Burrow\BringUp\Kind\Base\ReadOnTheBox;
use Burrow\BringUp\Step\Judging;
use Burrow\BringUp\Step\Learned;
use Burrow\BringUp\Step\Outcome;
use Burrow\BringUp\Step\Step;

/** The store is offered on the network; from now on it belongs to the box's record. */
final class Share extends ReadOnTheBox
{
    public function name(): string
    {
        return 'share';
    }

    public function takes(Step $step, bool $onBench): array
    {
        return [Pasted::ifOtherwise()];
    }

    public function judge(Judging $at): Outcome
    {
        $typed = Pasted::judge($at);
        $values = [...$at->step->values, ...$at->facts->learned];
        if (
            ! $typed->over ||
            ! isset($values['uuid'], $values['store_label'], $values['mount_point'], $values['share'])
        ) {
            return $typed;
        }

        return Outcome::over(
            $typed->words,
            $typed->findings,
            learned: new Learned(
                store: [
                    'label' => $values['store_label'],
                    'mount_point' => $values['mount_point'],
                    'share' => $values['share'],
                    'uuid' => $values['uuid'],
                    'serial' => $values['disk_serial'] ?? '',
                    'bytes' => (int) ($values['disk_bytes'] ?? 0),
                ],
            ),
        );
    }
}
