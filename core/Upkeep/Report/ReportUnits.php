<?php

declare(strict_types=1);

namespace Burrow\Upkeep\Report;

use InvalidArgumentException;

/**
 * The service and the timer of systemd that send a box's report (systemd.service(5), systemd.timer(5)), and the line
 * that lets somebody fetch it and nothing else (sshd(8), AUTHORIZED_KEYS FILE FORMAT).
 */
final class ReportUnits
{
    public const SCRIPT = '/usr/local/bin/burrow-report';

    /** A file of one line, read by its account alone: "Authorization: Bearer …". */
    public const TOKEN = '/etc/burrow-report.header';

    private const URL = '~^https?://[A-Za-z0-9.:\[\]-]{1,253}/[A-Za-z0-9/_-]{0,100}$~D';

    private const ACCOUNT = '/^[a-z_][a-z0-9_-]{0,31}$/D';

    /**
     * @param  string  $account  that runs it; what its keys are only it can tell
     * @param  string  $url  where reports go to
     *
     * @throws InvalidArgumentException for an account or an address that no unit can carry
     */
    public static function service(string $account, string $url): string
    {
        if (preg_match(self::ACCOUNT, $account) !== 1 || preg_match(self::URL, $url) !== 1) {
            throw new InvalidArgumentException('Not an account and an address.');
        }
        $script = self::SCRIPT;
        $token = self::TOKEN;

        return <<<UNIT
        [Unit]
        Description=tells how this box is
        Wants=network-online.target
        After=network-online.target

        [Service]
        Type=oneshot
        User={$account}
        ExecStart=/bin/sh -c '{$script} | curl -sS --fail --max-time 60 -H @{$token} --data-binary @- {$url}'
        Nice=10
        PrivateTmp=yes
        NoNewPrivileges=yes

        UNIT;
    }

    public static function timer(): string
    {
        return <<<'UNIT'
        [Unit]
        Description=tells every day how this box is

        [Timer]
        OnCalendar=daily
        OnBootSec=10min
        RandomizedDelaySec=1h
        Persistent=true

        [Install]
        WantedBy=timers.target

        UNIT;
    }

    /** @param  string  $publicKey  of this application, one line */
    public static function authorizedKey(string $publicKey): string
    {
        return 'restrict,command="'.self::SCRIPT.'" '.trim($publicKey);
    }

    private function __construct()
    {
    }
}
