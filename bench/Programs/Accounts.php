<?php

declare(strict_types=1);

namespace Bench\Programs;

/** Accounts and groups: a group counts from the next login, and without the append flag it replaces all others. */
final class Accounts implements Program
{
    public function names(): array
    {
        return ['usermod', 'adduser', 'groups', 'whoami', 'passwd', 'loginctl', 'exit', 'hostname', 'hostnamectl'];
    }

    public function run(Call $call): Said
    {
        $machine = $call->board->machine;
        $user = $call->board->boot->user ?? 'root';

        return match (basename($call->words[0])) {
            'usermod' => $this->usermod($call),
            'exit' => $this->leave($call, $user),
            'groups' => Said::ok(implode(' ', [$user, 'sudo', ...$machine->session])."\n"),
            'whoami' => Said::ok(($call->root ? 'root' : $user)."\n"),
            'hostname' => Said::ok($call->board->hostname()."\n"),
            'hostnamectl' => $this->hostname($call),
            default => Said::ok(),
        };
    }

    private function usermod(Call $call): Said
    {
        if (! $call->root) {
            return Said::failed("usermod: Permission denied.\nusermod: cannot lock /etc/passwd; try again later.");
        }
        $account = $call->words[count($call->words) - 1];
        $new = explode(',', $call->option('--groups', '-G', '-aG') ?? '');
        $before = $call->has('--append', '-a', '-aG') ? $call->board->machine->groups[$account] ?? [] : [];
        $call->board->machine->groups[$account] = array_values(array_unique([...$before, ...$new]));

        return Said::ok();
    }

    private function hostname(Call $call): Said
    {
        [$what, $name] = [...$call->plain(), '', ''];
        if ($what !== 'set-hostname') {
            return Said::ok($call->board->hostname()."\n");
        }
        if (! $call->root) {
            return Said::failed('Could not set static hostname: Access denied');
        }
        $call->board->machine->write('/etc/hostname', "{$name}\n");

        return Said::ok();
    }

    private function leave(Call $call, string $user): Said
    {
        $call->board->machine->session = $call->board->machine->groups[$user] ?? [];

        return Said::ok("logout\n");
    }
}
