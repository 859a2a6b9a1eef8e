<?php

declare(strict_types=1);

namespace Burrow\Stores\Backup;

/** What of a box is copied where, how, when and for how long. No secret is in it: keys are named by where they lie. */
final readonly class BackupPlan
{
    /** What is dumped before it is copied: a database's files are never whole while it runs. */
    public const DATABASES = ['none', 'mariadb', 'postgresql', 'sqlite'];

    /** Folders that change only where something changed, or one encrypted archive a time. */
    public const SCHOOLS = ['folders', 'archive'];

    public const NAME = '/^[a-z][a-z0-9-]{0,30}$/D';

    /** No path of a program's own view of the system, none with a control character, none that climbs. */
    public const PATH = '~^(?!/(?:proc|sys|dev|run)(?:/|$))(?:/(?!\.\.?(?:/|$))[^/\p{C}]{1,200}){1,30}$~Du';

    public const ACCOUNT = '/^[a-z_][a-z0-9_-]{0,31}$/D';

    public const HOST = '/^[A-Za-z0-9](?:[A-Za-z0-9.:-]{0,250}[A-Za-z0-9])?$/D';

    /**
     * @param  string  $name  of NAME; the files on the box are called after it
     * @param  string  $box  whose files they are, in words
     * @param  non-empty-list<string>  $paths  of PATH
     * @param  string  $database  of DATABASES
     * @param  ?string  $databaseFile  where "sqlite" keeps it
     * @param  string  $account  at the machine that keeps the copies
     * @param  string  $host  its name or address
     * @param  string  $folder  there; of PATH
     * @param  string  $school  of SCHOOLS
     * @param  string  $identity  the login key's file on the box
     * @param  ?string  $keyFile  the file on the box with the archive's passphrase; null for folders
     * @param  string  $at  "02:30", in the zone of the box
     */
    public function __construct(
        public string $name,
        public string $box,
        public array $paths,
        public string $account,
        public string $host,
        public string $folder,
        public string $database = 'none',
        public ?string $databaseFile = null,
        public string $school = 'folders',
        public int $port = 22,
        public string $identity = '/root/.ssh/id_backup',
        public ?string $keyFile = null,
        public string $at = '02:30',
        public Keep $keep = new Keep(),
    ) {
    }

    public function isEncrypted(): bool
    {
        return $this->school === 'archive';
    }

    public function passphraseFile(): string
    {
        return $this->keyFile ?? "/root/backup-{$this->name}.key";
    }
}
