<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Network;
use App\Models\User;
use Burrow\Card\LoginCheck;
use Illuminate\Console\Command;

/** The first login of a copy without demo data, and any later one; a known name gets a new password. */
final class UserCommand extends Command
{
    use TellsFindings;

    protected $signature = 'burrow:user {name : a role rather than a person} {--guest : may look and change nothing}';

    protected $description = 'Makes a login, or gives it a new password';

    public function handle(): int
    {
        $name = (string) $this->argument('name');
        $password = (string) $this->secret('Password for '.$name.' (nothing shows while you type)');
        $findings = LoginCheck::userFindings($name)->and(LoginCheck::passwordFindings($password));
        if ($findings->blocks()) {
            return $this->tell($findings);
        }
        User::query()->updateOrCreate(['name' => $name], ['password' => $password, 'role' => $this->option('guest') ? 'guest' : 'keeper']);
        if (Network::query()->doesntExist()) {
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
            $this->line('Describe your network in Settings: its prefix, the router and what the router hands out.');
        }
        $this->line("{$name} may log in.");

        return 0;
    }
}
