<?php

declare(strict_types=1);

namespace Burrow\Catalogue\Job;

use Burrow\Quantity\Duration;

/** A step of a playbook before this box's values are filled in. {{name}} marks a value. */
final readonly class StepTemplate
{
    /**
     * @param  string  $probe  what checks the step: "lease", "port:22", "host_key", "pinned", "service", or empty
     * @param  string  $reads  the Intake kind that judges what is pasted, or empty
     * @param  string  $caution  shown beside the step where something can be hurt or lost
     */
    public function __construct(
        public string $id,
        public StepKind $kind,
        public string $title,
        public string $text,
        public string $command,
        public string $expect,
        public Duration $hands,
        public ?Duration $waitFrom,
        public ?Duration $waitTo,
        public string $probe,
        public string $reads,
        public string $meanwhile,
        public string $ifLonger,
        public string $caution,
    ) {
    }

    /** In the place of a step that was begun and whose playbook has changed since. */
    public static function gone(string $id): self
    {
        return new self(
            id: $id,
            kind: StepKind::Hand,
            title: "“{$id}”, a step that its playbook no longer has",
            text: 'The job\'s entry in the catalogue was changed or taken away while this run was under way. What was done before stays written down.',
            command: '',
            expect: '',
            hands: Duration::seconds(0),
            waitFrom: null,
            waitTo: null,
            probe: '',
            reads: '',
            meanwhile: '',
            ifLonger: '',
            caution: 'This step cannot be told any more. Put the entry back, or pass the step over with a reason.',
        );
    }
}
