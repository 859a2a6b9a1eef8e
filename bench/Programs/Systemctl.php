<?php

declare(strict_types=1);

namespace Bench\Programs;

use Bench\Services\Services;

/** Units: enabled, started, asked after; the restart and the halt of the whole system. */
final class Systemctl implements Program
{
    public function names(): array
    {
        return ['systemctl'];
    }

    public function run(Call $call): Said
    {
        $words = $call->plain();
        $verb = $words[0] ?? '';
        if (in_array($verb, ['is-active', 'is-enabled', 'status'], true)) {
            return $this->told($call, $verb, self::whole($words[1] ?? ''));
        }
        if ($call->has('--failed')) {
            return Said::ok('0 loaded units listed.');
        }
        if (! $call->root) {
            return Said::failed("Failed to {$verb} unit: Interactive authentication required.");
        }
        if (in_array($verb, ['reboot', 'poweroff'], true)) {
            $call->board->asked = $verb;

            return Said::ok('Connection closed.');
        }
        $shown = [];
        foreach ($verb === 'daemon-reload' ? [] : array_slice($words, 1) as $unit) {
            $said = $this->change($call, $verb, self::whole($unit));
            if ($said->exit !== 0) {
                return $said;
            }
            $shown[] = $said->errors;
        }

        return Said::noting(implode("\n", array_filter($shown)));
    }

    private static function whole(string $unit): string
    {
        return str_contains($unit, '.') ? $unit : "{$unit}.service";
    }

    private function change(Call $call, string $verb, string $unit): Said
    {
        $machine = $call->board->machine;
        if (in_array($verb, ['disable', 'stop'], true)) {
            if ($verb === 'disable') {
                $machine->enabled = array_values(array_diff($machine->enabled, [$unit]));
            }
            if ($verb === 'stop' || $call->has('--now')) {
                $machine->stop($unit);
            }

            return Said::ok();
        }
        $service = Services::find($call->board, $unit);
        if ($service === null) {
            return Said::failed(
                $verb === 'enable'
                    ? "Failed to enable unit: Unit file {$unit} does not exist."
                    : "Failed to {$verb} {$unit}: Unit {$unit} not found.",
                5,
            );
        }
        $linked = '';
        if ($verb === 'enable') {
            $linked = "Created symlink /etc/systemd/system/multi-user.target.wants/{$unit}.";
            $machine->enable($unit);
        }
        if ($verb === 'enable' && ! $call->has('--now')) {
            return Said::noting($linked);
        }
        $taken = Services::taken($call->board, $service);
        $problem =
            $service->problem($call->board) ??
            ($taken === null ? null : "bind: listening on 0.0.0.0:{$taken} failed: address already in use");
        if ($problem !== null) {
            $machine->stop($unit);

            return Said::failed(
                "Job for {$unit} failed because the control process exited with error code.\nSee \"systemctl status {$unit}\" and \"journalctl -xeu {$unit}\" for details.\n{$problem}",
            );
        }
        // One that runs already is not started again by “start” or “enable --now”.
        $runs = $machine->isActive($unit) && in_array($verb, ['start', 'enable'], true);
        $runs || $machine->activate($unit);

        return Said::noting($linked);
    }

    private function told(Call $call, string $verb, string $unit): Said
    {
        $machine = $call->board->machine;
        $on = $verb === 'is-enabled' ? in_array($unit, $machine->enabled, true) : $machine->isActive($unit);
        $word = ['is-enabled' => ['disabled', 'enabled']][$verb][(int) $on] ?? ['inactive', 'active'][(int) $on];
        $text = $verb === 'status' ? "● {$unit}\n     Active: {$word}".($on ? ' (running)' : ' (dead)') : $word;

        return $on ? Said::ok("{$text}\n") : Said::failed('', 3, "{$text}\n");
    }
}
