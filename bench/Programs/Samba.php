<?php

declare(strict_types=1);

namespace Bench\Programs;

use Bench\Board\Board;

/** The file share: its configuration, its service, its passwords. */
final readonly class Samba implements Program
{
    public function answers(string $command): bool
    {
        return preg_match('/^(?:testparm|systemctl (?:enable|restart) smbd$|smbpasswd -a )/', $command) === 1;
    }

    public function run(Board $board, string $command): string
    {
        return match (Words::of($command)[0]) {
            'testparm' => $this->testparm($board),
            'smbpasswd' => $this->smbpasswd($board, Words::of($command)[2] ?? ''),
            default => $this->smbd($board),
        };
    }

    private function testparm(Board $board): string
    {
        return "Load smb config files from /etc/samba/smb.conf\nLoaded services file OK.\n".
            $board->system['/etc/samba/smb.conf'];
    }

    private function smbd(Board $board): string
    {
        if (! in_array('samba', $board->boot->packages ?? [], true)) {
            return 'Failed to enable unit: Unit file smbd.service does not exist.';
        }
        $board->system['smbd enabled'] = 'yes';

        return '';
    }

    private function smbpasswd(Board $board, string $user): string
    {
        if ($user !== ($board->boot->user ?? '')) {
            return "Failed to add entry for user {$user}.";
        }
        $board->shareUsers[] = $user;

        return "New SMB password:\nRetype new SMB password:\nAdded user {$user}.";
    }
}
