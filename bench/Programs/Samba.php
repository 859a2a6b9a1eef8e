<?php

declare(strict_types=1);

namespace Bench\Programs;

/** The file share's own tools: its configuration looked over, its passwords. */
final class Samba implements Program
{
    public function names(): array
    {
        return ['testparm', 'smbpasswd'];
    }

    public function run(Call $call): Said
    {
        if ($call->words[0] === 'testparm') {
            return Said::noting(
                "Load smb config files from /etc/samba/smb.conf\nLoaded services file OK.",
                $call->board->machine->read('/etc/samba/smb.conf') ?? '',
            );
        }
        $user = $call->plain()[0] ?? '';
        if ($user !== ($call->board->boot->user ?? '')) {
            return Said::failed("Failed to add entry for user {$user}.");
        }
        $call->board->machine->shareUsers[] = $user;

        return Said::ok("New SMB password:\nRetype new SMB password:\nAdded user {$user}.\n");
    }
}
