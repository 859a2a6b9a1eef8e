<?php

declare(strict_types=1);

namespace Bench\Net;

use phpseclib3\Crypt\EC;

/**
 * Remote login of a board by the machine's own sshd, where somebody has tied a key to the report: whoever has that key
 * gets the report and nothing else. Whose account it is on this machine nobody sees: sshd is told of one of the
 * board's.
 */
final readonly class RemoteLogin
{
    private const SSHD = '/usr/sbin/sshd';

    /** Lets sshd know an account that this machine does not have. */
    private const ACCOUNTS = '/usr/lib/*/libnss_wrapper.so*';

    /** A key that is tied to the report, as the report's page tells the line (sshd(8), AUTHORIZED_KEYS FILE FORMAT). */
    private const LINE = '~^restrict,command="(/[\w./-]+)" (ssh-ed25519 [A-Za-z0-9+/=]{40,200})(?: [\w@.-]*)?$~m';

    /**
     * @param  non-empty-string  $secretKey  of the board's host key, as sodium has it
     * @param  non-empty-list<string>  $keys  that open the report
     * @param  string  $report  the command that prints it, for a shell
     */
    private function __construct(
        private string $secretKey,
        private string $account,
        private array $keys,
        private string $report,
    ) {
    }

    /**
     * Null where the machine has no sshd, or nobody has tied a key to the report.
     *
     * @param  non-empty-string  $secretKey
     * @param  string  $authorized  the board's authorized_keys
     */
    public static function of(string $secretKey, string $account, string $authorized, string $report): ?self
    {
        preg_match_all(self::LINE, $authorized, $lines);
        $keys = array_values($lines[2]);

        return $keys === [] ||
            ! is_executable(self::SSHD) ||
            glob(self::ACCOUNTS) === [] ||
            preg_match('/^[a-z_][a-z0-9_-]{0,31}$/D', $account) !== 1
            ? null
            : new self($secretKey, $account, $keys, $report);
    }

    /** Another one where somebody tied another key. */
    public function mark(): int
    {
        return crc32(implode(' ', [$this->account, ...$this->keys]));
    }

    /** Null where it does not start. */
    public function listen(string $address, int $port): ?RunningLogin
    {
        $folder = sys_get_temp_dir().'/bench-login-'.bin2hex(random_bytes(6));
        $root = posix_getuid() === 0;
        if (! mkdir($folder, 0700) || ($root && ! is_dir('/run/sshd') && ! mkdir('/run/sshd', 0755))) {
            return null;
        }
        $key = EC::loadPrivateKeyFormat('libsodium', $this->secretKey)->toString('OpenSSH');
        $id = implode(':', [posix_getuid(), posix_getgid()]);
        $this->put("{$folder}/host", is_string($key) ? $key : '');
        $tied = 'restrict,command="'.addcslashes($this->report, '"').'" ';
        $this->put(
            "{$folder}/keys",
            implode('', array_map(fn (string $one): string => "{$tied}{$one}\n", $this->keys)),
        );
        $this->put(
            "{$folder}/passwd",
            "{$this->account}:x:{$id}::{$folder}:/bin/sh\n".file_get_contents('/etc/passwd'),
        );
        $this->put("{$folder}/group", (string) file_get_contents('/etc/group'));
        $options = [
            "ListenAddress={$address}",
            "AuthorizedKeysFile={$folder}/keys",
            "ForceCommand={$this->report}",
            "AllowUsers={$this->account}",
            'PermitRootLogin='.($root ? 'forced-commands-only' : 'no'),
            'PasswordAuthentication=no',
            'KbdInteractiveAuthentication=no',
            'DisableForwarding=yes',
            'PermitTTY=no',
            'PermitUserRC=no',
            'StrictModes=no',
            'UsePAM=no',
            'PidFile=none',
        ];
        $process = proc_open(
            // With the bench it ends, however the bench ends.
            [
                'setpriv',
                '--pdeathsig',
                'TERM',
                'env',
                'LD_PRELOAD=libnss_wrapper.so',
                "NSS_WRAPPER_PASSWD={$folder}/passwd",
                "NSS_WRAPPER_GROUP={$folder}/group",
                self::SSHD,
                '-D',
                '-e',
                '-f',
                '/dev/null',
                '-p',
                (string) $port,
                '-h',
                "{$folder}/host",
                ...array_merge(...array_map(fn (string $one): array => ['-o', $one], $options)),
            ],
            [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', "{$folder}/log", 'w']],
            $pipes,
        );

        return is_resource($process) ? new RunningLogin($process, $folder) : null;
    }

    private function put(string $file, string $text): void
    {
        file_put_contents($file, $text);
        chmod($file, 0600);
    }
}
