<?php

declare(strict_types=1);

namespace Burrow\Intake\Leases;

use Burrow\Intake\IntakeFindings;
use Burrow\Intake\Reader;
use Burrow\Intake\Reading;
use Burrow\Intake\UnreadLines;
use Burrow\Judgement\Finding;
use Burrow\Judgement\Findings;
use Burrow\Net\Ipv4;

/** Lease lists in the forms that home routers and servers keep them, and tables copied from their pages. */
final readonly class LeaseReader implements Reader
{
    /** @param  ?TableColumns  $columns  which column of a router's table holds the names, where that is known */
    public function __construct(private ?TableColumns $columns = null)
    {
    }

    public function kind(): string
    {
        return 'leases';
    }

    public function summary(): string
    {
        return 'lease files of dnsmasq, Kea (CSV) and dhcpd (blocks), dumpleases, a router\'s table of clients';
    }

    public function sign(): string
    {
        return '/^\d{9,11} (?:[0-9a-f]{2}:){5}[0-9a-f]{2} [\d.]+ |^duid [0-9a-f]{2}:|^\s*lease [\d.]+ \{|^\s*ia-[ntp][ad] "|'.
            '^address,(?:hwaddr|duid),|^Mac Address +IP Address|Offered DHCP leases:|'.
            '^[^\n]*\b[0-9a-f]{2}(?:[:-][0-9a-f]{2}){5}\b[^\n]*[\t,;] *"?(?:\d{1,3}\.){3}\d|'.
            '^[^\n]*\b(?:\d{1,3}\.){3}\d{1,3}"? *[\t,;][^\n]*\b[0-9a-f]{2}(?:[:-][0-9a-f]{2}){5}\b/mi';
    }

    public function read(string $text): Reading
    {
        $unread = new UnreadLines($this->kind());
        $leases = (self::fileOf($text) ?? new TableLeases($this->columns))->read($text, $unread);
        $findings = $unread->findings();
        if ($leases === []) {
            $findings = $findings->and([IntakeFindings::noLeases()]);
        }

        return new Reading(
            $this->kind(),
            array_values($leases),
            $findings->and($this->shared($leases))->and($this->outside($leases)),
            [],
            $unread->count(),
        );
    }

    /** Whether a text is a table of clients, and no file whose form says what stands where. */
    public static function isTable(string $text): bool
    {
        return self::fileOf($text) === null;
    }

    private static function fileOf(string $text): ?LeaseForm
    {
        foreach ([new CsvLeases(), new BlockLeases(), new LineLeases()] as $form) {
            if ($form->fits($text)) {
                return $form;
            }
        }

        return null;
    }

    /**
     * Addresses that no home router hands out: the list is another network's, or something is badly wrong with the
     * router.
     *
     * @param  array<string, Lease>  $leases
     */
    private function outside(array $leases): Findings
    {
        $outside = array_values(
            array_filter(
                $leases,
                fn (Lease $lease): bool => $lease->isIpv4() && ! Ipv4::parse($lease->address)->isPrivate(),
            ),
        );

        return $outside === []
            ? Findings::of()
            : Findings::of(IntakeFindings::leaseNotPrivate($outside[0]->address, count($outside)));
    }

    /**
     * Two IPv4 addresses with one hardware address: often a board whose card was changed, worth knowing.
     *
     * @param  array<string, Lease>  $leases
     */
    private function shared(array $leases): Findings
    {
        $met = [];
        $twice = [];
        foreach ($leases as $lease) {
            if ($lease->mac !== null && $lease->holds() && $lease->isIpv4()) {
                isset($met[$lease->mac]) ? ($twice[$lease->mac] = []) : ($met[$lease->mac] = true);
            }
        }
        $twice = array_slice($twice, 0, 5, true);
        foreach ($twice === [] ? [] : $leases as $lease) {
            if ($lease->mac !== null && isset($twice[$lease->mac]) && $lease->holds() && $lease->isIpv4()) {
                $twice[$lease->mac][] = $lease->address;
            }
        }

        return Findings::of(
            ...array_map(
                fn (string $mac): Finding => IntakeFindings::oneMachineTwoLeases($mac, $twice[$mac]),
                array_keys($twice),
            ),
        );
    }
}
