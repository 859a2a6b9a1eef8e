<?php

declare(strict_types=1);

namespace Burrow\BringUp\Playbook;

use Burrow\BringUp\Step\Step;
use Burrow\BringUp\Step\StepPlace;
use Burrow\BringUp\Step\Values;
use JsonSerializable;

/** A step with one box's values in it, as the terminal, the paper and the script tell it. */
final readonly class FilledStep implements JsonSerializable
{
    /** Null while a value that the command needs is not known. */
    public ?string $command;

    private function __construct(public Step $step, private Values $values)
    {
        $this->command = $step->command === '' ? '' : $values->fill($step->command);
    }

    public static function of(Step $step, Values $values): self
    {
        return new self($step, $values);
    }

    /** The command, with {{name}} where a value is not known yet. */
    public function commandAsFarAsKnown(): string
    {
        return $this->command ?? $this->values->fillKnown($this->step->command);
    }

    /** @return list<StepFile> that its command writes on the box; none while a value for them is not known */
    public function files(): array
    {
        return $this->where() === 'box' ? StepFile::ofCommand($this->command ?? '') : [];
    }

    /** A text of the step; what is not known yet stands as {{name}}. */
    public function told(string $text): string
    {
        return $this->values->fillTextKnown($text);
    }

    /** Where it is done, in the words of the terminal's contract. */
    public function where(): string
    {
        return match ($this->step->place()) {
            StepPlace::Box => 'box',
            StepPlace::Router => 'router',
            StepPlace::Page => 'page',
            StepPlace::Hand => 'hand',
            StepPlace::Desk, StepPlace::Wait, StepPlace::Check => 'desk',
        };
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        $step = $this->step;
        $more = $step->more;

        return [
            'id' => $step->id,
            'kind' => $step->kind->name(),
            'where' => $this->where(),
            'title' => $this->told($step->title),
            'text' => $this->told($step->text),
            'command' => $this->commandAsFarAsKnown(),
            'complete' => $this->command !== null,
            'expect' => $this->told($step->expect),
            'hands_s' => $step->hands->seconds,
            'wait_s' => $step->waitTo === null ? null : [$step->waitFrom->seconds ?? 0, $step->waitTo->seconds],
            'needs' => $more->needs,
            'reads' => $more->reads === '' ? null : $more->reads,
            'asks' => array_column($more->asks, 'name'),
            'prints' => array_column($more->prints, 'name'),
            'probe' => $more->look === null && $step->place() !== StepPlace::Check ? null : $this->probe(),
            'look_in' => $more->lookIn === ''
                    ? null
                    : $this->values->fill($more->lookIn) ?? $this->values->fillKnown($more->lookIn),
            'caution' => $this->told($step->caution),
            'releases' => $more->releases,
            'confirmed' => $more->confirmed === '' ? null : $more->confirmed,
            'repeatable' => $more->repeatable,
        ];
    }

    /** @return array<string, mixed> what the check asks at the box's own address */
    private function probe(): array
    {
        $look = $this->step->more->look;
        $asked = ['kind' => $this->step->kind->name()];
        if ($look === null) {
            return $asked;
        }
        $port = $this->told($look->port);

        return array_filter(
            [
                ...$asked,
                'port' => ctype_digit($port) ? (int) $port : ($port === '' ? null : $port),
                'path' => $port === '' ? null : $this->told($look->path),
                'tls' => $look->tls ?: null,
                'greeting' => $look->greeting ?: null,
                'refused' => array_map($this->told(...), $look->refused) ?: null,
                'answered' => array_map($this->told(...), $look->answered) ?: null,
                'local' => $this->told($look->local) ?: null,
            ],
            fn (mixed $value): bool => $value !== null,
        );
    }
}
