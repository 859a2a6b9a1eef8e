<?php

declare(strict_types=1);

namespace Burrow\Ports\Write;

use Burrow\Files\FileKind;
use Burrow\Files\WrittenFile;
use Burrow\Judgement\Findings;

/**
 * A script for the box that puts its packet filter in place so that nobody is locked out: what was there before is kept
 * and comes back by a timer of systemd (systemd-run(1)) unless somebody in a second login says that it still works.
 */
final class ApplyScript implements FileKind
{
    /** Minutes after which the old rules come back. */
    private const MINUTES = 3;

    public function kind(): string
    {
        return 'nftables-apply';
    }

    public function summary(): string
    {
        return 'a script that loads the packet filter and takes it back by itself unless a second login still works';
    }

    public function schema(): string
    {
        return 'core/Ports/schema/ports.schema.json';
    }

    public function write(string $values, string $schema, string $name): WrittenFile
    {
        [$box, $findings] = BoxPorts::read($values, $schema, $name);

        return $box === null ? new WrittenFile($this->kind(), null, $findings) : $this->of($box, $findings);
    }

    public function of(BoxPorts $box, ?Findings $findings = null): WrittenFile
    {
        $rules = (new NftablesFile())->of($box, $findings);
        if ($rules->text === null) {
            return new WrittenFile($this->kind(), null, $rules->findings);
        }
        $minutes = self::MINUTES;

        return new WrittenFile(
            $this->kind(),
            <<<SH
            #!/bin/sh
            # Packet filter of {$box->box}, with a way back. Stay logged in while it runs; it wants root (sudo sh).
            set -eu
            keep=/etc/nftables.d
            new=\$(mktemp)
            before=\$(mktemp /run/burrow-before.XXXXXX)
            trap 'rm -f "\$new"' EXIT
            cat >"\$new" <<'RULES'
            {$rules->text}RULES
            nft --check --file "\$new" || { echo "STOPPED: nft does not take the rules; nothing was changed."; exit 1; }
            { echo 'flush ruleset'; nft list ruleset; } >"\$before"
            nft --check --file "\$before" || { echo "STOPPED: the rules of before could not be brought back; nothing was changed."; exit 1; }
            systemd-run --quiet --unit=burrow-way-back --on-active={$minutes}min nft --file "\$before" \
                || { echo "STOPPED: there is no timer that takes it back (is one still running? systemctl stop burrow-way-back.timer); nothing was changed."; exit 1; }
            nft --file "\$new"
            echo "The rules are in force. They go back by themselves in {$minutes} minutes."
            echo "Now log in a second time, from another window. Does that work? Type yes:"
            answer=
            read -r answer || true
            if [ "\$answer" = yes ]; then
                systemctl stop burrow-way-back.timer
                install -d -m 755 "\$keep"
                install -m 644 "\$new" "\$keep/burrow.nft"
                grep -qs 'include "/etc/nftables.d/\*.nft"' /etc/nftables.conf || echo 'include "/etc/nftables.d/*.nft"' >>/etc/nftables.conf
                systemctl enable --quiet nftables
                rm -f "\$before"
                echo "Kept. They hold after the next start, too."
            else
                nft --file "\$before"
                systemctl stop burrow-way-back.timer
                rm -f "\$before"
                echo "Taken back; everything is as before."
            fi

            SH
            ,
            $rules->findings,
        );
    }
}
