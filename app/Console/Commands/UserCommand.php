<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Demo\DemoLogins;
use App\House\Logins;
use App\Models\Network;
use App\Models\User;
use Illuminate\Console\Command;

/** Logins: listed, made, given a new password or another role, taken away. */
final class UserCommand extends Command
{
    use TellsFindings;

    protected $signature = 'burrow:user {name? : a role rather than a person} {--guest : may look and change nothing} {--keeper : may change things} {--remove : take the login away} {--drop-demo : take away the logins that the demo prints}';

    protected $description = 'Lists logins, makes one, gives it a new password or another role, or takes it away';

    public function handle(Logins $logins): int
    {
        if ($this->option('drop-demo')) {
            return $this->dropDemo();
        }
        $name = (string) $this->argument('name');
        if ($name === '') {
            return $this->list();
        }
        $user = User::query()->where('name', $name)->first();
        if ($this->option('remove')) {
            return $this->remove($logins, $user, $name);
        }
        if ($this->option('guest') && $this->option('keeper')) {
            $this->error('A login is a guest or a keeper, not both.');

            return 2;
        }
        $role = $this->option('guest')
            ? 'guest'
            : ($this->option('keeper')
                ? 'keeper'
                : $user->role ?? 'keeper');
        if ($user !== null && $role !== 'keeper' && $logins->isLastKeeper($user)) {
            $this->error(
                "{$name} is the last keeper; nobody could change anything any more. Make another keeper first.",
            );

            return 1;
        }
        $typed = $this->secret('Password for '.$name.' (nothing shows while you type)');
        $password = is_string($typed) ? $typed : '';
        $findings = Logins::judge($name, $password);
        if ($findings->blocks()) {
            foreach ($findings as $finding) {
                $this->error(trim("{$finding->found} {$finding->do}"));
            }

            return 1;
        }
        if ($this->secret('The same once more') !== $typed) {
            $this->error('The two are not the same. Nothing was changed.');

            return 1;
        }
        $logins->keep($name, $password, $role);
        $this->describeNetwork();
        $this->line(
            $user === null
                ? "{$name} may log in as {$role}."
                : "{$name} has a new password and is a {$role}; whoever was logged in with the old one is not any more.",
        );

        return 0;
    }

    private function list(): int
    {
        $users = User::query()->orderBy('name')->get();
        if ($users->isEmpty()) {
            $this->line('Nobody can log in yet: ./burrow user NAME makes the first login.');
        }
        foreach ($users as $user) {
            $this->line(
                sprintf(
                    '%-20s %-7s since %s',
                    $user->name,
                    $user->role,
                    $user->created_at?->format('Y-m-d') ?? 'long ago',
                ),
            );
        }

        return 0;
    }

    private function remove(Logins $logins, ?User $user, string $name): int
    {
        if ($user === null) {
            $this->error("There is no login “{$name}”. ./burrow user lists them.");

            return 2;
        }
        if (! $logins->remove($user)) {
            $this->error(
                "{$name} is the last keeper; nobody could change anything any more. Make another keeper first.",
            );

            return 1;
        }
        $this->line("{$name} can no longer log in, and is logged out everywhere.");

        return 0;
    }

    /**
     * A copy that began as a demo becomes somebody's own: the printed logins go, whatever else was planned meanwhile
     * stays.
     */
    private function dropDemo(): int
    {
        foreach (User::query()->get() as $user) {
            if (DemoLogins::isOne($user)) {
                $user->delete();
                $this->line("{$user->name} was a login of the demo and is gone.");
            }
        }

        return 0;
    }

    private function describeNetwork(): void
    {
        if (Network::query()->exists()) {
            return;
        }
        // What most home routers come with; the keeper describes the real one in Settings.
        Network::query()->create([
            'name' => 'The network',
            'prefix' => '192.168.1.0/24',
            'router' => '192.168.1.1',
            'pool_first' => '192.168.1.100',
            'pool_last' => '192.168.1.199',
            'domain' => 'home.arpa',
            'time_zone' => 'Etc/UTC',
        ]);
        $this->line(
            'Describe your network in Settings: its prefix, the router and what the router hands out.',
        );
    }
}
