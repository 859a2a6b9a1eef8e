<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Write;

use Burrow\Household\Hours;

/**
 * Updates that install themselves in the hours in which somebody may be at work on a box: what apt is told
 * (apt.conf(5), unattended-upgrade(8)), and when its timers run (systemd.timer(5), systemd.time(7)).
 */
final readonly class UnattendedFiles
{
    /** Where nobody said when: in the night, each day (common practice). */
    private const NIGHT = ['from' => '03:00', 'to' => '05:00'];

    /** Seconds of chance at most, so that boxes do not all fetch at once. */
    private const MOST_DELAY = 1800;

    /** The list of packages is fetched so long before, in seconds. */
    private const LISTS_BEFORE = 3600;

    /** A window below this is too short for an upgrade and a restart, in seconds (common practice: 20 minutes). */
    public const SHORTEST = 1800;

    /** @param  list<Hours>  $windows  of the box; none: the night */
    private function __construct(private array $windows, private bool $restarts)
    {
    }

    /**
     * @param  list<Hours>  $windows  in which work may be done on the box
     * @param  bool  $restarts  it restarts by itself where an update asks for that, and nobody is logged in
     */
    public static function of(array $windows, bool $restarts): self
    {
        return new self($windows, $restarts);
    }

    public function apt(): string
    {
        $restarts = $this->restarts ? 'true' : 'false';

        return <<<CONF
        // Security updates install themselves, in the hours of the timers beside.
        APT::Periodic::Update-Package-Lists "1";
        APT::Periodic::Unattended-Upgrade "1";
        Unattended-Upgrade::Automatic-Reboot "{$restarts}";
        Unattended-Upgrade::Automatic-Reboot-WithUsers "false";
        Unattended-Upgrade::Automatic-Reboot-Time "now";

        CONF;
    }

    /** Drop-in of apt-daily-upgrade.timer: when updates are installed. */
    public function upgradeTimer(): string
    {
        return $this->timer(0);
    }

    /** Drop-in of apt-daily.timer: when the lists are fetched, an hour before. */
    public function listTimer(): string
    {
        return $this->timer(self::LISTS_BEFORE);
    }

    /** All of it as it is typed on the box: the three files, and the timers read anew. */
    public function command(): string
    {
        $file = fn (string $path, string $text): string => "sudo tee {$path} <<'FILE'\n{$text}FILE\n";

        return "sudo apt-get --yes install unattended-upgrades\n".
            $file('/etc/apt/apt.conf.d/52burrow', $this->apt()).
            'sudo mkdir --parents /etc/systemd/system/apt-daily.timer.d '.
            "/etc/systemd/system/apt-daily-upgrade.timer.d\n".
            $file('/etc/systemd/system/apt-daily.timer.d/hours.conf', $this->listTimer()).
            $file('/etc/systemd/system/apt-daily-upgrade.timer.d/hours.conf', $this->upgradeTimer()).
            "sudo systemctl daemon-reload\n".
            "sudo systemctl restart apt-daily.timer apt-daily-upgrade.timer\n".
            'systemctl list-timers apt-daily.timer apt-daily-upgrade.timer';
    }

    /** When it is, in words: "each day at 03:00", "Sat 22:30, Sun 22:30". */
    public function words(): string
    {
        $begins = $this->begins();
        $hours = array_unique(array_map(fn (string $one): string => substr($one, 4), $begins));

        return count($begins) === 7 && count($hours) === 1
            ? 'each day at '.$hours[0]
            : implode(', ', array_slice($begins, 0, 14));
    }

    /** Seconds of the shortest window. */
    public function shortest(): int
    {
        return min(array_map(self::seconds(...), $this->hours()));
    }

    /** @return list<string> "Sat 03:00": when updates begin, by day and hour */
    public function begins(): array
    {
        $begins = [];
        foreach ($this->hours() as $one) {
            foreach ($one['days'] ?: Hours::DAYS as $day) {
                $begins[] = ucfirst($day).' '.$one['from'];
            }
        }

        return array_values(array_unique($begins));
    }

    private function timer(int $before): string
    {
        $lines = ['[Timer]', 'OnCalendar='];
        foreach ($this->hours() as $one) {
            [$hour, $minute] = array_map(intval(...), explode(':', $one['from']));
            $start = $hour * 3600 + $minute * 60 - $before;
            // An hour before half past midnight is on the day before.
            $days = $start < 0 ? array_map(self::dayBefore(...), $one['days']) : $one['days'];
            $start = ($start + 86400) % 86400;
            $lines[] =
                'OnCalendar='.
                ($days === [] ? '' : implode(',', array_map(ucfirst(...), $days)).' ').
                sprintf('*-*-* %02d:%02d', intdiv($start, 3600), intdiv($start % 3600, 60));
        }
        $lines[] = 'RandomizedDelaySec='.min(self::MOST_DELAY, intdiv($this->shortest(), 3));
        $lines[] = 'Persistent=false';

        return implode("\n", $lines)."\n";
    }

    /** @return non-empty-list<array{days: list<string>, from: string, to: string}> */
    private function hours(): array
    {
        return $this->windows === []
            ? [['days' => []] + self::NIGHT]
            : array_map(
                fn (Hours $one): array => ['days' => $one->days, 'from' => $one->from, 'to' => $one->to],
                $this->windows,
            );
    }

    /** @param  array{days: list<string>, from: string, to: string}  $hours */
    private static function seconds(array $hours): int
    {
        [$from, $to] = array_map(
            fn (string $at): int => (int) substr($at, 0, 2) * 3600 + (int) substr($at, 3, 2) * 60,
            [$hours['from'], $hours['to']],
        );

        return $to > $from ? $to - $from : $to + 86400 - $from;
    }

    private static function dayBefore(string $day): string
    {
        $at = (int) array_search($day, Hours::DAYS, true);

        return Hours::DAYS[($at + 6) % 7];
    }
}
