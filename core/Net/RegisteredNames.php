<?php

declare(strict_types=1);

namespace Burrow\Net;

/**
 * Names that the IANA has registered for ports, as far as Debian's /etc/services lists them (package netbase): what
 * tools print in place of a number, and what somebody may take a port for who meets it elsewhere.
 *
 * @see https://www.rfc-editor.org/rfc/rfc6335 Service Name and Transport Protocol Port Number Registry
 */
final class RegisteredNames
{
    /** The same for TCP and UDP: "number name", with commas between. */
    private const BOTH =
        '7 echo, 9 discard, 13 daytime, 19 chargen, 37 time, 49 tacacs, 53 domain, 88 kerberos, '.
        '111 sunrpc, 161 snmp, 162 snmp-trap, 163 cmip-man, 164 cmip-agent, 369 rpc2portmap, '.
        '370 codaauth2, 389 ldap, 427 svrloc, 443 https, 464 kpasswd, 538 gdomap, 554 rtsp, 636 ldaps, '.
        '646 ldp, 655 tinc, 853 domain-s, 1646 sa-msg-port, 1812 radius, 1813 radius-acct, 2049 nfs, '.
        '2086 gnunet, 2101 rtcm-sc104, 2430 venus, 2431 venus-se, 2432 codasrv, 2433 codasrv-se, 2583 mon, '.
        '3205 isns, 3493 nut, 5060 sip, 5061 sip-tls, 6346 gnutella-svc, 6347 gnutella-rtr, 27374 asp';

    private const TCP =
        '1 tcpmux, 11 systat, 17 qotd, 20 ftp-data, 21 ftp, 22 ssh, 23 telnet, 25 smtp, 43 whois, '.
        '70 gopher, 79 finger, 80 http, 102 iso-tsap, 104 acr-nema, 110 pop3, 113 auth, 119 nntp, '.
        '135 epmap, 139 netbios-ssn, 143 imap2, 174 mailq, 179 bgp, 199 smux, 209 qmtp, 210 z3950, '.
        '345 pawserv, 346 zserv, 444 snpp, 445 microsoft-ds, 465 submissions, 487 saft, 512 exec, '.
        '513 login, 514 shell, 515 printer, 540 uucp, 543 klogin, 544 kshell, 548 afpovertcp, 563 nntps, '.
        '587 submission, 607 nqs, 628 qmqp, 631 ipp, 706 silc, 749 kerberos-adm, 783 spamd, '.
        '871 supfilesrv, 873 rsync, 989 ftps-data, 990 ftps, 992 telnets, 993 imaps, 995 pop3s, '.
        '1080 socks, 1093 proofd, 1094 rootd, 1099 rmiregistry, 1352 lotusnote, 1433 ms-sql-s, '.
        '1524 ingreslock, 1649 kermit, 1677 groupwise, 2000 cisco-sccp, 2119 gsigatekeeper, 2135 gris, '.
        '2401 cvspserver, 2628 dict, 2792 f5-globalsite, 2811 gsiftp, 2947 gpsd, 3050 gds-db, '.
        '3260 iscsi-target, 3306 mysql, 3389 ms-wbt-server, 3632 distcc, 3689 daap, 3690 svn, 4031 suucp, '.
        '4094 sysrqd, 4190 sieve, 4353 f5-iquery, 4369 epmd, 4373 remctl, 4460 ntske, 4559 hylafax, '.
        '4691 mtn, 4899 radmin-port, 4949 munin, 5222 xmpp-client, 5269 xmpp-server, 5308 cfengine, '.
        '5432 postgresql, 5556 freeciv, 5666 nrpe, 5667 nsca, 5671 amqps, 5672 amqp, 6000 x11, 6001 x11-1, '.
        '6002 x11-2, 6003 x11-3, 6004 x11-4, 6005 x11-5, 6006 x11-6, 6007 x11-7, 6379 redis, '.
        '6446 mysql-proxy, 6514 syslog-tls, 6566 sane-port, 6667 ircd, 6697 ircs-u, 7100 font-service, '.
        '8080 http-alt, 8140 puppet, 9098 xinetd, 9101 bacula-dir, 9102 bacula-fd, 9103 bacula-sd, '.
        '9418 git, 9667 xmms2, 9673 zope, 10050 zabbix-agent, 10051 zabbix-trapper, 10080 amanda, '.
        '10082 amandaidx, 10083 amidxtape, 10809 nbd, 11112 dicom, 11371 hkp, 17004 sgi-cad, 17500 db-lsp, '.
        '22125 dcap, 22128 gsidcap, 22273 wnn6, 24554 binkp, 30865 csync2, 57000 dircproxy, 60177 tfido, '.
        '60179 fido';

    private const UDP =
        '67 bootps, 68 bootpc, 69 tftp, 123 ntp, 137 netbios-ns, 138 netbios-dgm, 177 xdmcp, 213 ipx, '.
        '319 ptp-event, 320 ptp-general, 371 clearcase, 500 isakmp, 512 biff, 513 who, 514 syslog, '.
        '517 talk, 518 ntalk, 520 route, 546 dhcpv6-client, 547 dhcpv6-server, 623 asf-rmcp, '.
        '779 moira-ureg, 1434 ms-sql-m, 1701 l2f, 2102 zephyr-srv, 2103 zephyr-clt, 2104 zephyr-hm, '.
        '3130 icpv2, 4500 ipsec-nat-t, 4569 iax, 5353 mdns, 6696 babel, 7000 afs3-fileserver, '.
        '7001 afs3-callback, 7002 afs3-prserver, 7003 afs3-vlserver, 7004 afs3-kaserver, 7005 afs3-volser, '.
        '7007 afs3-bos, 7008 afs3-update, 7009 afs3-rmtsys, 17001 sgi-cmsd, 17002 sgi-crsd, 17003 sgi-gcd';

    /** @var ?array{tcp: array<int, string>, udp: array<int, string>} */
    private static ?array $names = null;

    /** The name that is registered for a port; null when the list has none. */
    public static function of(Protocol $protocol, int $port): ?string
    {
        return self::all()[$protocol->value][$port] ?? null;
    }

    /** The port that a tool means by a name or number; null for what is neither. */
    public static function port(Protocol $protocol, string $said): ?Port
    {
        if (preg_match('/^\d{1,5}$/D', $said) === 1) {
            return Port::tryOf((int) $said);
        }
        $all = self::all();
        // Most names belong to both protocols, and some tools know them by the other one only.
        $number =
            array_search($said, $all[$protocol->value], true) ?:
            array_search($said, $all[$protocol === Protocol::Tcp ? 'udp' : 'tcp'], true);

        return is_int($number) ? Port::tryOf($number) : null;
    }

    /** @return array{tcp: array<int, string>, udp: array<int, string>} */
    private static function all(): array
    {
        if (self::$names === null) {
            $both = self::split(self::BOTH);
            self::$names = ['tcp' => self::split(self::TCP) + $both, 'udp' => self::split(self::UDP) + $both];
        }

        return self::$names;
    }

    /** @return array<int, string> */
    private static function split(string $list): array
    {
        $names = [];
        foreach (explode(', ', $list) as $one) {
            [$number, $name] = explode(' ', $one);
            $names[(int) $number] = $name;
        }

        return $names;
    }

    private function __construct()
    {
    }
}
