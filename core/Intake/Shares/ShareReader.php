<?php

declare(strict_types=1);

namespace Burrow\Intake\Shares;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Lines;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Intake\UnreadLines;
use Burrow\Judgement\Findings;

/** Shares of either kind: what a box offers, who has it open, and why a mount was refused. */
final class ShareReader implements Reader
{
    private const OFFERED = '/^\s*Sharename\s+Type\s+Comment/m';

    private const OPEN = '/^Service\s+pid\s+Machine\s+Connected at/m';

    /**
     * What a failed mount or look says => what it means. The words are those of mount.cifs, mount.nfs and
     * smbclient.
     */
    private const FAILURES = [
        '/mount error\(13\)|NT_STATUS_(?:LOGON_FAILURE|WRONG_PASSWORD|ACCOUNT_\w+|PASSWORD_\w+)|STATUS_LOGON_FAILURE/' => 'login',
        '/NT_STATUS_ACCESS_DENIED|mount\.nfs4?: (?:access denied|Operation not permitted)|mount error\(1\)|permission denied by server/i' => 'denied',
        '/mount error\(2\)|NT_STATUS_BAD_NETWORK_NAME|mount\.nfs4?: mounting \S+ failed, reason given by server: No such file|NT_STATUS_OBJECT_NAME_NOT_FOUND/' => 'no-such-share',
        '/mount error\((?:111)\)|NT_STATUS_CONNECTION_REFUSED|mount\.nfs4?: Connection refused/' => 'refused',
        '/mount error\((?:113|115|110|101|112)\)|NT_STATUS_(?:HOST_UNREACHABLE|IO_TIMEOUT|NETWORK_UNREACHABLE)|mount\.nfs4?: (?:Connection timed out|No route to host)/' => 'unreachable',
        '/mount error: could not resolve address|NT_STATUS_(?:NOT_FOUND|UNSUCCESSFUL)|mount\.nfs4?: Failed to resolve server/' => 'name',
        '/mount error\(95\)|NT_STATUS_(?:INVALID_NETWORK_RESPONSE|REVISION_MISMATCH|NOT_SUPPORTED)|mount\.nfs4?: (?:Protocol not supported|requested NFS version)/' => 'protocol',
        '/^mount error\(\d+\)|^mount\.(?:nfs4?|cifs): |\bNT_STATUS_[A-Z_]+/m' => 'other',
    ];

    public function kind(): string
    {
        return 'shares';
    }

    public function summary(): string
    {
        return 'smb.conf, testparm -s, smbclient -L, smbstatus, exports, exportfs -v, showmount -e, mount errors';
    }

    public function sign(): string
    {
        return '/^\s*Sharename\s+Type|^Service\s+pid\s+Machine|^Exports? list |^\s*\[(?:global|homes|printers)\]\s*$|'.
            '^mount error(?:\(\d+\))?: |^mount\.(?:nfs4?|cifs): |NT_STATUS_[A-Z_]+|^# Global parameters$|'.
            '^(?:"\/[^"\n]{1,300}"|\/\S{0,300})\s+\S{0,200}\((?:rw|ro|a?sync)[,)]|^\s+\S{1,200}\((?:rw|ro|a?sync),|'.
            '^\s*(?:read only|writea?ble|guest ok|valid users|browsea?ble) *= */mi';
    }

    public function read(string $text): Reading
    {
        $unread = new UnreadLines($this->kind());
        $facts = match (true) {
            preg_match(self::OFFERED, $text) === 1 => self::offered($text),
            preg_match(self::OPEN, $text) === 1 => self::open($text),
            preg_match(SmbConf::SIGN, $text) === 1 => SmbConf::read($text, $unread),
            preg_match(Exports::SIGN, $text) === 1 => Exports::read($text, $unread),
            default => [],
        };
        $facts = $facts === [] ? self::refused($text) : $facts;

        return new Reading(
            $this->kind(),
            $facts,
            $facts === [] && $unread->count() === 0
                ? Findings::of(IntakeFindings::notThis($this->kind(), $this->summary()))
                : $unread->findings(),
            [],
            $unread->count(),
        );
    }

    /** @return list<ShareFact> */
    private static function offered(string $text): array
    {
        $facts = [];
        foreach (Lines::of($text) as $line) {
            // "	store           Disk      Seed scans"; with -g "Disk|store|Seed scans".
            if (preg_match('/^\s+(\S.{0,80}?)\s{1,}Disk(?:\s|$)/', $line, $m) === 1) {
                $facts[] = new ShareFact($m[1]);
            }
        }

        return $facts;
    }

    /** @return list<ShareFact> */
    private static function open(string $text): array
    {
        $facts = [];
        $inside = false;
        foreach (Lines::of($text) as $line) {
            if (preg_match(self::OPEN, $line) === 1) {
                $inside = true;
            } elseif ($inside && preg_match('/^(\S.{0,80}?)\s{2,}\d+\s+(\S+)\s/', $line, $m) === 1) {
                $facts[] = new ShareFact($m[1], client: $m[2]);
            } elseif ($inside && trim($line) === '') {
                $inside = $facts === [];
            }
        }

        return $facts;
    }

    /** @return list<ShareFact> */
    private static function refused(string $text): array
    {
        foreach (self::FAILURES as $pattern => $failure) {
            if (preg_match($pattern, $text) === 1) {
                return [
                    new ShareFact(
                        preg_match(
                            '~(?://[\w.-]+/([^\s"\']{1,80})|\b[\w.-]+:(/[^\s,"\']{1,200}))~',
                            $text,
                            $m,
                        ) === 1
                            ? ($m[2] ?? '' ?:
                            $m[1])
                            : null,
                        failure: $failure,
                    ),
                ];
            }
        }

        return [];
    }
}
