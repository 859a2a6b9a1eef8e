<?php

declare(strict_types=1);

namespace Burrow\Stores\Backup;

/** The service and the timer of systemd that make the copies (systemd.service(5), systemd.timer(5)). */
final class BackupUnits
{
    public static function service(BackupPlan $plan): string
    {
        return <<<UNIT
        [Unit]
        Description=one more copy of {$plan->name}
        Wants=network-online.target
        After=network-online.target

        [Service]
        Type=oneshot
        ExecStart=/usr/local/sbin/backup-{$plan->name}
        Nice=10
        IOSchedulingClass=idle

        UNIT;
    }

    public static function timer(BackupPlan $plan): string
    {
        return <<<UNIT
        [Unit]
        Description=copies {$plan->name} every day

        [Timer]
        OnCalendar=*-*-* {$plan->at}:00
        RandomizedDelaySec=300
        Persistent=true

        [Install]
        WantedBy=timers.target

        UNIT;
    }

    private function __construct()
    {
    }
}
