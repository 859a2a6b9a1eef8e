<?php

declare(strict_types=1);

namespace Burrow\Intake;

use Burrow\Judgement\Findings;

/**
 * Lines with which a shell, sudo, the login client or a package tool says that a command did not do what it was to do.
 * Whoever pastes such a line has not finished the step.
 */
final class Refusals
{
    /** Pattern of a line => what it means, why, what to do. The words are those of the programs in English. */
    private const KNOWN = [
        '/^[\w+.-]+ is not in the sudoers file/' => [
            'This account may not use sudo.',
            'The command was refused, and nothing was changed.',
            'Log in with the account that was made on the card, or add this one to the group sudo from there.',
        ],
        '/: a password is required$|^sudo: \d+ incorrect password attempts?|^Sorry, try again\.$/' => [
            'sudo did not get the right password.',
            'The command was not run.',
            'It is the password of the account on the box, not the one of the desk computer. Type the command again.',
        ],
        '/^(?:-?(?:ba|z|da)?sh: (?:line )?(?:\d+: )?)?(?:sudo: )?\S+: (?:command )?not found$|^zsh: command not found: |is not recognized as (?:the name of a cmdlet|an internal or external command)/' => [
            'The command is not there.',
            'It was typed on the wrong machine, a letter is wrong, or its package is not installed.',
            'Look at the prompt: is this the box? Then type it again from the page.',
        ],
        '/^(?:.*: )?Permission denied \((?:publickey|password|keyboard-interactive|,)+\)\.?$/' => [
            'The login was refused.',
            'The key is not the one on the card, the user name is another one, or the card was read before the key was on it.',
            'Try the user name of the card; then look whether the key\'s fingerprint is the one that the box\'s page shows.',
        ],
        '/^(?:ssh|kex_exchange_identification|client_loop|Connection)\b.*(?:Connection (?:refused|timed out|reset)|No route to host|Broken pipe|Network is unreachable)/' => [
            'The box was not reached.',
            'It is still starting, has another address, or the session ended.',
            'Wait half a minute, then try again; look at the router\'s list when it stays so.',
        ],
        '/REMOTE HOST IDENTIFICATION HAS CHANGED|^Host key verification failed/' => [
            'The login client remembers another host key for this address.',
            'After a card was written anew that is expected; without a reason it is not.',
            'Compare the fingerprint with the one on the box\'s page. If it is that one, remove the one old entry: ssh-keygen -R with this address.',
        ],
        '/^E: Could not get lock|^E: Unable to acquire the dpkg frontend lock|^Waiting for cache lock/' => [
            'Another upgrade is running on the box.',
            'On a fresh box this is the automatic one; it ends by itself.',
            'Wait five minutes and type the command again. Do not remove the lock.',
        ],
        '/^E: Unable to locate package|^E: Package .* has no installation candidate/' => [
            'A package is not in the index.',
            'The index is old, or the name is wrong for this release.',
            'Run sudo apt-get update first.',
        ],
        '/^E: dpkg was interrupted/' => [
            'An earlier upgrade was cut off.',
            'Half-installed packages must be finished first.',
            'Run sudo dpkg --configure -a, then this command again.',
        ],
        '/^E: You don\'t have enough free space|: No space left on device$/' => [
            'The disk is full.',
            'The file system may not have been grown to the card\'s size.',
            'Look at df --human-readable /.',
        ],
        '/(?:Temporary failure|Could not|Name or service not) (?:in name resolution|resolv\w+|known)|^curl: \(6\)/' => [
            'A name was not found.',
            'The box has no resolver, or no way out of the house.',
            'Try ping with the router\'s address, then getent hosts deb.debian.org.',
        ],
        '/^(?:Job for \S+ failed|Failed to (?:start|enable|restart|reload) \S+|Unit \S+ (?:not found|could not be found))/' => [
            'The service did not start.',
            'Its configuration has a fault, or its package is not there.',
            'Read its own words: systemctl status, then journalctl --unit with its name.',
        ],
        '/^E: |^dpkg: error/' => [
            'The package tool stopped with an error.',
            'Its own words stand behind “E:”.',
            'Read that line; nothing else was changed after it.',
        ],
        '/^(?:[\w.\/-]+: (?:.*: )?)?(?:Permission denied|Operation not permitted|Read-only file system)$/' => [
            'The system did not allow it.',
            'The command was typed without sudo, or the file system is read-only.',
            'Type the whole line from the page, with sudo at its front.',
        ],
        '/^[\w.\/-]+: .*(?:No such file or directory|Input\/output error|Device or resource busy|can\'t find in \/etc\/fstab\.?|mount point does not exist\.?|wrong fs type, .*)$/' => [
            'The command found something other than it looked for.',
            'An earlier step was passed over, or a disk was unplugged.',
            'Read the line: it names the file or disk. Go back to the step that makes it.',
        ],
        '/^STOPPED: /' => [
            'The chain of commands stopped at its first doubt.',
            'Nothing after that line was done.',
            'Read the line; list the disks again before you go on.',
        ],
    ];

    /** What a pasted text says against the step being over; the first such line counts. */
    public static function in(string $pasted): Findings
    {
        foreach (explode("\n", mb_scrub($pasted, 'UTF-8')) as $index => $line) {
            $line = trim(substr((string) preg_replace('/\e\[[0-9;]{0,12}[A-Za-z]/', '', $line), 0, 600));
            foreach (self::KNOWN as $pattern => [$found, $why, $do]) {
                if ($line !== '' && preg_match($pattern, $line) === 1) {
                    return Findings::of(IntakeFindings::refused($found, $index + 1, $line, $why, $do));
                }
            }
        }

        return Findings::of();
    }
}
