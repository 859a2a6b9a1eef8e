<?php

declare(strict_types=1);

namespace App\Files;

use Burrow\Addresses\Write\DhcpdConfig;
use Burrow\Addresses\Write\DnsmasqHosts;
use Burrow\Addresses\Write\DnsmasqNames;
use Burrow\Addresses\Write\HostsFile;
use Burrow\Addresses\Write\KeaConfig;
use Burrow\Addresses\Write\KnownHosts;
use Burrow\Addresses\Write\Own\KernelAddress;
use Burrow\Addresses\Write\Own\NetplanFile;
use Burrow\Addresses\Write\Own\NetworkdFile;
use Burrow\Addresses\Write\ReverseZone;
use Burrow\Addresses\Write\RouterTable;
use Burrow\Addresses\Write\SshConfig;
use Burrow\Addresses\Write\UnboundNames;
use Burrow\Addresses\Write\ZoneFile;
use Burrow\BringUp\Write\BlockFile;
use Burrow\Files\FileKind;
use Burrow\Filter\Write\DnsmasqNames as DnsmasqNamesList;
use Burrow\Filter\Write\HostsList;
use Burrow\Filter\Write\RpzList;
use Burrow\Filter\Write\UnboundList;
use Burrow\Ports\Write\ApplyScript;
use Burrow\Ports\Write\NftablesFile;
use Burrow\Ports\Write\ReservedPorts;
use Burrow\Ports\Write\StartPage;
use Burrow\Reach\Tunnel\TunnelFile;
use Burrow\Stores\Write\BackupFile;
use Burrow\Stores\Write\ExportsFile;
use Burrow\Stores\Write\FstabFile;
use Burrow\Stores\Write\MountUnit;
use Burrow\Stores\Write\SfdiskScript;
use Burrow\Stores\Write\SmbFile;
use Burrow\Upkeep\Write\CalendarFile;

/** All kinds of files that are written at the terminal, by name. */
final class FileKinds
{
    /** @return array<string, FileKind> */
    public static function all(): array
    {
        $kinds = [];
        foreach (
            [
                new HostsFile(),
                new DnsmasqHosts(),
                new DnsmasqNames(),
                new UnboundNames(),
                new KeaConfig(),
                new DhcpdConfig(),
                new ZoneFile(),
                new ReverseZone(),
                new SshConfig(),
                new KnownHosts(),
                new RouterTable(),
                new NetplanFile(),
                new NetworkdFile(),
                new KernelAddress(),
                new FstabFile(),
                new MountUnit(),
                new SmbFile(),
                new ExportsFile(),
                new SfdiskScript(),
                ...BackupFile::all(),
                new TunnelFile(),
                ...BlockFile::all(),
                new RpzList(),
                new UnboundList(),
                new DnsmasqNamesList(),
                new HostsList(),
                new NftablesFile(),
                new ApplyScript(),
                new ReservedPorts(),
                new StartPage(),
                new CalendarFile(),
            ] as $kind
        ) {
            $kinds[$kind->kind()] = $kind;
        }

        return $kinds;
    }

    private function __construct()
    {
    }
}
